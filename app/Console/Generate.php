<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Standings\MakeStandings;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Adds generated names to a demo, for measuring: a realistic mix of labels, ends, intents, suffixes, accounts, clients and servers. */
final class Generate extends Command
{
    protected $signature = 'acre:generate {names : how many}';

    protected $description = 'Add generated names to the demo';

    /** Every column follows from the number alone, so that two runs make the same Roll. */
    private const SQL = <<<'SQL'
    WITH numbered AS (
        SELECT n, ('x' || substr(md5(n::text), 1, 8))::bit(32)::bigint AS dice FROM generate_series(?::bigint, ?::bigint) AS n
    ), described AS (
        SELECT n, dice,
            (ARRAY[
                'com', 'com', 'com', 'org', 'net', 'co.uk', 'co.uk', 'uk', 'works'
            ])[1 + dice % 9] AS suffix,
            -- One in a hundred is late; the others end within two years, a few much later.
            ?::date + CASE WHEN dice % 100 = 0 THEN -1 - (dice / 100 % 70)::int WHEN dice % 100 < 90 THEN 1 + (dice / 100 % 730)::int
            ELSE 731 + (dice / 100 % 2500)::int END AS ends,
            (ARRAY[
                'by_itself', 'by_itself', 'by_itself', 'by_itself', 'by_itself', 'by_itself', 'by_itself', 'when_told',
                 'ask_client',
            'lapse'
            ])[1 + dice / 7 % 10] AS intent,
            (ARRAY[
                'on', 'on', 'on', 'on', 'on', 'on', 'on', 'off', 'unknown', 'unknown'
            ])[1 + dice / 11 % 10] AS lock,
            (ARRAY[
                'amber','anchor','ash','barley','beacon','bell','birch','bramble','brook','cedar','chalk','cliff','clover',
                'copper','coral','crag','dune','ember','fern','flint','gannet','gorse','granite','gull','harbour','hazel','heath',
                'heron','ivy','juniper','kelp','lantern','larch','linen','marsh','meadow','mill','moss','oak','otter','pebble',
                'plover','quay','reed','ridge','rowan','saffron','shoal','slate','sorrel','spruce','tern','thistle','tide',
                'timber','vale','walnut','willow','wren','yarrow'
            ])[1 + dice / 13 % 60]
            || (ARRAY[
                '', '-'
            ])[1 + dice / 17 % 2]
            || (ARRAY[
                'archive','bakery','barn','books','cafe','choir','club','craft','dairy','dance','design','farm','ferry','films',
                'forge','foundry','garden','gallery','guild','hall','house','inn','joinery','kitchen','law','loom','market',
                'motors','museum','music','news','optics','orchard','parts','pottery','press','records','school','shop','soap',
                'sport','stables','studio','supply','surgery','tailor','theatre','tools','tours','toys','trust','vets','walks',
                'wharf','wine','works','yard','yoga','zoo','radio'
            ])[1 + dice / 19 % 60]
            || '-' || n AS label
        FROM numbered
    ), named AS (
        INSERT INTO names (ascii, unicode, suffix) SELECT label || '.' || suffix, label || '.' || suffix, suffix FROM described
        ORDER BY n RETURNING id, ascii
    ), registered AS (
        INSERT INTO registrations (name_id, span, created_on, ends_on, intent, lock, reference, servers)
        SELECT named.id, tstzrange(ends - 3652, NULL), ends - 3652 + (dice % 3000)::int, ends, intent, lock, 'made-' || n,
            jsonb_build_array('ns1.wire' || dice % 40 || '.example', 'ns2.wire' || dice % 40 || '.example')
        FROM described JOIN named ON named.ascii = label || '.' || suffix RETURNING id, name_id
    ), placed AS (
        SELECT array_agg(id ORDER BY id) AS accounts FROM accounts
    ), served AS (
        SELECT array_agg(id ORDER BY id) AS clients FROM clients
    )
    INSERT INTO holdings (name_id, registration_id, account_id, client_id, span)
    SELECT name_id, id, accounts[1 + (name_id * 7919) % cardinality(accounts)], clients[1 + (name_id * 104729) % cardinality(clients)],
    '[2024-01-01,)'
    FROM registered, placed, served RETURNING name_id
    SQL;

    public function handle(TradeClock $clock, MakeStandings $standings, RecordRegistrants $registrants): int
    {
        $wanted = (int) $this->argument('names');
        DB::statement(
            "INSERT INTO clients (name) SELECT 'Generated client ' || n FROM generate_series(1, ?::int) AS n ON CONFLICT DO NOTHING",
            [min(2_000, intdiv($wanted, 200))],
        );
        DB::statement(
            "INSERT INTO accounts (registrar_id, number, login) SELECT r.id, 'M-' || n, 'made-' || n
                FROM registrars r, generate_series(1, ?::int) AS n ON CONFLICT DO NOTHING",
            [min(200, intdiv($wanted, 2_000))],
        );
        $made = DB::table('registrations')->where('reference', 'like', 'made-%')->count();
        for ($from = $made + 1; $from <= $wanted; $from += 20_000) {
            $until = min($wanted, $from + 19_999);
            $ids = array_map(
                fn (Row $row): int => $row->int('name_id'),
                Row::all(DB::select(self::SQL, [$from, $until, $clock->today()->iso()])),
            );
            $this->registrants($registrants, $ids, max(1, intdiv($wanted, 20)));
            $standings->of($ids);
            // The simulated world has never heard of them: looked at, every one would be an alarm.
            DB::update("UPDATE observing SET due_at = 'infinity' WHERE name_id = ANY (?::bigint[])", ['{'.implode(',', $ids).'}']);
            $this->output->write("\r".number_format($until).' names');
        }
        $this->line('');

        return self::SUCCESS;
    }

    /**
     * Twenty names a registrant, whatever the size; one name in five hundred keeps its mailbox in itself, and three in a thousand guard
     * each other.
     *
     * @param  list<int>  $ids
     */
    private function registrants(RecordRegistrants $registrants, array $ids, int $many): void
    {
        $made = [];
        foreach (
            Row::all(
                DB::select(
                    'SELECT r.name_id, n.ascii, substr(r.reference, 6)::int AS n FROM registrations r JOIN names n ON n.id = r.name_id
                        WHERE r.name_id = ANY (?::bigint[])',
                    ['{'.implode(',', $ids).'}'],
                ),
            ) as $row
        ) {
            $made[$row->int('n')] = [$row->int('name_id'), $row->text('ascii')];
        }
        $said = [];
        foreach ($made as $n => [$id, $ascii]) {
            $site = match (true) {
                $n % 500 === 0 => $ascii,
                in_array($n % 1_000, [1, 2, 3], true) => $made[$n % 1_000 === 3 ? $n - 2 : $n + 1][1] ?? $ascii,
                default => 'registrant-'.$n % $many.'.example',
            };
            $said[$id] = ['registrant' => 'Registrant '.$n % $many, 'mailbox' => "post@{$site}"];
        }
        foreach (array_chunk($said, 2_000, true) as $some) {
            DB::transaction(fn () => $registrants->of($some, 'brought in', null));
        }
    }
}
