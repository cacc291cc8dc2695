<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\After;
use Symfony\Component\Process\Process;

/** Others on the far side of a real socket, who say what a test has recorded for them; they show the simulated world's certificate. */
trait Scripted
{
    private ?Process $server = null;

    /** @return list<int> ports of this machine that nobody listens at */
    private static function ports(int $many): array
    {
        $open = array_map(function (): mixed {
            $probe = stream_socket_server('tcp://127.0.0.1:0');
            self::assertNotFalse($probe);

            return $probe;
        }, range(1, $many));

        return array_map(function (mixed $probe): int {
            self::assertIsResource($probe);
            $port = (int) preg_replace('/^.*:/', '', (string) stream_socket_get_name($probe, false));
            fclose($probe);

            return $port;
        }, $open);
    }

    private function starts(string $script, string ...$told): Process
    {
        $certificates = glob(dirname(config()->string('outside.authority')).'/server-*.pem');
        $this->server = new Process([
            PHP_BINARY,
            __DIR__."/{$script}",
            $certificates === false ? '' : $certificates[0] ?? '',
            ...array_values($told),
        ]);
        $this->server->start();
        $this->server->waitUntil(fn (string $type, string $said): bool => str_contains($said, 'ready'));

        return $this->server;
    }

    #[After]
    protected function stopped(): void
    {
        $this->server?->stop(0);
    }
}
