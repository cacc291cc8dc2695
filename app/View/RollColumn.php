<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Rulebook\Phase;
use Acre\Core\Standing\NextKind;
use App\Queries\Names\StandingFacts;
use App\Support\Dates;
use App\Support\Row;

/** A column that a person may add to the Roll; the name, where it is held and what is next are always there. */
enum RollColumn: string
{
    case Line = 'line';
    case Registrant = 'registrant';
    case Mailbox = 'mailbox';
    case VerifyBy = 'verify_by';
    case Suffix = 'suffix';
    case Phase = 'phase';
    case Intent = 'intent';
    case Lock = 'lock';
    case Disclosure = 'disclosure';
    case Servers = 'servers';
    case Created = 'created';
    case Ends = 'ends';
    case Renewal = 'renewal';
    case Words = 'words';
    case Reference = 'reference';

    /** As many as stand beside each other legibly. */
    public const MOST = 6;

    /** @return list<self> what somebody sees who has chosen nothing */
    public static function usual(): array
    {
        return [self::Line];
    }

    /** @param  array<int, string>  $labels  of words, by id */
    public function text(Row $row, StandingFacts $facts, Words $words, array $labels): string
    {
        return match ($this) {
            self::Line => '',
            self::Registrant => $row->text('registrant'),
            self::Mailbox => $row->text('mailbox'),
            self::VerifyBy => ($at = $row->instant('verify_by')) === null ? '' : Dates::full($at->toDay()),
            self::Suffix => '.'.$row->text('suffix'),
            self::Phase => $words->say('words.phase.'.Phase::from($row->text('phase'))->value),
            self::Intent => $row->text('next_kind') === NextKind::Watched->value ? '' : $words->say('words.intent.'.$row->text('intent')),
            self::Lock => $words->say('words.lock.'.$row->text('lock')),
            self::Disclosure => $words->say('words.disclosure.'.$row->text('disclosure')),
            self::Servers => $row->text('servers'),
            self::Created => ($at = $row->instant('created_on')) === null ? '' : Dates::full($at),
            self::Ends => ($at = $row->instant('ends_on')) === null ? '' : Dates::full($at),
            self::Renewal => $facts->life->terms->renew?->text() ?? '',
            self::Words => implode(', ', array_intersect_key($labels, array_flip(self::wordIds($row)))),
            self::Reference => $row->text('reference'),
        };
    }

    /** @return list<int> the ids of the words that a name carries */
    public static function wordIds(Row $row): array
    {
        preg_match_all('/"?word:(\d+)"?/', $row->text('marks'), $found);

        return array_map(intval(...), $found[1]);
    }
}
