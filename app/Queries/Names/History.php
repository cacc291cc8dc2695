<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Time\Instant;
use Acre\Core\Title\Chain;
use Acre\Core\Title\Holding;
use App\Models\Casts\AsSpan;
use App\Models\NameRole;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Collection;

/** What happened to a name, and who held it when. */
final readonly class History
{
    public function __construct(private Connection $database)
    {
    }

    public function chain(int $nameId): Chain
    {
        $rows = $this->database->select(
            "SELECT g.name || ' ' || a.number AS account, c.name AS client, h.span::text AS span, h.docket_id
             FROM holdings h JOIN accounts a ON a.id = h.account_id JOIN registrars g ON g.id = a.registrar_id
             JOIN clients c ON c.id = h.client_id WHERE h.name_id = ?",
            [$nameId],
        );

        return Chain::of(
            array_map(
                fn (Row $row): Holding => new Holding(
                    $row->text('account'),
                    $row->text('client'),
                    AsSpan::read($row->text('span')),
                    $row->intOrNull('docket_id'),
                ),
                Row::all($rows),
            ),
        );
    }

    /** @return list<Row> newest first: at (trade time), event, data, person */
    public function happened(int $nameId, int $limit = 50): array
    {
        return Row::all(
            $this->database->select(
                "SELECT l.trade_at, l.event, l.data, u.name AS person FROM log l LEFT JOIN users u ON u.id = l.user_id
                    WHERE l.subject = 'name' AND l.subject_id = ? ORDER BY l.trade_at DESC, l.id DESC LIMIT ?",
                [$nameId, $limit],
            ),
        );
    }

    /** @return Collection<int, NameRole> every role that a contact had for it, the last first */
    public function roles(int $nameId): Collection
    {
        return NameRole::query()
            ->where('name_id', $nameId)
            ->with('contact.today')
            ->orderByRaw('lower(span) DESC')
            ->orderByDesc('id')
            ->get();
    }

    /** @return list<string> how its registrants were called on a day, the first first: on the day of a change it had two */
    public function registrantsOn(int $nameId, Instant $on): array
    {
        $day = [$on->toDay()->isoSecond(), $on->toDay()->plusDays(1)->isoSecond()];
        $called = array_map(
            fn (Row $row): string => $row->text('called'),
            Row::all(
                $this->database->select(
                    "SELECT v.called FROM roles o JOIN contact_versions v ON v.contact_id = o.contact_id AND v.span && o.span
                        AND v.span && tstzrange(?, ?)
             WHERE o.name_id = ? AND o.role = 'registrant' AND o.span && tstzrange(?, ?)
             ORDER BY greatest(lower(o.span), lower(v.span)) NULLS FIRST, v.id",
                    [...$day, $nameId, ...$day],
                ),
            ),
        );

        return array_values(array_unique($called));
    }
}
