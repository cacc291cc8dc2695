<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\Rounds;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\Sums;
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

        return $count === 0
            ? $this->words->say('rounds.told.nothing')
            : ($this->rounds->isCut ? $this->words->say('rounds.told.more_than').' ' : '').
                    $this->words->count('rounds.told.things', $count).
                    ', '.
                    $this->words->count('rounds.told.today', $this->rounds->todays()).
                    '.';
    }

    public function dark(): ?string
    {
        $names = $this->rounds->darkThisWeek();

        return $names === 0 ? null : $this->words->count('rounds.told.dark', $names);
    }

    public function amiss(): ?string
    {
        $names = $this->rounds->amiss();

        return $names === 0 ? null : $this->words->count('rounds.told.amiss', $names);
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
            $due->agreesWith($this->rounds->today) => 'today',
            $due->isBefore($this->rounds->today) => 'since '.Dates::near($due, $this->rounds->today),
            default => 'by '.Dates::near($due, $this->rounds->today),
        };
    }

    public function subject(): string
    {
        $dark = $this->dark();
        $amiss = $this->amiss();

        return 'Rounds, '.
            $this->day().
            ': '.
            ($amiss === null ? '' : lcfirst($amiss).'; ').
            lcfirst($this->things()).
            ($dark === null ? '' : ' This week '.$dark.'.');
    }

    /** Null: nothing is due that has a price. */
    public function sums(Sums $sums): ?string
    {
        return $this->words->sums($sums, 'rounds.told.sums', ['days' => (string) Rounds::AHEAD]);
    }

    /** What somebody said of a thing that is due all the same; null: nothing. */
    public function before(RoundsItem $item): ?string
    {
        $mark = $this->rounds->marks[$item->key] ?? null;

        return $mark?->doneOn === null
            ? null
            : $this->words->say('rounds.still', [
                'who' => $mark->by,
                'day' => Dates::near($mark->doneOn, $this->rounds->today),
                'what' => $mark->because,
            ]);
    }

    /** The sentence of what is lost if nothing is done this week; null: nothing. */
    public function undone(): ?string
    {
        return match (true) {
            $this->dark() === null && $this->loss() === null => null,
            $this->loss() === null => 'rounds.show.undone_dark',
            $this->dark() === null => 'rounds.show.undone_loss',
            default => 'rounds.show.undone',
        };
    }

    /** The whole of it as plain text. */
    public function letter(?Sums $sums = null): string
    {
        $lines = [
            implode(
                ' ',
                array_filter([$this->day().'.', $this->amiss() === null ? null : $this->amiss().'.', $this->things()], is_string(...)),
            ),
        ];
        if ($sums !== null && $this->sums($sums) !== null) {
            $lines[] = $this->sums($sums);
        }
        if ($this->undone() !== null) {
            $lines[] = $this->words->say($this->undone(), ['dark' => $this->dark() ?? '', 'loss' => $this->loss() ?? '']);
        }
        foreach ($this->rounds->sections() as $section => $items) {
            $lines[] = '';
            $lines[] = $this->words->say("rounds.section.{$section}");
            foreach ($items as $item) {
                $given = $this->rounds->marks[$item->key]->givenToName ?? '';
                $lines[] =
                    '  '.
                    implode(
                        ' ',
                        array_filter(
                            [
                                $this->due($item->due).': '.$item->title.', '.$item->says.'. '.ucfirst($item->cost).'.',
                                $given === '' ? null : $this->words->say('rounds.marked.given', ['who' => $given]),
                                $this->before($item),
                            ],
                            is_string(...),
                        ),
                    );
                $lines[] = '    '.($item->see ?? $item->address);
            }
        }

        return implode("\n", $lines)."\n";
    }
}
