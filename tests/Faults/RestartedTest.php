<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Until;

/** What dies is restarted: the parents of the web server, the interpreters and the database are killed, and the page comes back. */
#[Group('heavy')]
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
        $killed = 0;
        // What the test before this one killed may just be coming back.
        Until::so("{$program} before", function () use ($program, $process, &$killed): bool {
            $leader = (int) $this->ask(['supervisorctl', '-c', $this->configuration(), 'pid', $program]);
            $tree = explode("\n", $this->ask(['ps', '-o', 'pid=,args=', '-p', (string) $leader, '--ppid', (string) $leader]));
            $killed = (int) trim(array_values(array_filter($tree, fn (string $line): bool => str_contains($line, $process)))[0] ?? '');

            return $killed > 0 && $this->answers();
        });
        self::assertTrue(posix_kill($killed, SIGKILL));

        Until::so("{$program} again", function () use ($program, $killed): bool {
            $status = $this->ask(['supervisorctl', '-c', $this->configuration(), 'status', $program]);

            return preg_match('/RUNNING +pid (\d+)/', $status, $found) === 1 && (int) $found[1] !== $killed && $this->answers();
        });
    }

    public function test_without_its_database_work_waits_and_goes_on_by_itself(): void
    {
        $runs = fn (string $what): bool => preg_match(
            "/^{$what}/m",
            $this->ask(['ps', '-o', 'args=', '-p', $this->ask(['supervisorctl', '-c', $this->configuration(), 'pid', 'workers:queue_0'])]),
        ) === 1;
        Until::so('a worker works', fn (): bool => $runs('php artisan queue:work'));
        $this->ask(['supervisorctl', '-c', $this->configuration(), 'stop', 'database']);
        try {
            // And nobody has given it up.
            Until::so(
                'it waits',
                fn (): bool => $runs('bash -c until') &&
                    str_contains($this->ask(['supervisorctl', '-c', $this->configuration(), 'status', 'workers:queue_0']), 'RUNNING'),
            );
        } finally {
            $this->ask(['supervisorctl', '-c', $this->configuration(), 'start', 'database']);
        }
        Until::so('it works again', fn (): bool => $runs('php artisan queue:work'));
        self::assertTrue($this->answers());
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

    /** @param  list<string>  $command */
    private function ask(array $command): string
    {
        $process = new Process($command);
        $process->run();

        return trim($process->getOutput());
    }
}
