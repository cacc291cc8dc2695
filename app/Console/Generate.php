<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Standings\MakeStandings;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Adds generated names to a demo, for measuring: a realistic mix of ends, intents, suffixes, accounts and clients. */
final class Generate extends Command
{
    protected $signature = 'acre:generate {names : how many}';

    protected $description = 'Add so many generated names to the demo';

    /** Every column follows from the number alone, so that two runs make the same Roll. */
    private const SQL = <<<'SQL'
        WITH numbered AS (
            SELECT n, ('x' || substr(md5(n::text), 1, 8))::bit(32)::bigint AS dice FROM generate_series(?::bigint, ?::bigint) AS n
        ), described AS (
            SELECT n, dice,
                (ARRAY['com', 'com', 'com', 'org', 'net', 'co.uk', 'co.uk', 'uk', 'works'])[1 + dice % 9] AS suffix,
                -- One in a hundred is late; the others end within two years, a few much later.
                ?::date + CASE WHEN dice % 100 = 0 THEN -1 - (dice / 100 % 70)::int WHEN dice % 100 < 90 THEN 1 + (dice / 100 % 730)::int ELSE 731 + (dice / 100 % 2500)::int END AS ends,
                (ARRAY['by_itself', 'by_itself', 'by_itself', 'by_itself', 'by_itself', 'by_itself', 'by_itself', 'when_told', 'ask_client', 'lapse'])[1 + dice / 7 % 10] AS intent,
                (ARRAY['on', 'on', 'off', 'unknown'])[1 + dice / 11 % 4] AS lock
            FROM numbered
        ), named AS (
            INSERT INTO names (ascii, unicode, suffix) SELECT 'made-' || n || '.' || suffix, 'made-' || n || '.' || suffix, suffix FROM described ORDER BY n RETURNING id, ascii
        ), registered AS (
            INSERT INTO registrations (name_id, span, created_on, ends_on, intent, lock, registrant)
            SELECT named.id, tstzrange(ends - 3652, NULL), ends - 3652 + (dice % 3000)::int, ends, intent, lock, 'Registrant ' || dice % 5000
            FROM described JOIN named ON named.ascii = 'made-' || n || '.' || suffix RETURNING id, name_id
        ), placed AS (
            SELECT array_agg(id ORDER BY id) AS accounts FROM accounts
        ), served AS (
            SELECT array_agg(id ORDER BY id) AS clients FROM clients
        )
        INSERT INTO holdings (name_id, registration_id, account_id, client_id, span)
        SELECT name_id, id, accounts[1 + (name_id * 7919) % cardinality(accounts)], clients[1 + (name_id * 104729) % cardinality(clients)], '[2024-01-01,)'
        FROM registered, placed, served
        SQL;

    public function handle(TradeClock $clock, MakeStandings $standings): int
    {
        $wanted = (int) $this->argument('names');
        $made = DB::table('names')->where('ascii', 'like', 'made-%')->count();
        for ($from = $made + 1; $from <= $wanted; $from += 20_000) {
            $until = min($wanted, $from + 19_999);
            DB::statement(self::SQL, [$from, $until, $clock->today()->iso()]);
            $ids = Row::all(DB::select("SELECT n.id FROM names n LEFT JOIN standings s ON s.name_id = n.id WHERE n.ascii LIKE 'made-%' AND s.name_id IS NULL ORDER BY n.id"));
            $standings->of(array_map(fn (Row $row): int => $row->int('id'), $ids));
            $this->output->write("\r".number_format($until).' names');
        }
        DB::connection('owner')->statement('ANALYZE');
        $this->line('');

        return self::SUCCESS;
    }
}
