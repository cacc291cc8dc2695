<?php

declare(strict_types=1);

namespace App\Queries\Outside;

use Acre\Core\Record\Source;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What each source last said of a name, and what it said before that. */
final readonly class LastSeen
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, list<Observed>> by source, the newest first, two at most */
    public function of(int $nameId, string $ascii): array
    {
        $rows = $this->database->select(
            <<<'SQL'
            SELECT * FROM (
                SELECT o.*, encode(b.body, 'base64') AS body, row_number() OVER (PARTITION BY o.source
                ORDER BY o.last_seen DESC, o.id DESC) AS place
                FROM observations o JOIN observation_bodies b ON b.observation_id = o.id WHERE o.name_id = ?
            ) s WHERE place <= 2 ORDER BY source, place
            SQL
            ,
            [$nameId],
        );
        $found = [];
        foreach (Row::all($rows) as $row) {
            $found[$row->text('source')][] = Observed::of($row, $ascii);
        }

        return $found;
    }

    /**
     * The newest record of each name that says something of its holder: the registry's, or else the registrar's own.
     *
     * @param  list<int>  $nameIds
     * @return array<int, Observed> by name; those that nobody has read are left out
     */
    public function holders(array $nameIds): array
    {
        $found = [];
        $rows = $this->database->select(
            <<<'SQL'
            SELECT DISTINCT ON (o.name_id, o.source) o.*, n.ascii, encode(b.body, 'base64') AS body
            FROM observations o JOIN observation_bodies b ON b.observation_id = o.id JOIN names n ON n.id = o.name_id
            WHERE o.name_id = ANY (?::bigint[]) AND o.source <> 'dns' ORDER BY o.name_id, o.source, o.last_seen DESC, o.id DESC
            SQL
            ,
            ['{'.implode(',', $nameIds).'}'],
        );
        foreach (Row::all($rows) as $row) {
            $observed = Observed::of($row, $row->text('ascii'));
            if (
                $observed->record !== null &&
                $observed->record->holder !== [] &&
                (! isset($found[$row->int('name_id')]) || $observed->source !== Source::Registrar)
            ) {
                $found[$row->int('name_id')] = $observed;
            }
        }

        return $found;
    }

    /** The answer as it came; null: it is not that name's. */
    public function raw(int $nameId, int $observation): ?Observed
    {
        $row = $this->database->selectOne(
            "SELECT o.*, encode(b.body, 'base64') AS body FROM observations o JOIN observation_bodies b ON b.observation_id = o.id
                WHERE o.id = ? AND o.name_id = ?",
            [$observation, $nameId],
        );

        return $row === null ? null : Observed::of(Row::of($row), '');
    }

    /** @return array<string, string> why a source did not answer the last time it was asked, by source */
    public function troubles(int $nameId): array
    {
        $row = $this->database->selectOne('SELECT troubles FROM observing WHERE name_id = ?', [$nameId]);
        $troubles = [];
        foreach ($row === null ? [] : Row::of($row)->json('troubles') as $source => $trouble) {
            if (is_array($trouble) && is_string($trouble['reason'] ?? null) && Source::tryFrom((string) $source) !== null) {
                $troubles[(string) $source] = $trouble['reason'];
            }
        }

        return $troubles;
    }
}
