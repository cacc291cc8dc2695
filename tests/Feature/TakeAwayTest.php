<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Time\Instant;
use Acre\Wire\Lists\Cell;
use Acre\Wire\Lists\ListRow;
use Acre\Wire\Lists\Lists;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Standings\MakeStandings;
use App\Actions\Words\GiveWords;
use App\Models\CalendarAddress;
use App\Models\Client;
use App\Models\Import;
use App\Models\Name;
use App\Models\Registrar;
use App\Queries\Roll\ExportRoll;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use ZipArchive;

/** Taking away what the sentence shows, and bringing it back. */
final class TakeAwayTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->house = new House();
        $this->house->name(
            'glockenwärts.com',
            facts: [
                'registrant' => '=HYPERLINK("x")',
                'mailbox' => 'ledger@bells.example',
                'reference' => '-12 =',
                'intent' => Intent::ByItself,
                'lock' => Lock::NotKnown,
                'moved_on' => Instant::of('2024-01-31'),
                'statuses' => [Status::ClientTransferProhibited->value],
                'servers' => ['ns1.wire.example', 'ns2.wire.example'],
                'disclosure' => Disclosure::Withheld,
                'own_renewal' => '120.50',
                'own_currency' => 'EUR',
                'raw' => ['folder' => 'green'],
            ],
        );
        $other = Registrar::query()->create(['name' => 'Oriel Names']);
        $peal = $this->house->name(
            'peal.org',
            $this->house->account('77', null, $other),
            facts: ['intent' => Intent::AskClient, 'registrant' => "'quoted'", 'ends_on' => null],
        );
        app(GiveWords::class)->give([$peal->id], ['Shops', 'a b']);
        app(MakeStandings::class)->of([$peal->id]);
        $this->actingAs($this->house->clerk);
    }

    private static function part(string $archive, string $name): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'acre-away-');
        file_put_contents($path, $archive);
        $zip = new ZipArchive();
        self::assertTrue($zip->open($path));
        $part = (string) $zip->getFromName($name);
        $zip->close();
        unlink($path);

        return $part;
    }

    /**
     * @return array{list<string>, list<list<string>>, list<list<int>>} headings and rows, read as any list is, and which of their cells are
     *     numbers
     */
    private function read(string $content): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'acre-away-');
        file_put_contents($path, $content);
        $list = Lists::open($path);
        $read = iterator_to_array($list->rows(), false);
        unlink($path);

        return [
            $list->headings,
            array_map(fn (ListRow $row): array => array_map(Cell::plain(...), $row->cells), $read),
            array_map(fn (ListRow $row): array => $row->numbers, $read),
        ];
    }

    #[TestWith(['csv'])]
    #[TestWith(['xlsx'])]
    #[TestWith(['ods'])]
    public function test_a_list_is_read_back_as_it_was(string $kind): void
    {
        $content = $this->get("/roll/export/{$kind}?sort=name")
            ->assertOk()
            ->streamedContent();
        [$headings, $rows, $numbers] = $this->read($content);
        self::assertSame(ExportRoll::HEADINGS, $headings);
        $bell = array_combine($headings, array_pad($rows[1], count($headings), ''));
        $wanted = [
            'Name' => 'xn--glockenwrts-s8a.com',
            'Unicode' => 'glockenwärts.com',
            'Client' => 'Wickerby Bell Foundry',
            'Account' => '40718',
            'Registrant' => '=HYPERLINK("x")',
            'Moved' => '2024-01-31',
            'Status' => 'clientTransferProhibited',
            'Lock' => '',
            'Intent' => 'auto-renew',
            'Public record' => 'withheld by choice',
            'Name servers' => 'ns1.wire.example ns2.wire.example',
            'Renewal price' => $kind === 'csv' ? '120.50' : '120.5',
            'Price currency' => 'EUR',
            'Reference' => '-12 =',
        ];
        self::assertSame($wanted, array_intersect_key($bell, $wanted));
        if ($kind !== 'csv') {
            // A price is a number and a date a date, for whoever sums and sorts them there.
            self::assertSame([array_search('Renewal price', $headings, true)], array_values(array_intersect($numbers[1], [16])));
            $part = $kind === 'ods' ? self::part($content, 'content.xml') : self::part($content, 'xl/worksheets/sheet1.xml');
            self::assertMatchesRegularExpression(
                $kind === 'ods'
                    ? '/office:value-type="date" office:date-value="2024-01-31" table:style-name="date"/'
                    : '/s="[1-9]\d*"><v>45322<\/v>/',
                $part,
            );
        }
        if ($kind === 'csv') {
            self::assertStringContainsString("\"'=HYPERLINK(\"\"x\"\")\"", $content);
            self::assertStringContainsString(",\"'-12 =\",", $content);
        }
    }

    public function test_json_is_as_it_is(): void
    {
        $rows = json_decode($this->get('/roll/export/json?q=glocken')->streamedContent(), true, 8, JSON_THROW_ON_ERROR);
        self::assertIsArray($rows);
        self::assertCount(1, $rows);
        self::assertSame('=HYPERLINK("x")', is_array($rows[0]) ? $rows[0]['Registrant'] : null);
        self::assertSame("[\n]\n", $this->get('/roll/export/json?q=nothing-has-this')->streamedContent());
        $this->get('/roll/export/exe')->assertNotFound();
    }

    #[TestWith(['csv'])]
    #[TestWith(['xlsx'])]
    #[TestWith(['ods'])]
    #[TestWith(['json'])]
    public function test_brought_back_unchanged_there_is_nothing_to_change(string $kind): void
    {
        $this->bringBack($this->get("/roll/export/{$kind}")->streamedContent())
            ->assertSee('0 new')
            ->assertSee('0 changed')
            ->assertSee('2 the same')
            ->assertSee('0 refused')
            ->assertSee('There is nothing to import');
    }

    public function test_a_watched_name_is_taken_along_and_brought_back_it_stays_watched(): void
    {
        $name = Name::query()->create(['ascii' => 'wanted.com', 'unicode' => 'wanted.com', 'suffix' => 'com']);
        DB::table('watchings')->insert([
            'name_id' => $name->id,
            'client_id' => $this->house->foundry->id,
            'why' => 'should it lapse',
            'since' => '2026-10-01',
            'registrar' => 'Farshore Domains',
            'ends_on' => '2026-11-11',
            'servers' => '["ns1.farshore.example"]',
        ]);
        app(MakeStandings::class)->of([$name->id]);
        $content = $this->get('/roll/export/csv')->streamedContent();
        [$headings, $rows] = $this->read($content);
        self::assertCount(3, $rows);
        $wanted = [
            'Name' => 'wanted.com',
            'Registrar' => 'Farshore Domains',
            'Account' => '',
            'Ends' => '2026-11-11',
            'Name servers' => 'ns1.farshore.example',
            'Phase' => 'in its paid term, only watched, in none of our accounts',
        ];
        self::assertSame($wanted, array_intersect_key(array_combine($headings, array_pad($rows[0], count($headings), '')), $wanted));
        $event = array_values(
            array_filter(
                $this->events($this->get('/roll/calendar.ics')->streamedContent()),
                fn (VEvent $event): bool => self::value($event, 'SUMMARY') === 'wanted.com ends',
            ),
        )[0];
        self::assertSame(
            'Wickerby Bell Foundry, Farshore Domains. Only watched, in none of our accounts.',
            self::value($event, 'DESCRIPTION'),
        );
        $this->bringBack($content)->assertSee('0 new')->assertSee('3 the same')->assertSee('0 refused');
        $this->get("/clients/{$this->house->foundry->id}")
            ->assertOk()
            ->assertSeeInOrder(['2 names are held for them', 'One name is only watched', 'Registrars and accounts'])
            ->assertDontSee('Farshore');
        // On paper for whom it is watched there is what we keep for them.
        $this->get("/clients/{$this->house->foundry->id}/sheet")
            ->assertOk()
            ->assertSeeInOrder(['Domain names of Wickerby Bell Foundry', '2 names', 'glockenwärts.com', 'peal.org'])
            ->assertDontSee('wanted.com');
        // Somebody who says in which account it is has got it.
        $this->bringBack("name,account,ends\nwanted.com,40718,2026-11-11\n")->assertSee('1 new');
    }

    /** @return TestResponse<Response> */
    private function bringBack(string $content): TestResponse
    {
        $this->post('/imports', [
            'list' => UploadedFile::fake()->createWithContent('acre-roll.csv', $content),
            'registrar' => $this->house->skerry->id,
            'client' => $this->house->harrow->id,
        ])->assertSessionHasNoErrors();
        $import = Import::query()->latest('id')->firstOrFail();
        $this->post("/imports/{$import->id}/columns", [
            'columns' => $import->matched['columns'] ?? [],
            'order' => 'ymd',
        ])->assertSessionHasNoErrors();

        return $this->get("/imports/{$import->id}");
    }

    /** @return list<VEvent> */
    private function events(string $content): array
    {
        $calendar = Reader::read($content);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());

        return array_values(array_filter(iterator_to_array($calendar->children()), fn (mixed $child): bool => $child instanceof VEvent));
    }

    private static function value(VEvent $event, string $key): string
    {
        $property = array_values($event->select($key))[0] ?? null;

        return $property instanceof Property && is_string($property->getValue()) ? $property->getValue() : '';
    }

    public function test_a_calendar_says_when_each_name_ends_and_is_charged(): void
    {
        $content = $this->get('/roll/calendar.ics')->assertHeader('Content-Type', 'text/calendar; charset=UTF-8')->streamedContent();
        self::assertDoesNotMatchRegularExpression('/(?<!\r)\n/', $content);
        self::assertLessThanOrEqual(75, max(array_map(strlen(...), explode("\r\n", $content))));
        $events = $this->events($content);
        self::assertSame(
            ['glockenwärts.com ends', 'glockenwärts.com is charged'],
            array_map(fn (VEvent $event): string => self::value($event, 'SUMMARY'), $events),
        );
        self::assertSame(['20271102', '20271026'], array_map(fn (VEvent $event): string => self::value($event, 'DTSTART'), $events));
        self::assertStringStartsWith('xn--glockenwrts-s8a.com.end@', self::value($events[0], 'UID'));
        $this->house->name('oak.com', facts: ['ends_on' => Instant::of('2027-01-01')]);
        $before = $this->events($this->get('/roll/calendar.ics?q=oak.com')->streamedContent())[0];
        self::assertCount(3, $before->select('VALARM'));
        // RFC 5545 §3.8.6.3: a negative duration comes before what it is about.
        self::assertSame(3, preg_match_all('/^TRIGGER[^:]*:-P\d+[DW]/m', $before->serialize()));
        self::assertSame('oak.com.end@127.0.0.1', self::value($before, 'UID'));
        // RFC 7986 §5.7: its type must be said.
        self::assertStringContainsString("\r\nREFRESH-INTERVAL;VALUE=DURATION:P1D\r\n", $content);
    }

    /** .com: a charge at the registrar's lead, forty-five days of grace at most and thirty of redemption (RFC 3915 §3.1). */
    public function test_a_calendar_has_the_last_days_the_clients_and_those_of_verification(): void
    {
        $this->house->skerry->update(['plain_after_days' => 14, 'late_until_days' => 30]);
        $this->house->name('asked.com', facts: ['ends_on' => Instant::of('2026-12-20'), 'intent' => 'ask_client']);
        $this->house->name('late.com', facts: ['ends_on' => Instant::of('2026-09-30')]);
        $this->house->name('lapsing.com', facts: ['ends_on' => Instant::of('2026-09-30'), 'intent' => 'lapse']);
        $this->house->name('renews.com', facts: ['ends_on' => Instant::of('2026-12-20'), 'intent' => 'by_itself']);
        $days = function (string $name): array {
            $days = [];
            foreach ($this->events($this->get("/roll/calendar.ics?q={$name}")->streamedContent()) as $event) {
                $days[explode('@', self::value($event, 'UID'))[0]] = [self::value($event, 'DTSTART'), count($event->select('VALARM'))];
            }

            return $days;
        };
        self::assertSame(
            ['asked.com.end' => ['20261220', 3], 'asked.com.ask_by' => ['20261206', 2]],
            array_slice($days('asked.com'), 0, 2),
        );
        self::assertSame(
            ['asked.com.end', 'asked.com.ask_by', 'asked.com.last_plain', 'asked.com.last_at_all'],
            array_keys($days('asked.com')),
        );
        self::assertSame(['late.com.end', 'late.com.last_plain', 'late.com.last_at_all'], array_keys($days('late.com')));
        self::assertSame(['20261014', 2], $days('late.com')['late.com.last_plain']);
        self::assertSame(
            [['lapsing.com.end', 'lapsing.com.last_at_all'], [0, 0]],
            [array_keys($days('lapsing.com')), array_column($days('lapsing.com'), 1)],
        );
        self::assertSame(['renews.com.end', 'renews.com.charge'], array_keys($days('renews.com')));
        self::assertSame(0, $days('renews.com')['renews.com.end'][1]);
        $late = array_values(
            array_filter(
                $this->events($this->get('/roll/calendar.ics?q=late.com')->streamedContent()),
                fn (VEvent $event): bool => str_contains(self::value($event, 'UID'), 'last_plain'),
            ),
        )[0];
        self::assertSame('late.com: last day at the normal price', self::value($late, 'SUMMARY'));
        DB::table('standings')
            ->where('ascii', 'asked.com')
            ->update(['verify_by' => '2026-10-20']);
        self::assertSame(['20261020', 3], $days('asked.com')['asked.com.verify']);
    }

    public function test_an_address_answers_without_a_session_until_it_is_taken_back(): void
    {
        $this->post('/roll/calendars', ['q' => 'glocken'])->assertRedirect('/calendars');
        $address = session('address');
        self::assertIsString($address);
        $path = (string) parse_url($address, PHP_URL_PATH);
        $this->get('/calendars')->assertSee($address)->assertSee('never');
        $kept = CalendarAddress::query()->sole();
        self::assertStringNotContainsString(basename($path, '.ics'), (string) json_encode($kept->getAttributes()));

        auth()->forgetGuards();
        self::assertCount(2, $this->events($this->get($path)->assertOk()->streamedContent()));
        $this->get('/calendar/'.str_repeat('x', 48).'.ics')->assertNotFound();
        $this->actingAs($this->house->steward)
            ->delete("/calendars/{$kept->id}")
            ->assertForbidden();

        // Who may not sign in any more takes nothing away either.
        $this->house->clerk->update(['may_sign_in' => false]);
        $this->get($path)->assertNotFound();
        $this->house->clerk->update(['may_sign_in' => true]);
        $this->actingAs($this->house->clerk)
            ->delete("/calendars/{$kept->id}")
            ->assertRedirect('/calendars');
        $this->get($path)->assertNotFound();
    }

    /** On the telephone: what is due first, what a year costs, who their registrants are, and what is open. */
    public function test_a_clients_page_says_what_one_needs_when_they_telephone(): void
    {
        $this->house->name(
            'late.com',
            facts: ['ends_on' => Instant::of('2026-09-24'), 'registrant' => 'Bell Foundry', 'mailbox' => 'ledger@bells.example'],
        );
        $open = $this->house->name('calm.com', facts: ['registrant' => 'Bell Foundry', 'mailbox' => 'ledger@bells.example']);
        foreach (range(1, 12) as $number) {
            $this->house->name("other-{$number}.com", facts: ['ends_on' => Instant::of('2028-11-02')]);
        }
        $docket = app(PrepareDocket::class)->handle(
            $this->house->steward,
            House::token(),
            'hand_over',
            [$open->id],
            $this->house->terms()->pack(),
            [$open->id],
        );
        $page = $this->actingAs($this->house->reader)
            ->get("/clients/{$this->house->foundry->id}")
            ->assertOk();
        $page->assertSeeInOrder([
            'names',
            'Yearly cost:',
            'late.com',
            '£9.90 to 8 Nov',
            'more name',
            'Open dockets',
            "docket {$docket->id}",
            'Hand over',
            'prepared, one name',
            'Registrants',
            'Bell Foundry',
            '2 names',
        ]);
        self::assertSame(12, substr_count((string) $page->getContent(), 'class="c-name" scope="row"'));
        $empty = Client::query()->create(['name' => 'Nobody Yet']);
        $this->get("/clients/{$empty->id}")
            ->assertOk()
            ->assertSee('No names are held for them yet')
            ->assertDontSee('Open dockets');
    }

    public function test_a_clients_sheet_says_what_is_kept_what_ends_and_what_it_costs(): void
    {
        $this->house->name('oak.com', facts: ['ends_on' => Instant::of('2027-01-01'), 'intent' => Intent::Lapse]);
        $this->actingAs($this->house->reader)
            ->get("/clients/{$this->house->foundry->id}/sheet")
            ->assertOk()
            ->assertSeeInOrder([
                'Domain names of Wickerby Bell Foundry',
                '3 names',
                'One of them costs',
                '€120.50',
                'One of them costs',
                '£9.90',
                'oak.com',
                '1 Jan 2027',
                'it lapses',
                'glockenwärts.com',
                'it auto-renews',
                '€120.50',
                'peal.org',
                'not known',
                'we ask you first',
            ]);
    }
}
