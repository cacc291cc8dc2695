<?php

declare(strict_types=1);

namespace App\Queries\Hosting;

use Acre\Core\Finding\Cost;
use Acre\Core\Hosting\HostingFinding;
use Acre\Core\Time\Instant;
use App\Support\Row;

/** One thing that is wrong at hosts of one place, and at how many. */
final readonly class SiteFaultCounted
{
    /**
     * @param  array<array-key, mixed>  $said  the finding of one of them, as it was kept
     * @param  string  $ascii  the name of one of them
     */
    private function __construct(
        public HostingFinding $finding,
        public ?int $placeId,
        public ?string $place,
        public int $hosts,
        public int $names,
        public Cost $cost,
        public ?Instant $since,
        public array $said,
        public string $ascii,
        public string $unicode,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            HostingFinding::from($row->text('finding')),
            $row->intOrNull('place_id'),
            $row->textOrNull('place'),
            $row->int('hosts'),
            $row->int('names'),
            Cost::from($row->int('cost')),
            $row->instant('since'),
            $row->json('said'),
            $row->text('ascii'),
            $row->text('unicode'),
        );
    }
}
