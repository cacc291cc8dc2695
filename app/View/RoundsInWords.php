<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\Rounds;
use App\Support\Dates;

/** Rounds in sentences: the lead of the page, and the morning letter. */
final readonly class RoundsInWords
{
    public function __construct(private Rounds $rounds, private Words $words)
    {
    }

    public function day(): string
    {
        return $this->rounds->today->toDateTime()->format('l, j F');
    }

    public function things(): string
    {
        $count = count($this->rounds->soon());

        return $count === 0 ? $this->words->say('rounds.told.nothing') : ($this->rounds->isCut ? $this->words->say('rounds.told.more_than').' ' : '').$this->words->count('rounds.told.things', $count).', '.$this->words->count('rounds.told.today', $this->rounds->todays()).'.';
    }

    public function dark(): ?string
    {
        $names = $this->rounds->darkThisWeek();

        return $names === 0 ? null : $this->words->count('rounds.told.dark', $names);
    }

    public function loss(): ?string
    {
        $sums = array_map(fn (Money $sum): string => $sum->text(), $this->rounds->lossThisWeek());

        return $sums === [] ? null : implode(' and ', $sums);
    }

    /** `today`, `by 9 Oct`, `since 2 Oct` */
    public function due(Instant $due): string
    {
        return match (true) {
            $due->equals($this->rounds->today) => 'today',
            $due->isBefore($this->rounds->today) => 'since '.Dates::near($due, $this->rounds->today),
            default => 'by '.Dates::near($due, $this->rounds->today),
        };
    }

    public function subject(): string
    {
        $dark = $this->dark();

        return 'Rounds, '.$this->day().': '.lcfirst($this->things()).($dark === null ? '' : ' This week '.$dark.'.');
    }

    /** The whole of it as plain text. */
    public function letter(): string
    {
        $lines = [$this->day().'. '.$this->things()];
        $left = array_filter([$this->dark(), $this->loss() === null ? null : $this->loss().' is lost'], fn (?string $part): bool => $part !== null);
        if ($left !== []) {
            $lines[] = 'Left undone this week, '.implode(' and ', $left).'.';
        }
        foreach ($this->rounds->sections() as $section => $items) {
            $lines[] = '';
            $lines[] = $this->words->say("rounds.section.{$section}");
            foreach ($items as $item) {
                $given = $this->rounds->marks[$item->key]->givenToName ?? '';
                $lines[] = '  '.$this->due($item->due).': '.$item->title.', '.$item->says.'. '.ucfirst($item->cost).'.'.($given === '' ? '' : " Given to {$given}.");
                $lines[] = '    '.$item->address;
            }
        }

        return implode("\n", $lines)."\n";
    }
}
