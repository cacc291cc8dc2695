<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use Acre\Core\Contact\Field;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\RoleKind;
use Acre\Core\Lifecycle\EventKind;
use Acre\Core\Rulebook\MovesBy;
use Acre\Core\Rulebook\Phase;
use Acre\Core\Rulebook\Publication;
use Acre\Core\Rulebook\RegistrantConfirms;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Rulebook\RulebookError;
use Acre\Core\Rulebook\RuleFile;
use Acre\Core\Time\Instant;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Core\Given;

final class RulebookTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../../rulebook';

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (array_filter((array) glob(self::FOLDER.'/*.yaml'), is_string(...)) as $path) {
            yield basename($path) => [$path];
        }
    }

    #[DataProvider('files')]
    public function test_every_file_is_of_the_published_shape_and_is_read(string $path): void
    {
        $data = json_decode((string) json_encode(Yaml::parseFile($path)));
        $result = (new Validator())->validate($data, (string) file_get_contents(self::FOLDER.'/schema.json'));
        self::assertTrue($result->isValid(), (string) $result);
        $rules = RuleFile::read($path)->at(Instant::of('2026-10-06'), 'any');
        self::assertGreaterThanOrEqual($rules->leastMonths->value, 12 * $rules->mostYears->value);
    }

    public function test_a_suffix_without_a_file_gets_the_default_that_says_so(): void
    {
        $rules = (new Rulebook(self::FOLDER))->for('nothing-known', Instant::of('2026-10-06'));
        self::assertTrue($rules->isDefault);
        self::assertSame('nothing-known', $rules->suffix);
        self::assertFalse((new Rulebook(self::FOLDER))->for('com', Instant::of('2026-10-06'))->isDefault);
    }

    public function test_at_least_the_suffixes_that_agencies_keep_have_a_page(): void
    {
        $wanted = [
            'com',
            'net',
            'org',
            'info',
            'biz',
            'app',
            'dev',
            'io',
            'co',
            'ai',
            'me',
            'us',
            'uk',
            'co.uk',
            'org.uk',
            'eu',
            'de',
            'fr',
            'nl',
            'ch',
            'at',
            'ca',
            'au',
            'com.au',
        ];
        self::assertSame([], array_values(array_diff($wanted, (new Rulebook(self::FOLDER))->suffixes())));
    }

    public function test_a_rule_that_changed_is_judged_by_the_edition_of_the_day(): void
    {
        $by = fn (string $suffix, string $day): MovesBy => (new Rulebook(self::FOLDER))->for($suffix, Instant::of($day))->movesBy->value;
        self::assertSame([MovesBy::Mail, MovesBy::Code], [$by('eu', '2012-09-30'), $by('eu', '2012-10-01')]);
        self::assertSame(MovesBy::Tag, $by('co.uk', '2026-10-06'));
        // What a review would change stands in the file, and is not in force.
        $com = (new Rulebook(self::FOLDER))->file('com');
        self::assertSame([60, 30], array_column($com->editionsByKey()['hold_after_moved_days'], 'value'));
        self::assertSame(60, $com->at(Instant::of('2040-01-01'), 'com')->holdAfterMoved->value);
    }

    public function test_quarantine_a_short_term_and_an_end_that_is_not_published(): void
    {
        $nl = Given::life('bell.nl', ends: '2026-09-20');
        self::assertSame([Phase::Quarantine, '2026-10-30'], [$nl->phase, $nl->event(EventKind::LastAtAll)?->at->iso()]);
        self::assertFalse(Given::life('bell.de')->rules->showsEnd->value);
        self::assertSame(5, Given::life('bell.com.au', created: '2021-10-06', ends: '2026-10-06')->addableYears());
        self::assertSame(24, Given::life('bell.ai')->rules->leastMonths->value);
        self::assertSame(
            [3, '2027-09-20'],
            [Given::life('bell.nl')->rules->leastMonths->value, Given::life('bell.nl', ends: '2026-09-20')->renewedUntil()?->iso()],
            'sold by the quarter, expected for a year',
        );
        self::assertSame('2029-11-02', Given::life('bell.ai')->renewedUntil()?->iso());
    }

    public function test_who_stands_behind_a_name_is_ruled_too(): void
    {
        $book = new Rulebook(self::FOLDER);
        $com = $book->for('com', Instant::of('2026-10-06'));
        self::assertSame(
            [15, 60, RegistrantConfirms::Both],
            [$com->verifyDays->value, $com->registrantHold->value, $com->registrantConfirms->value],
        );
        // ICANN Registration Data Policy, in force since 21 August 2025.
        self::assertSame([RoleKind::Registrant, RoleKind::Technical], $com->roles->value->kinds);
        self::assertTrue($book->for('com', Instant::of('2025-08-20'))->roles->value->has(RoleKind::Billing));
        $seen = fn (string $suffix, Field $field, HolderKind $kind): Publication => $book
            ->for($suffix, Instant::of('2026-10-06'))
            ->published->value->of($field, $kind);
        self::assertSame(
            [Publication::Shown, Publication::Consent],
            [$seen('com', Field::Country, HolderKind::Person), $seen('com', Field::Organisation, HolderKind::Organisation)],
        );
        self::assertSame(
            [Publication::Shown, Publication::Redacted, Publication::Redacted],
            array_map(fn (HolderKind $kind): Publication => $seen('fr', Field::Organisation, $kind), HolderKind::cases()),
        );
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function broken(): iterable
    {
        yield 'a key that nobody knows' => [
            'least_months:',
            "fewest_years:\n    - { value: 1, mark: mem, source: x, from: \"2000-01-01\" }\n  least_months:",
            'fewest_years',
        ];
        yield 'a mark that is none' => ['mark: mem', 'mark: sure', 'pub, cp or mem'];
        yield 'a value without a source' => [', source: "registry\'s terms, from memory"', '', 'source'];
        yield 'a number that is a text' => ['value: 10', 'value: ten', 'whole number'];
        yield 'a date without quotes' => ['from: "2012-01-01"', 'from: soon', 'quoted date'];
        yield 'a phase that is none' => ['phase: grace', 'phase: limbo', 'known phase'];
        yield 'a role that is none' => ['[registrant]', '[registrant, owner]', 'registrant, administrative'];
        yield 'a field that is missing' => ['consent: [name, ', 'consent: [', 'every field'];
        yield 'nobody who confirms' => ['"registry"', '"someone"', 'both, new'];
        yield 'another suffix than its name' => ['suffix: uk', 'suffix: com', 'named after'];
    }

    #[DataProvider('broken')]
    public function test_a_broken_file_is_refused_with_file_key_and_reason(string $find, string $put, string $says): void
    {
        $folder = sys_get_temp_dir().'/acre-rulebook-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $text = (string) file_get_contents(self::FOLDER.'/uk.yaml');
        file_put_contents($folder.'/uk.yaml', substr_replace($text, $put, (int) strpos($text, $find), strlen($find)));
        try {
            RuleFile::read($folder.'/uk.yaml');
            self::fail('It was taken.');
        } catch (RulebookError $e) {
            self::assertStringContainsString('rulebook/uk.yaml', $e->getMessage());
            self::assertStringContainsString($says, $e->getMessage());
        } finally {
            unlink($folder.'/uk.yaml');
            rmdir($folder);
        }
    }

    public function test_a_new_suffix_is_one_file_and_the_edition_in_force_is_taken(): void
    {
        $folder = sys_get_temp_dir().'/acre-rulebook-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $text = str_replace('suffix: uk', 'suffix: sound', (string) file_get_contents(self::FOLDER.'/uk.yaml'));
        $text = str_replace(
            "  most_years:\n",
            "  most_years:\n    - { value: 3, mark: mem, source: later, from: \"2027-01-01\" }\n",
            $text,
        );
        file_put_contents($folder.'/sound.yaml', $text);
        $book = new Rulebook($folder);
        self::assertSame(['sound'], $book->suffixes());
        self::assertSame(10, $book->for('sound', Instant::of('2026-12-31T23:59:59Z'))->mostYears->value);
        self::assertSame(3, $book->for('sound', Instant::of('2027-01-01'))->mostYears->value);
        $before = $book->digest();
        file_put_contents($folder.'/sound.yaml', $text."\n");
        self::assertNotSame($before, (new Rulebook($folder))->digest());
        unlink($folder.'/sound.yaml');
        rmdir($folder);
    }
}
