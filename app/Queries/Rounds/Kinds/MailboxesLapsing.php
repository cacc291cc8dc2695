<?php

declare(strict_types=1);

namespace App\Queries\Rounds\Kinds;

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

    public function due(Instant $today, Instant $until): array
    {
        $rows = Row::all($this->database->select(
            "SELECT v.contact_id, m.address, s.unicode AS site, s.ends_on::date AS day, count(*) AS names
             FROM mailboxes m JOIN standings s ON s.ascii = m.site AND s.intent = 'lapse' AND s.ends_on >= ?::timestamptz AND s.ends_on < ?::timestamptz
             JOIN contact_versions v ON v.mailbox_id = m.id AND upper_inf(v.span) JOIN roles o ON o.contact_id = v.contact_id AND o.role = 'registrant' AND upper_inf(o.span) AND o.name_id <> s.name_id
             WHERE m.site <> '' GROUP BY v.contact_id, m.address, s.unicode, s.ends_on ORDER BY s.ends_on, 5 DESC, 1 LIMIT ?", [$today->isoSecond(), $until->isoSecond(), self::MOST],
        ));

        return array_map(fn (Row $row): RoundsItem => new RoundsItem(
            "mailbox:{$row->int('contact_id')}:{$row->text('day')}", RoundsSection::Lost, NamesDue::day($row), $row->text('address'),
            $this->words->count('rounds.mailbox.says', $row->int('names'), ['site' => $row->text('site')]), $this->words->say('rounds.mailbox.cost'), $this->words->say('rounds.mailbox.deed'),
            route('contacts.edit', $row->int('contact_id')), $row->int('names'), see: route('contacts.show', $row->int('contact_id')), isName: false,
        ), $rows);
    }
}
