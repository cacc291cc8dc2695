<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\Process;

/** What dies is restarted: the parents of the web server, the interpreters and the database are killed, and the page comes back. */
final class RestartedTest extends TestCase
{
    #[TestWith(['web:fpm', 'php-fpm: master process'])]
    #[TestWith(['web:nginx', 'nginx: master process'])]
    #[TestWith(['web:fpm', 'bin/keep.sh'])]
    #[TestWith(['web:nginx', 'bin/keep.sh'])]
    #[TestWith(['database', 'postgres'])]
    #[TestWith(['workers:queue_0', 'queue:work'])]
    public function test_what_is_killed_comes_back(string $program, string $process): void
    {
        self::assertTrue($this->answers());
        $leader = (int) $this->ask(['supervisorctl', '-c', $this->configuration(), 'pid', $program]);
        $tree = explode("\n", $this->ask(['ps', '-o', 'pid=,args=', '-p', (string) $leader, '--ppid', (string) $leader]));
        $found = array_values(array_filter($tree, fn (string $line): bool => str_contains($line, $process)));
        self::assertNotSame([], $found, implode("\n", $tree));
        $killed = (int) trim($found[0]);
        self::assertTrue(posix_kill($killed, SIGKILL));

        $this->until(function () use ($program, $killed): bool {
            $status = $this->ask(['supervisorctl', '-c', $this->configuration(), 'status', $program]);

            return preg_match('/RUNNING +pid (\d+)/', $status, $found) === 1 && (int) $found[1] !== $killed && $this->answers();
        });
    }

    private function configuration(): string
    {
        return dirname((string) getenv('LARAVEL_STORAGE_PATH')).'/conf/supervisord.conf';
    }

    private function answers(): bool
    {
        $page = @file_get_contents(getenv('APP_URL').'/sign-in', false, stream_context_create(['http' => ['timeout' => 5]]));

        return is_string($page) && str_contains($page, 'Sign in');
    }

    /** @param  callable(): bool  $isSo */
    private function until(callable $isSo): void
    {
        $patience = (int) (getenv('ACRE_BROWSER_PATIENCE') === false ? '20' : getenv('ACRE_BROWSER_PATIENCE')) * 5;
        for ($tries = 0; $tries < $patience; $tries++) {
            if ($isSo()) {
                return;
            }
            // Between two questions to another process; the test ends as soon as the answer is right.
            usleep(300_000);
        }
        throw new RuntimeException('It did not come back.');
    }

    /** @param  list<string>  $command */
    private function ask(array $command): string
    {
        $process = new Process($command);
        $process->run();

        return trim($process->getOutput());
    }
}
