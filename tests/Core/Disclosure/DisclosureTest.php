<?php

declare(strict_types=1);

namespace Tests\Core\Disclosure;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Disclosure\Steps;
use Acre\Core\Record\FieldSeen;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordDifference;
use Acre\Core\Record\Source;
use Acre\Core\Rulebook\Published;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use ValueError;

final class DisclosureTest extends TestCase
{
    private static function holder(HolderKind $kind = HolderKind::Organisation): Contact
    {
        return Contact::of(
            $kind,
            'Bell Foundry',
            'Gudrun Kettle',
            Address::of(['PO Box 7', 'Foundry Lane'], 'Wickerby', null, 'WS1 4AB', Country::of('GB')),
            Phone::of('+44 1632 960114'),
            Mailbox::of('ledger@bells.example'),
        );
    }

    private static function rules(string $suffix): Published
    {
        return (new Rulebook(__DIR__.'/../../../rulebook'))->for($suffix, Instant::of('2026-10-06'))->published->value;
    }

    /**
     * @param  list<Field>  $shown
     * @return array<string, string> states by field
     */
    private static function states(string $suffix, array $shown, HolderKind $kind = HolderKind::Organisation, bool $privacy = false): array
    {
        $record = PublishedRecord::of(self::holder($kind), Pattern::of($shown), self::rules($suffix), $privacy);

        return array_combine(
            array_column(Field::cases(), 'value'),
            array_map(fn (Field $field): string => $record->field($field)->state->value, Field::cases()),
        );
    }

    public function test_the_record_follows_suffix_kind_and_wish(): void
    {
        // ICANN Registration Data Policy: country and region always; the rest where the registrant agrees.
        $com = self::states('com', [Field::Organisation]);
        self::assertSame(
            ['region', 'country', 'organisation'],
            [
                ...array_keys(array_intersect_key($com, ['region' => 1, 'country' => 1]), 'shown', true),
                ...array_keys(array_intersect_key($com, ['organisation' => 1]), 'shown', true),
            ],
        );
        self::assertSame(6, count(array_keys($com, 'redacted', true)));
        self::assertSame(['redacted'], array_values(array_unique(self::states('de', Field::cases()))));
        self::assertSame(['shown'], array_values(array_unique(self::states('us', []))));
        self::assertSame('shown', self::states('fr', [])['organisation']);
        self::assertSame('redacted', self::states('fr', [], HolderKind::Person)['organisation']);
        self::assertSame(
            'redacted',
            self::states('fr', [], HolderKind::Unknown)['organisation'],
            'taken for the one of which less is shown',
        );
        self::assertSame(['replaced'], array_values(array_unique(self::states('com', Field::cases(), privacy: true))));
        self::assertSame(['redacted'], array_values(array_unique(self::states('de', [], privacy: true))));
    }

    public function test_what_may_be_withheld_is_withheld_and_told_apart_from_redacted(): void
    {
        $rules = Published::read([
            'organisation' => [
                'choice' => ['name', 'organisation', 'street', 'town', 'region', 'postcode', 'voice', 'mailbox'],
                'shown' => ['country'],
            ],
            'person' => ['redacted' => array_column(Field::cases(), 'value')],
        ]);
        $of = fn (array $shown, HolderKind $kind = HolderKind::Organisation): PublishedRecord => PublishedRecord::of(
            self::holder($kind),
            Pattern::read($shown),
            $rules,
            false,
        );
        self::assertSame(
            [Disclosure::Withheld, Disclosure::Shown],
            [$of([])->field(Field::Name)->state, $of([])->field(Field::Country)->state],
        );
        self::assertSame(
            [Disclosure::Withheld, Disclosure::Shown, Disclosure::Redacted],
            [$of([])->inOneWord(), $of(array_column(Field::cases(), 'value'))->inOneWord(), $of([], HolderKind::Person)->inOneWord()],
        );
        self::assertSame([Field::Name, Field::Mailbox], $of(['name', 'mailbox'])->differs($of([])));
        self::assertFalse(
            $of(['region'])
                ->field(Field::Region)
                ->isRead(),
            'of what is not known nothing is read',
        );
    }

    public function test_a_record_that_was_read_is_held_against_it_field_by_field(): void
    {
        $meant = PublishedRecord::of(
            self::holder(),
            Pattern::of([Field::Organisation, Field::Street, Field::Voice]),
            self::rules('com'),
            false,
        );

        $read = fn (FieldSeen ...$fields): array => RecordDifference::fields(
            $meant,
            new Record('bell.com', Source::Registry, holder: array_combine(array_map(strval(...), array_keys($fields)), $fields)),
        );
        $right = [
            'organisation' => FieldSeen::shown('Bell  foundry'),
            'street' => FieldSeen::shown("PO Box 7\nFoundry Lane"),
            'country' => FieldSeen::shown('GB'),
            'voice' => FieldSeen::shown('+44-1632-960114'),
            'name' => FieldSeen::redacted(null),
        ];
        self::assertSame([], $read(...$right));
        self::assertSame([Field::Name], $read(...['name' => FieldSeen::shown('Gudrun Kettle')] + $right));
        self::assertSame([Field::Organisation], $read(...['organisation' => FieldSeen::redacted('wish')] + $right));
        self::assertSame([Field::Country], $read(...['country' => FieldSeen::shown('DE')] + $right));
        $replaced = PublishedRecord::of(self::holder(), Pattern::of([]), self::rules('com'), true);
        self::assertSame(
            [],
            RecordDifference::fields(
                $replaced,
                new Record('bell.com', Source::Registry, holder: ['name' => FieldSeen::shown('A service')]),
            ),
        );
        self::assertSame(
            [Field::Name],
            RecordDifference::fields(
                $replaced,
                new Record('bell.com', Source::Registry, holder: ['name' => FieldSeen::shown('Gudrun Kettle')]),
            ),
        );
    }

    public function test_the_nearest_step_never_shows_more_than_the_pattern(): void
    {
        mt_srand(733);
        $some = fn (): Pattern => Pattern::of(array_filter(Field::cases(), fn (): bool => mt_rand(0, 1) === 1));
        for ($round = 0; $round < 500; $round++) {
            $steps = array_map(fn (): Pattern => $some(), range(1, mt_rand(1, 6)));
            $wish = $some();
            $nearest = Steps::of($steps)->nearest($wish);
            self::assertTrue($nearest->isWithin($wish));
            $best = max([0, ...array_map(fn (Pattern $step): int => $step->isWithin($wish) ? count($step->fields) : 0, $steps)]);
            self::assertCount($best, $nearest->fields);
            self::assertTrue(Steps::fieldByField()->nearest($wish)->equals($wish));
        }
    }

    public function test_a_pattern_is_in_the_records_order_and_knows_what_it_adds(): void
    {
        $pattern = Pattern::read(['mailbox', 'name', 'nonsense', 7, 'name']);
        self::assertSame(['name', 'mailbox'], $pattern->words());
        self::assertSame([Field::Mailbox], $pattern->without(Pattern::of([Field::Name])));
    }

    public function test_rules_that_forget_a_field_or_name_it_twice_are_refused(): void
    {
        $all = array_column(Field::cases(), 'value');
        foreach (
            [
                [],
                ['organisation' => ['shown' => $all]],
                ['organisation' => ['shown' => $all], 'person' => ['shown' => array_slice($all, 1)]],
                ['organisation' => ['shown' => $all, 'redacted' => ['name']], 'person' => ['shown' => $all]],
                ['organisation' => ['hidden' => $all], 'person' => ['shown' => $all]],
            ] as $wrong
        ) {
            try {
                Published::read($wrong);
                self::fail('It was taken.');
            } catch (ValueError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }
}
