<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\NextKind;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Precision;
use Acre\Core\Time\Span;
use App\Actions\Standings\MakeStandings;
use App\Models\Client;
use App\Models\Name;
use App\Models\Price;
use App\Queries\Names\CaseFiles;
use App\Support\Dates;
use App\Support\TradeClock;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** One name, day by day through the end of its term: every page tells the day and the sum that the core says. */
final class OneTruthTest extends TestCase
{
    private const END = '2026-10-06';

    private House $house;

    private Client $client;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
        $this->house->skerry->update(['plain_after_days' => 10, 'late_until_days' => 35, 'charge_lead_days' => 5]);
        foreach (['com', 'co.uk'] as $suffix) {
            foreach (['renew' => '9.90', 'late' => '75.40', 'restore' => '86.10'] as $action => $amount) {
                Price::query()->updateOrCreate(
                    ['registrar_id' => $this->house->skerry->id, 'suffix' => $suffix, 'action' => $action],
                    ['amount' => $amount, 'currency' => 'GBP', 'span' => Span::since(Instant::of('2020-01-01'))],
                );
            }
        }
        $this->client = Client::query()->create(['name' => 'Quince Works']);
    }

    /** @return array<string, array{string, string}> */
    public static function lives(): array
    {
        return [
            'renewed on request' => ['quince.com', 'when_told'],
            'asked about' => ['quince.com', 'ask_client'],
            'intended to lapse' => ['quince.com', 'lapse'],
            'renewed by itself' => ['quince.com', 'by_itself'],
            'under .uk' => ['quince.co.uk', 'when_told'],
        ];
    }

    #[DataProvider('lives')]
    public function test_every_page_tells_the_same_day_and_sum(string $ascii, string $intent): void
    {
        $clock = app(TradeClock::class);
        $clock->set(Instant::of('2026-08-20T09:00:00Z'));
        $name = $this->house->name(
            $ascii,
            client: $this->client,
            facts: ['ends_on' => Instant::of(self::END), 'created_on' => Instant::of('2020-10-06'), 'intent' => $intent],
        );
        $this->actingAs($this->house->steward);
        $seen = [];
        foreach ([-40, -21, -14, -6, -5, -1, 0, 1, 9, 10, 11, 29, 30, 34, 35, 36, 64, 65, 66, 70, 88, 95] as $day) {
            $now = Instant::of(self::END)
                ->plusDays($day)
                ->to(Precision::Second)
                ->plusSeconds(9 * 3_600);
            $clock->set($now);
            $clock->forget();
            app(MakeStandings::class)->of([$name->id]);
            $standing = app(CaseFiles::class)
                ->of([$name->id], $clock->now())[$name->id]->standing(app(Rulebook::class), $clock->now());
            $seen[$standing->next->value] = true;
            $this->compare($name, $standing, "{$ascii}, {$intent}, {$now->date()}, {$standing->next->value}");
        }
        self::assertGreaterThan(1, count($seen), 'the walk goes through what there is');
    }

    private function compare(Name $name, Standing $standing, string $when): void
    {
        $clock = app(TradeClock::class);
        $sum = $standing->sum?->text();
        $near = $standing->at === null ? null : Dates::near($standing->at->toDay(), $clock->today());
        $roll = $this->row(
            (string) $this->get('/roll?q='.$name->ascii)
                ->assertOk()
                ->getContent(),
            '<td class="c-next">',
            '</td>',
        );
        $folio = strip_tags(
            (string) $this->get("/names/{$name->ascii}")
                ->assertOk()
                ->getContent(),
        );
        $sheet = strip_tags(
            (string) $this->get("/clients/{$this->client->id}/sheet")
                ->assertOk()
                ->getContent(),
        );
        $desk = $this->row(
            (string) $this->get("/clients/{$this->client->id}")
                ->assertOk()
                ->getContent(),
            '<td class="c-next">',
            '</td>',
        );
        self::assertSame($roll, $desk, "{$when}: the client’s page");
        if ($near !== null && ! in_array($standing->next, [NextKind::Lapsing, NextKind::Presumed], true)) {
            self::assertStringContainsString($near, $roll, "{$when}: the Roll’s day");
        }
        if ($sum !== null) {
            self::assertStringContainsString($sum, $roll, "{$when}: the Roll’s sum");
            self::assertStringContainsString($sum, $folio, "{$when}: the folio’s sum");
        }
        $rounds = strip_tags((string) $this->get('/rounds')->assertOk()->getContent());
        $letter = strip_tags((string) $this->get('/rounds/letter')->assertOk()->getContent());
        if ($standing->isAmiss) {
            self::assertStringContainsString($name->ascii, $rounds, "{$when}: Rounds");
            self::assertStringContainsString($name->ascii, $letter, "{$when}: the letter");
            // What is only presumed may cost nothing any more, or more: Rounds tell its last day.
            foreach (array_filter([$standing->next === NextKind::Presumed ? null : $sum, $near], is_string(...)) as $said) {
                self::assertStringContainsString($said, $rounds, "{$when}: Rounds’ {$said}");
                self::assertStringContainsString($said, $letter, "{$when}: the letter’s {$said}");
                self::assertSame(str_contains($roll, $said), str_contains($sheet, $said), "{$when}: the sheet’s {$said}");
            }
        }
        $this->calendar($name, $standing, $when);
    }

    /** What is in the future of the days that a calendar tells stands in it on that day, and on no other. */
    private function calendar(Name $name, Standing $standing, string $when): void
    {
        $calendar = str_replace("\r\n ", '', $this->get('/roll/calendar.ics?q='.$name->ascii)->streamedContent());
        preg_match_all('/UID:'.preg_quote($name->ascii, '/').'\.([a-z_]+)@.*?DTSTART;VALUE=DATE:(\d{8})/s', $calendar, $found);
        $days = array_combine($found[1], $found[2]);
        foreach ($days as $kind => $day) {
            $event = EventKind::tryFrom($kind);
            self::assertNotNull($event, $kind);
            self::assertSame(
                str_replace(
                    '-',
                    '',
                    (string) ($event === EventKind::End
                        ? $standing->lifecycle->facts->ends
                        : $standing->lifecycle->coming($event)?->at
                    )?->date(),
                ),
                $day,
                "{$when}: the calendar’s {$kind}",
            );
        }
        if (
            $standing->isAmiss &&
            $standing->at !== null &&
            $standing->at->isAfter($standing->lifecycle->now) &&
            in_array($standing->next, [NextKind::LatePlain, NextKind::Redemption], true)
        ) {
            self::assertContains(
                str_replace('-', '', $standing->at->date()),
                $days,
                "{$when}: the calendar has the day that the Roll tells",
            );
        }
    }

    private function row(string $page, string $from, string $to): string
    {
        $at = strpos($page, $from);

        return $at === false
            ? ''
            : trim(
                (string) preg_replace(
                    '/\s+/',
                    ' ',
                    strip_tags(str_replace('<', ' <', substr($page, $at, (int) strpos($page, $to, $at) - $at))),
                ),
            );
    }
}
