<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Contact\ContactFinding;
use Acre\Core\Custody\CustodyFinding;
use Acre\Core\Delegation\DelegationFinding;
use Acre\Core\Delegation\ServersFinding;
use Acre\Core\Disclosure\DisclosureFinding;
use Acre\Core\Dnssec\DnssecFinding;
use Acre\Core\Finding\Actor;
use Acre\Core\Finding\Cost;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Hosting\HostingFinding;
use Acre\Core\Hosting\RedirectFinding;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LifecycleFinding;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Movement\Confirms;
use Acre\Core\Movement\ExtraFate;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\Identifier;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\ReceiverBy;
use Acre\Core\Movement\Verdict;
use Acre\Core\Name\NameFinding;
use Acre\Core\Record\RecordFinding;
use Acre\Core\Registrant\RegistrantFinding;
use Acre\Core\Renewal\KeepingFinding;
use Acre\Core\Renewal\RenewalFinding;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Standing\NextKind;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use Acre\Core\Zone\MailFinding;
use Acre\Core\Zone\RecordsFinding;
use App\Actions\Imports\ImportField;
use App\Console\Findings;
use App\Models\DocketState;
use App\Models\LineState;
use App\Models\Role;
use App\Outside\Registrar\OrderKind;
use App\Queries\Names\CaseFiles;
use App\Support\Dates;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use App\View\CureInWords;
use App\View\Words;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Lang;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Nothing that the core can say is without its words. */
final class WordsTest extends TestCase
{
    /** What a view spells out: commands to copy, and how an address or a suffix is written; 0 for each value. */
    private const SPELT = ['./acre', 'verify', 'sha256sum docket-0.txt', 'https://', 'host:700', 'co.uk', 'm'];

    public function test_every_case_that_a_page_can_show_has_its_word(): void
    {
        $keys = [];
        foreach (
            [
                'words.phase.' => Phase::cases(),
                'words.intent.' => Intent::cases(),
                'words.lock.' => Lock::cases(),
                'words.event.' => EventKind::cases(),
                'words.verdict.' => Verdict::cases(),
                'words.actor.' => Actor::cases(),
                'words.cure.' => Cure::cases(),
                'words.identifier.' => Identifier::cases(),
                'words.receiver_by.' => ReceiverBy::cases(),
                'words.confirms.' => Confirms::cases(),
                'handover.confirms.' => Confirms::cases(),
                'words.extra.' => ExtraKind::cases(),
                'words.fate.' => ExtraFate::cases(),
                'words.docket_state.' => DocketState::cases(),
                'words.line_state.' => LineState::cases(),
                'words.role.' => Role::cases(),
                'imports.field.' => ImportField::cases(),
                'outside.order_kind.' => OrderKind::cases(),
                'names.' => NameFinding::cases(),
            ] as $area => $cases
        ) {
            foreach ($cases as $case) {
                $keys[] = $area.$case->value;
            }
        }
        foreach (Cost::cases() as $cost) {
            $keys[] = 'words.cost.'.$cost->name;
        }
        foreach (LegKind::cases() as $kind) {
            array_push($keys, "words.leg.{$kind->value}.do", "words.leg.{$kind->value}.otherwise");
        }
        foreach (NextKind::cases() as $kind) {
            array_push($keys, "standing.next.{$kind->value}.plain", "standing.next.{$kind->value}.lesser");
        }
        self::assertSame([], array_values(array_filter($keys, fn (string $key): bool => ! is_string(__($key)) || __($key) === $key)));
    }

    public function test_the_words_of_a_finding_use_all_its_arguments_and_no_others(): void
    {
        foreach (
            [
                ...LifecycleFinding::cases(),
                ...MovementFinding::cases(),
                ...BookFinding::cases(),
                ...DelegationFinding::cases(),
                ...ServersFinding::cases(),
                ...DnssecFinding::cases(),
                ...MailFinding::cases(),
                ...RecordsFinding::cases(),
                ...HostingFinding::cases(),
                ...RedirectFinding::cases(),
                ...RenewalFinding::cases(),
                ...KeepingFinding::cases(),
            ] as $tag
        ) {
            $said = __('findings.'.$tag::area().'.'.$tag->value);
            self::assertIsString($said);
            preg_match_all('/:([a-z]+)/', $said, $used);
            self::assertEqualsCanonicalizing($tag->arguments(), array_values(array_unique($used[1])), $tag::area().'.'.$tag->value);
            self::assertStringEndsNotWith('.', $said);
        }
    }

    /** A cure leads to where it is done, or says how it is done elsewhere; none is a word that leads nowhere. */
    public function test_every_cure_leads_somewhere_or_says_where_it_is_done(): void
    {
        $house = new House();
        $name = $house->name('bell.com');
        $file = app(CaseFiles::class)->held([$name->id], app(TradeClock::class)->now())[$name->id];
        $seen = [];
        foreach (
            [
                ...LifecycleFinding::cases(),
                ...MovementFinding::cases(),
                ...BookFinding::cases(),
                ...RegistrantFinding::cases(),
                ...ContactFinding::cases(),
                ...DisclosureFinding::cases(),
                ...CustodyFinding::cases(),
                ...RecordFinding::cases(),
                ...DelegationFinding::cases(),
                ...ServersFinding::cases(),
                ...DnssecFinding::cases(),
                ...RecordsFinding::cases(),
                ...HostingFinding::cases(),
                ...RedirectFinding::cases(),
                ...RenewalFinding::cases(),
                ...KeepingFinding::cases(),
            ] as $tag
        ) {
            $finding = Finding::of(
                $tag,
                Effect::Worth,
                null,
                ...array_combine(
                    $tag->arguments(),
                    array_map(fn (string $argument): int|string => $argument === 'docket' ? 7 : 'x', $tag->arguments()),
                ),
            );
            foreach (app(CureInWords::class)->of([$finding], $file) as $cure) {
                $of = $tag->cure()->value ?? '';
                $seen[] = $of;
                self::assertNotSame('', $cure->said);
                self::assertStringNotContainsString(':', str_replace([': nothing', ': request'], '', $cure->said), $of);
                if ($cure->address === null) {
                    self::assertTrue(Lang::has("words.cure_elsewhere.{$of}"), $of);
                } else {
                    $this->actingAs($house->steward)
                        ->get($cure->address)
                        ->assertStatus($of === 'see_docket' ? 404 : 200);
                }
            }
        }
        self::assertEqualsCanonicalizing(
            array_column(array_filter(Cure::cases(), fn (Cure $cure): bool => $cure !== Cure::LeaveOut), 'value'),
            array_values(array_unique($seen)),
        );
    }

    public function test_the_list_of_findings_in_docs_is_what_the_code_says(): void
    {
        self::assertSame(Findings::page(app(Words::class)), (string) file_get_contents(base_path('docs/findings.md')));
    }

    public function test_dates_near_today_leave_the_year_out(): void
    {
        $today = Instant::of('2026-10-06');
        self::assertSame('19 Oct', Dates::near(Instant::of('2026-10-19'), $today));
        self::assertSame('28 Mar 2028', Dates::near(Instant::of('2028-03-28'), $today));
        self::assertSame('6 Oct 2026, 09:00 UTC', Dates::exact(Instant::of('2026-10-06T09:00:00Z')));
    }

    #[TestWith(['words', '6 Oct 2026', '6 Oct', '6 Oct 2028'])]
    #[TestWith(['iso', '2026-10-06', '10-06', '2028-10-06'])]
    #[TestWith(['points', '06.10.2026', '06.10.', '06.10.2028'])]
    #[TestWith(['slashes', '06/10/2026', '06/10', '06/10/2028'])]
    #[TestWith(['something that is not set any more', '6 Oct 2026', '6 Oct', '6 Oct 2028'])]
    public function test_days_are_written_as_the_house_writes_them(string $style, string $full, string $near, string $far): void
    {
        app(HouseSettings::class)->set(['dates' => $style]);
        [$today, $sixth] = [Instant::of('2026-10-01'), Instant::of('2026-10-06')];
        self::assertSame(
            [$full, $near, $near, $far],
            [Dates::full($sixth), Dates::short($sixth), Dates::near($sixth, $today), Dates::near($sixth->plusYears(2), $today)],
        );
    }

    #[TestWith(['UTC', '6 Oct 2026, 22:30 UTC'])]
    #[TestWith(['Europe/Berlin', '7 Oct 2026, 00:30 CEST'])]
    #[TestWith(['America/New_York', '6 Oct 2026, 18:30 EDT'])]
    #[TestWith(['Moon/Tycho', '6 Oct 2026, 22:30 UTC'])]
    public function test_a_time_of_day_is_the_houses_and_a_day_the_trades(string $zone, string $said): void
    {
        app(HouseSettings::class)->set(['zone' => $zone]);
        $late = Instant::of('2026-10-06T22:30:00Z');
        self::assertSame([$said, '6 Oct 2026'], [Dates::exact($late), Dates::exact($late->toDay())]);
    }

    #[TestWith(['client', 'the client, Client, clients'])]
    #[TestWith(['department', 'the department, Department, departments'])]
    #[TestWith(['brand', 'the brand, Brand, brands'])]
    #[TestWith(['customer', 'the customer, Customer, customers'])]
    public function test_those_served_are_called_as_the_house_calls_them(string $served, string $said): void
    {
        app(HouseSettings::class)->set(['served' => $served]);
        self::assertSame($said, __('the :served, :Served, :served_many'));
        self::assertSame("Now held for another {$served}", __('log.give_to_client'));
        self::assertSame('for x and :unknown', __('for :who and :unknown', ['who' => 'x']));
    }

    public function test_no_view_has_words_of_its_own(): void
    {
        $found = [];
        foreach (File::allFiles(resource_path('views')) as $view) {
            $text =
                preg_replace(
                    ['/\{\{--.*?--\}\}/s', '/@php\b(?!\s*\().*?@endphp/s', '/\{\{.*?\}\}|\{!!.*?!!\}/s'],
                    '0',
                    (string) file_get_contents($view->getPathname()),
                ) ?? '';
            // A directive with what it is given, its brackets balanced.
            $text =
                preg_replace('/@\w+(?:\s*(\((?:[^()\'"]++|\'(?:\\\\.|[^\'\\\\])*+\'|"(?:\\\\.|[^"\\\\])*+"|(?1))*+\)))?/', '', $text) ?? '';
            preg_match_all(
                '/(?<![\w:-])(?:aria-label|title|alt|placeholder|label|note|data-label)="([^"]*[A-Za-z][^"]*)"/',
                $text,
                $attributes,
            );
            $text = preg_replace('/<[a-z\/!](?:[^<>"\']++|"[^"]*+"|\'[^\']*+\')*+>|&\w+;/i', '', $text) ?? '';
            preg_match_all('/[^\s]*\p{L}[^\n]*/u', $text, $texts);
            $found[] = array_map(
                fn (string $words): string => "{$view->getRelativePathname()}: {$words}",
                array_diff(array_map(trim(...), [...$attributes[1], ...$texts[0]]), self::SPELT),
            );
        }
        self::assertSame([], array_merge(...$found));
    }

    /** What ends a block leaves a blank, and a comma, a colon or a full stop comes without one. */
    public function test_no_punctuation_comes_after_a_blank(): void
    {
        $found = [];
        foreach (File::allFiles(resource_path('views')) as $view) {
            $text = (string) preg_replace('/\{\{--.*?--\}\}/s', '', (string) file_get_contents($view->getPathname()));
            preg_match_all('/\s@end\w+\s*(?:([,.;:)?!])(?=[\s<{@])|\{\{\s*__\(\s*\'([\w.]+)\')/', $text, $ends, PREG_SET_ORDER);
            foreach ($ends as $end) {
                $said = isset($end[2]) ? __($end[2]) : $end[1] ?? '';
                if (is_string($said) && preg_match('/^[,.;:)?!](?!\w)/', $said) === 1) {
                    $found[] = "{$view->getRelativePathname()}: {$end[0]}";
                }
            }
        }
        self::assertSame([], $found);
    }

    public function test_every_word_that_a_view_asks_for_is_there(): void
    {
        $missing = [];
        foreach (File::allFiles(resource_path('views')) as $view) {
            preg_match_all(
                '/(?:__|trans_choice)\(\'([a-z_]+\.[\w.]*\w)\'[,)]|<x-sentence of="([\w.]+)"/',
                (string) file_get_contents($view->getPathname()),
                $keys,
            );
            foreach (array_diff([...$keys[1], ...$keys[2]], ['']) as $key) {
                if (! Lang::has($key)) {
                    $missing[] = $view->getRelativePathname().': '.$key;
                }
            }
        }
        self::assertSame([], $missing);
    }
}
