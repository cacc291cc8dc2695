<?php

declare(strict_types=1);

namespace App\Console;

use App\Outside\World;
use Illuminate\Console\Command;

/** `./acre ports`: every address at which something of ours listens, as JSON. */
final class Ports extends Command
{
    protected $signature = 'acre:ports';

    protected $description = 'Print every address that is listening, as JSON';

    public function handle(World $world): int
    {
        $port = config('database.connections.pgsql.port');
        $this->line((string) json_encode([
            'application' => config()->string('house.listens'),
            'database' => is_string($port) || is_int($port) ? "127.0.0.1:{$port}" : null,
            'world' => $world->isThere() ? $world->ports() : null,
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));

        return self::SUCCESS;
    }
}
