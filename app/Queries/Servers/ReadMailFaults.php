<?php

declare(strict_types=1);

namespace App\Queries\Servers;

use Acre\Core\Zone\MailFinding;
use App\Support\Row;
use Illuminate\Database\Connection;

/** What is wrong with what names say about mail, over the whole Roll. */
final readonly class ReadMailFaults
{
    /** Names that are named beside a count. */
    private const FEW = 3;

    /** Of names on the Roll; a late or suspended one has other faults. */
    private const COUNTED = "EXISTS (SELECT FROM standings s WHERE s.name_id = f.name_id AND s.severity < 3 AND s.phase = 'in_term')";

    public function __construct(private Connection $database)
    {
    }

    /** @return list<MailFaultCounted> dearest first, then those of most names */
    public function counted(): array
    {
        return array_map(MailFaultCounted::of(...), Row::all($this->database->select(
            'SELECT c.*, (SELECT json_agg(json_build_array(x.ascii, x.unicode)) FROM (SELECT n.ascii, n.unicode FROM mail_faults f
                JOIN names n ON n.id = f.name_id WHERE f.finding = c.finding AND '.self::COUNTED.' ORDER BY f.name_id LIMIT ?) x) AS few
             FROM (SELECT finding, count(*) AS names, min(cost) AS cost, min(first_seen) AS since
                FROM mail_faults f WHERE '.self::COUNTED.' GROUP BY finding) c ORDER BY c.cost, c.names DESC, c.finding',
            [self::FEW],
        )));
    }

    /** How many names' zones were read, and of how many nobody has yet. */
    public function progress(): ZonesRead
    {
        $row = Row::of($this->database->selectOne(
            'SELECT count(*) FILTER (WHERE z.asked_at IS NOT NULL) AS read, count(*) AS of FROM standings s
             LEFT JOIN zone_looks z ON z.name_id = s.name_id',
        ));

        return new ZonesRead($row->int('read'), $row->int('of'));
    }

    /** @return list<int> names that have it */
    public function names(MailFinding $finding, int $most): array
    {
        $rows = $this->database->select(
            'SELECT name_id FROM mail_faults f WHERE finding = ? AND '.self::COUNTED.' ORDER BY name_id LIMIT ?',
            [$finding->value, $most],
        );

        return array_map(fn (Row $row): int => $row->int('name_id'), Row::all($rows));
    }

    /** @return array<string, list<string>> texts of other names that a name's SPF record leads to, as they were last read */
    public function elsewhere(int $nameId): array
    {
        $row = $this->database->selectOne('SELECT elsewhere FROM zone_looks WHERE name_id = ?', [$nameId]);
        $texts = [];
        foreach ($row === null ? [] : Row::of($row)->json('elsewhere') as $host => $said) {
            if (is_array($said)) {
                $texts[(string) $host] = array_values(array_filter($said, is_string(...)));
            }
        }

        return $texts;
    }
}
