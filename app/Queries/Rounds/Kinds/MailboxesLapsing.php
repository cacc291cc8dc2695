<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

use Acre\Core\Contact\ContactFinding;
use Acre\Core\Time\Instant;
use App\Queries\Rounds\NamesDue;
use App\Queries\Rounds\RoundsItem;
use App\Queries\Rounds\RoundsKind;
use App\Queries\Rounds\RoundsSection;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** Mailboxes that lie in a name which is meant to lapse, while they guard others: another mailbox before that day. */
final readonly class MailboxesLapsing implements RoundsKind
{
    public function __construct(private Connection $database, private Words $words)
    {
    }

    public function due(Instant $today, Instant $until, int $most): array
    {
        $rows = Row::all(
            $this->database->select(
                // From the names of which it is said already: far fewer than are meant to lapse.
                "SELECT v.contact_id, m.address, n.unicode AS site, l.ends_on::date AS day, count(*) AS names
             FROM standings g JOIN roles o ON o.name_id = g.name_id AND o.role = 'registrant' AND upper_inf(o.span)
             JOIN contact_versions v ON v.contact_id = o.contact_id AND upper_inf(v.span)
             JOIN mailboxes m ON m.id = v.mailbox_id JOIN names n ON n.ascii = m.site AND n.id <> g.name_id
             JOIN registrations l ON l.name_id = n.id AND upper_inf(l.span) AND l.intent = 'lapse' AND l.ends_on >= ?::timestamptz
             AND l.ends_on < ?::timestamptz
             WHERE g.marks @> ARRAY[?] GROUP BY v.contact_id, m.address, n.unicode, l.ends_on ORDER BY l.ends_on, 5 DESC, 1 LIMIT ?",
                [$today->isoSecond(), $until->isoSecond(), 'finding:contact.'.ContactFinding::MailboxLapses->value, $most],
            ),
        );

        return array_map(
            fn (Row $row): RoundsItem => new RoundsItem(
                "mailbox:{$row->int('contact_id')}:{$row->text('day')}",
                RoundsSection::Lost,
                NamesDue::day($row),
                $row->text('address'),
                $this->words->count('rounds.mailbox.says', $row->int('names'), ['site' => $row->text('site')]),
                $this->words->say('rounds.mailbox.cost'),
                $this->words->say('rounds.mailbox.deed'),
                route('contacts.edit', $row->int('contact_id')),
                $row->int('names'),
                see: route('contacts.show', $row->int('contact_id')),
                isName: false,
            ),
            $rows,
        );
    }
}
