<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Finding\Cost;
use Acre\Core\Time\Instant;
use App\Queries\Hosting\ReadSiteFaults;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\View\Words;

/** Pages that are not where they belong, redirects that lead elsewhere, and certificates that end, by place. */
final readonly class PagesAmiss implements RoundsKind
{
    public function __construct(private ReadSiteFaults $faults, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $items = [];
        foreach (array_slice($this->faults->counted(), 0, $most) as $fault) {
            $isOne = $fault->names === 1;
            $items[] = new RoundsItem(
                // Seen again after it was gone, it is due again.
                "pages:{$fault->finding->value}:{$fault->placeId}:{$fault->since?->isoSecond()}",
                $fault->cost->value <= Cost::Dark->value ? RoundsSection::Dark : RoundsSection::Look,
                $today,
                $fault->place ?? $this->words->say('hosting.redirects.title'),
                $isOne
                    ? $this->words->stored($fault->said)
                    : $this->words->count('hosting.rounds.hosts', $fault->hosts).' '
                        .$this->words->say("hosting.rounds.kind.{$fault->finding->value}"),
                $this->words->say('words.cost.'.$fault->cost->name),
                $this->words->say('hosting.rounds.look'),
                match (true) {
                    $isOne => route('names.sites', $fault->ascii),
                    $fault->placeId !== null => route('places.show', $fault->placeId),
                    default => route('redirects.index'),
                },
                $fault->names,
                isName: false,
            );
        }

        return $items;
    }
}
