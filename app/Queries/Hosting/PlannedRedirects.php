<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

use Acre\Core\Hosting\Trail;
use Acre\Core\Hosting\WebAddress;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Where hosts lead, by what is planned for them. */
final readonly class PlannedRedirects
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, WebAddress> by host: this one, the one that it leads to, and so on */
    public function from(string $host): array
    {
        $found = [];
        for ($step = 0; $step <= Trail::LONGEST && ! isset($found[$host]); $step++) {
            $target = $this->target($host);
            if ($target === null) {
                break;
            }
            $found[$host] = $target;
            $host = $target->host;
        }

        return $found;
    }

    private function target(string $host): ?WebAddress
    {
        $pairs = [];
        $labels = explode('.', $host);
        for ($at = 0; $at < count($labels) - 1; $at++) {
            array_push($pairs, implode('.', array_slice($labels, $at)), implode('.', array_slice($labels, 0, $at)));
        }
        $row = $pairs === [] ? null : $this->database->selectOne(
            'SELECT s.target FROM sites s JOIN names n ON n.id = s.name_id WHERE s.target IS NOT NULL AND (n.ascii, s.label) IN ('
                .implode(', ', array_fill(0, intdiv(count($pairs), 2), '(?, ?)')).') LIMIT 1',
            $pairs,
        );

        return $row === null ? null : WebAddress::of(Row::of($row)->text('target'));
    }
}
