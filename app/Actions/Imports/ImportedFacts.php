<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;

/** What a line says of a name, as columns of its registration. */
final class ImportedFacts
{
    /** Of a registration, by the field of a list; of the others it has several, or none. */
    public const COLUMNS = [
        'created' => 'created_on',
        'ends' => 'ends_on',
        'moved' => 'moved_on',
        'statuses' => 'statuses',
        'raw' => 'raw',
        'intent' => 'intent',
        'lock' => 'lock',
        'reference' => 'reference',
        'disclosure' => 'disclosure',
        'servers' => 'servers',
    ];

    /** Takes a list of rows as columns() makes them, with name_id, span and sources. */
    public const INSERT = <<<'SQL'
    INSERT INTO registrations (name_id, span, created_on, ends_on, moved_on, statuses, deleted_since, lock, intent, reference, servers,
    disclosure, own_renewal, own_currency, raw, sources, created_at, updated_at)
    SELECT name_id, span, created_on, ends_on, moved_on, coalesce(statuses, '[]'), deleted_since, coalesce(lock, 'unknown'),
    coalesce(intent, 'when_told'), reference,
        coalesce(servers, '[]'), coalesce(disclosure, 'unknown'), own_renewal, own_currency, coalesce(raw, '{}'), sources, now(), now()
    FROM json_populate_recordset(NULL::registrations, ?::json)
    SQL;

    /** Takes a list of rows {name_id, facts, sources}: facts as columns() makes them, and those only that change. */
    public const UPDATE = <<<'SQL'
    UPDATE registrations r SET
        created_on = n.created_on, ends_on = n.ends_on, moved_on = n.moved_on, statuses = n.statuses, deleted_since = n.deleted_since,
        lock = n.lock, intent = n.intent,
        created_is_day = n.created_is_day, ends_is_day = n.ends_is_day, moved_is_day = n.moved_is_day,
        reference = n.reference, servers = n.servers, disclosure = n.disclosure, own_renewal = n.own_renewal,
        own_currency = n.own_currency, raw = n.raw,
        sources = r.sources || c.sources, version = r.version + 1, updated_at = now()
    FROM json_to_recordset(?::json) AS c(name_id bigint, facts jsonb, sources jsonb)
    JOIN registrations o ON o.name_id = c.name_id AND upper_inf(o.span)
    CROSS JOIN LATERAL jsonb_populate_record(o, c.facts) AS n
    WHERE r.id = o.id RETURNING r.name_id, r.version
    SQL;

    /**
     * @param  array<array-key, mixed>  $facts
     * @param  Instant  $today  since when at the latest what its statuses prove is so, for a list doesn't say since when
     * @return array<string, mixed>
     */
    public static function columns(array $facts, Instant $today): array
    {
        $columns = [];
        if (is_array($facts['statuses'] ?? null)) {
            $statuses = array_map(
                fn (mixed $status): ?Status => is_string($status) ? Status::tryFrom($status) : null,
                array_values($facts['statuses']),
            );
            $columns['deleted_since'] =
                Status::proven(array_values(array_filter($statuses)))?->isDeleted() === true ? $today->isoSecond() : null;
        }
        foreach ($facts as $field => $value) {
            if ($field === 'renewal') {
                [$columns['own_renewal'], $columns['own_currency']] = is_array($value) ? array_values($value) : [null, null];
            } elseif (isset(self::COLUMNS[$field])) {
                $day = is_string($value) && in_array($field, ['created', 'ends', 'moved'], true) ? Instant::of($value) : null;
                if ($day !== null) {
                    $columns["{$field}_is_day"] = $day->precision === Precision::Day;
                }
                $columns[self::COLUMNS[$field]] = match (true) {
                    $day !== null => $day->isoSecond(),
                    // An object also when nothing is in it.
                    $field === 'raw' => (object) (is_array($value) ? $value : []),
                    default => $value,
                };
            }
        }

        return $columns;
    }

    /**
     * What it says of the registrant, which is a contact's and no column.
     *
     * @param  array<array-key, mixed>  $facts
     * @return array<array-key, mixed>
     */
    public static function registrant(array $facts): array
    {
        return array_intersect_key($facts, ['registrant' => 1, 'mailbox' => 1]);
    }

    /**
     * @param  array<array-key, mixed>  $changes  as JudgeRows tells them: field, before, after
     * @return array<string, mixed> what it is to be, by field
     */
    public static function after(array $changes): array
    {
        return self::side($changes, 2);
    }

    /**
     * @param  array<array-key, mixed>  $changes
     * @return array<string, mixed> what it was, by field
     */
    public static function before(array $changes): array
    {
        return self::side($changes, 1);
    }

    /**
     * @param  array<array-key, mixed>  $changes
     * @return array<string, mixed>
     */
    private static function side(array $changes, int $side): array
    {
        $facts = [];
        foreach ($changes as $change) {
            if (is_array($change) && is_string($change[0] ?? null)) {
                $facts[$change[0]] = $change[$side] ?? null;
            }
        }

        return $facts;
    }
}
