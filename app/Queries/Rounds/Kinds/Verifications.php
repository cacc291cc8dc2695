<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Time\Instant;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Queries\Verification\ReadBoard;
use App\Support\Row;
use App\View\Words;

/** Mailboxes that must be verified before their names go dark, or whose day has passed. */
final readonly class Verifications implements RoundsKind
{
    public function __construct(private ReadBoard $board, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        return array_map(function (Row $row) use ($today): RoundsItem {
            $by = $row->instant('by')?->toDay() ?? $today;
            $how = match (true) {
                $row->textOrNull('objection') !== null => $row->textOrNull('objection_by') === 'mail' ? 'written' : 'objected',
                in_array($row->textOrNull('letter_state'), ['returned', 'refused'], true) => 'returned',
                $row->int('by_house') === 0 => 'registrar',
                ReadBoard::isSilent($row, $today) => 'silent',
                default => 'open',
            };

            return new RoundsItem(
                "verify:{$row->int('mailbox_id')}:{$by->date()}:{$how}",
                RoundsSection::Dark,
                Instant::latest($by, $today),
                $row->text('address'),
                $this->words->count("rounds.verify.{$how}", $row->int('names'), ['senders' => $row->textOrNull('senders') ?? '']),
                $this->words->say('rounds.verify.cost'),
                $this->words->say('rounds.verify.deed'),
                route('verification.index'),
                $row->int('names'),
                see: route('contacts.show', $row->int('contact_id')),
                isName: false,
            );
        }, $this->board->due($until, $most));
    }
}
