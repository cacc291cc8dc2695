<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Finding\Cost;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Queries\Servers\FaultCounted;
use App\Queries\Servers\ReadFaults;
use App\View\Words;

/** Name servers that don't answer, or not as they should, by host; and names that point nowhere. */
final readonly class PointsNowhere implements RoundsKind
{
    public function __construct(private ReadFaults $faults, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $items = [];
        foreach (array_slice($this->faults->counted(), 0, $most) as $fault) {
            $one = $fault->names === 1 ? array_key_first($fault->few) : null;
            $items[] = new RoundsItem(
                // Seen again after it was gone, it is due again.
                "points:{$fault->finding->value}:{$fault->host}:{$fault->since?->isoSecond()}",
                match ($fault->cost) {
                    Cost::NameLost => RoundsSection::Lost,
                    Cost::Dark => RoundsSection::Dark,
                    default => RoundsSection::Look,
                },
                $today,
                match (true) {
                    $one !== null => $fault->few[$one],
                    $fault->host !== '' => $fault->host,
                    default => $this->words->count('outside.rounds.names', $fault->names),
                },
                $this->said($fault),
                $this->words->say('words.cost.'.$fault->cost->name),
                $this->words->say('servers.faults.look'),
                $one === null ? route('servers.faults') : route('names.points', $one),
                $fault->names,
                isName: $one !== null,
            );
        }

        return $items;
    }

    private function said(FaultCounted $fault): string
    {
        return lcfirst(
            $fault->names === 1
                ? $this->words->stored($fault->said)
                : $this->words->sayOr('servers.faults.kind.'.$fault->finding->value, $this->words->stored($fault->said)),
        );
    }
}
