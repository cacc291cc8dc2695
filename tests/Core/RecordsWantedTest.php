<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Finding\Finding;
use Acre\Core\Zone\Entry;
use Acre\Core\Zone\RecordsWanted;
use Acre\Core\Zone\SetWanted;
use Acre\Core\Zone\ZoneCopy;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a change of records makes of a zone. */
final class RecordsWantedTest extends TestCase
{
    /** @return iterable<string, array{list<SetWanted>, list<string>}> sets, findings with what they say */
    public static function changes(): iterable
    {
        yield 'another web address' => [[new SetWanted('', 'A', null, ['192.0.2.9'])], []];
        yield 'a new host' => [[new SetWanted('shop', 'A', 300, ['192.0.2.9'])], []];
        yield 'mail elsewhere' => [[new SetWanted('', 'MX', null, ['5 mx.example.'])], ['breaks mail MX']];
        yield 'no mail' => [[new SetWanted('', 'MX', null, [])], ['breaks mail MX']];
        yield 'pages gone' => [[new SetWanted('www', 'A', null, [])], ['breaks web www A']];
        yield 'an alias beside an address' => [[new SetWanted('www', 'CNAME', null, ['a.com.'])], ['alias_beside_others www.a.com']];
        yield 'an alias instead of an address' => [
            [new SetWanted('www', 'A', null, []), new SetWanted('www', 'CNAME', null, ['a.com.'])],
            ['breaks web www A'],
        ];
        yield 'the zone’s own servers' => [[new SetWanted('', 'NS', null, ['ns.example.'])], ['of_servers NS', 'breaks delegation NS']];
        yield 'a part’s servers' => [[new SetWanted('part', 'NS', null, ['ns.example.'])], []];
    }

    /**
     * @param  list<SetWanted>  $sets
     * @param  list<string>  $findings
     */
    #[DataProvider('changes')]
    public function test_it_is_judged_by_what_is_there(array $sets, array $findings): void
    {
        $wanted = new RecordsWanted($sets);
        $said = array_map(
            fn (Finding $one): string => implode(' ', [(string) $one->tag->value, ...array_filter($one->with, is_string(...))]),
            $wanted->findings(self::zone()),
        );
        self::assertEqualsCanonicalizing($findings, $said);
        self::assertFalse($wanted->isIn(self::zone()));
        self::assertTrue($wanted->isIn($wanted->applied(self::zone())));
    }

    public function test_without_a_copy_nobody_knows(): void
    {
        $found = (new RecordsWanted([new SetWanted('', 'A', null, ['192.0.2.9'])]))->findings(null);
        self::assertSame(['no_copy'], array_map(fn (Finding $one): string => (string) $one->tag->value, $found));
    }

    public function test_a_time_that_was_not_said_stays_and_another_time_is_no_other_record(): void
    {
        $applied = (new RecordsWanted([new SetWanted('', 'A', null, ['192.0.2.9']), new SetWanted('new', 'A', null, ['192.0.2.9'])]))
            ->applied(self::zone());
        self::assertSame([86_400, 3_600], [$applied->sets['a.com A']->ttl, $applied->sets['new.a.com A']->ttl]);
        self::assertTrue((new RecordsWanted([new SetWanted('', 'A', 60, ['192.0.2.1'])]))->isIn(self::zone()));
    }

    private static function zone(): ZoneCopy
    {
        return ZoneCopy::of('a.com', [
            new Entry('a.com', 'NS', 60, 'ns1.b.example.'),
            new Entry('a.com', 'A', 86_400, '192.0.2.1'),
            new Entry('www.a.com', 'A', 60, '192.0.2.1'),
            new Entry('a.com', 'MX', 60, '10 mail.b.example.'),
        ]);
    }
}
