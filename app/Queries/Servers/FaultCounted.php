<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Delegation\DelegationFinding;
use Acre\Core\Finding\Cost;
use Acre\Core\Time\Instant;
use App\Support\Row;

/** One thing that is wrong, and with how many names. */
final readonly class FaultCounted
{
    /**
     * @param  string  $host  empty: none is to blame alone
     * @param  array<array-key, mixed>  $said  the finding of one of them, as it was kept
     * @param  array<string, string>  $few  some of the names, as they are written, by how the DNS has them
     */
    private function __construct(
        public DelegationFinding $finding,
        public string $host,
        public int $names,
        public Cost $cost,
        public ?Instant $since,
        public array $said,
        public array $few,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            DelegationFinding::from($row->text('finding')),
            $row->text('host'),
            $row->int('names'),
            Cost::from($row->int('cost')),
            $row->instant('since'),
            $row->json('said'),
            self::few($row),
        );
    }

    /** @return array<string, string> some of the names, as they are written, by how the DNS has them */
    public static function few(Row $row): array
    {
        $few = [];
        foreach ($row->json('few') as $one) {
            if (is_array($one) && is_string($one[0] ?? null) && is_string($one[1] ?? null)) {
                $few[$one[0]] = $one[1];
            }
        }

        return $few;
    }
}
