<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\ChainFault;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\DelegateChange;
use Acre\Core\Dnssec\Key;
use Acre\Core\Dnssec\KeysSeen;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** DNSSEC turned on and off: RFC 4034 §5, 7344 §3, 8078 §4. */
final class DelegateChangeTest extends TestCase
{
    private const ZONE = "\1a\3com\0";

    public function test_a_ds_is_made_of_each_key_that_is_meant_for_it_or_is_what_the_zone_asks_for(): void
    {
        [$entry, $zone, $other] = [self::key(257, 'e'), self::key(256, 'z'), self::key(0, 'o')];
        $ds = fn (Key ...$keys): array => array_map(fn (Key $key): string => (string) Delegate::of(self::ZONE, $key), $keys);
        self::assertSame($ds($entry), self::change(true, keys: [$zone, $entry, $other])->target());
        self::assertEqualsCanonicalizing($ds($zone), self::change(true, keys: [$zone, $other])->target(), 'where none is marked');
        $asked = [Delegate::of(self::ZONE, $entry, 4)];
        self::assertSame([(string) $asked[0]], self::change(true, keys: [$zone, $entry], wanted: $asked)->target());
        self::assertSame([], self::change(false, keys: [$entry])->target());
    }

    public function test_what_stands_in_its_way(): void
    {
        $whole = Chain::kept(ChainState::Whole, null, null, null);
        $dark = Chain::kept(ChainState::Dark, ChainFault::KeysNotSigned, null, null);
        self::assertSame([], self::told(self::change(true, prospect: $whole)));
        self::assertSame(['would_break stops'], self::told(self::change(true, prospect: $dark)));
        $unreadable = Chain::kept(ChainState::Unreadable, null, null, null);
        self::assertSame(['would_break stops'], self::told(self::change(true, prospect: $unreadable)));
        self::assertSame(['not_asked not_known'], self::told(self::change(true)));
        self::assertSame(['not_signed stops'], self::told(self::change(true, keys: [], prospect: $whole)));
        self::assertSame(['not_asked not_known'], self::told(self::change(true, keys: null, prospect: $whole)));
        $none = [new Delegate(0, 0, 0, "\0")];
        self::assertSame(['wants_none stops'], self::told(self::change(true, wanted: $none, prospect: $whole)));
        self::assertSame(['keep_signing worth'], self::told(self::change(false)));
        self::assertSame([], self::told(self::change(false, keys: [])));
        self::assertSame(['not_asked not_known'], self::told(new DelegateChange(true, null, self::now())));
        self::assertSame(['not_asked not_known'], self::told(self::change(false, delegates: null)));
    }

    public function test_it_waits_for_the_answers_of_servers_before(): void
    {
        $whole = Chain::kept(ChainState::Whole, null, null, null);
        self::assertSame(['changing not_known'], self::told(self::change(true, prospect: $whole, isMoving: true)));
        $until = fn (int $seconds): array => self::change(true, prospect: $whole, old: self::now()->plusSeconds($seconds))->findings();
        self::assertSame([], $until(0));
        self::assertSame(['old_answers'], array_map(fn (Finding $one): string => (string) $one->tag->value, $until(1)));
        self::assertEquals(self::now()->plusSeconds(1), $until(1)[0]->from);
        self::assertSame(['keep_signing worth'], self::told(self::change(false, old: self::now()->plusSeconds(1))), 'off is no matter');
    }

    public function test_what_was_said_is_believed_for_an_hour(): void
    {
        self::assertSame(['keep_signing worth'], self::told(self::change(false, at: self::now()->plusSeconds(-3_600))));
        self::assertSame(['not_asked not_known'], self::told(self::change(false, at: self::now()->plusSeconds(-3_601))));
    }

    public function test_it_is_so_when_the_registry_has_exactly_these(): void
    {
        $key = self::key(257, 'k');
        $ds = Delegate::of(self::ZONE, $key);
        self::assertTrue(self::change(true, keys: [$key], delegates: [$ds])->isSo());
        self::assertFalse(self::change(true, keys: [$key])->isSo());
        self::assertFalse(self::change(true, keys: [$key], delegates: [$ds, Delegate::of(self::ZONE, $key, 4)])->isSo());
        self::assertTrue(self::change(false)->isSo());
        self::assertFalse(self::change(false, delegates: [$ds])->isSo());
        self::assertFalse(self::change(true, keys: [])->isSo(), 'nothing to name is nothing turned on');
    }

    private static function now(): Instant
    {
        return Instant::of('2026-10-06T09:00:00Z');
    }

    private static function key(int $flags, string $with): Key
    {
        return new Key($flags, 3, 13, str_repeat($with, 64));
    }

    /**
     * @param  list<Key>|null|false  $keys  false: one
     * @param  list<Delegate>|null  $delegates
     * @param  list<Delegate>  $wanted
     */
    private static function change(
        bool $isOn,
        array|null|false $keys = false,
        ?array $delegates = [],
        array $wanted = [],
        ?Chain $prospect = null,
        ?Instant $at = null,
        bool $isMoving = false,
        ?Instant $old = null,
    ): DelegateChange {
        $keys = $keys === false ? [self::key(257, 'k')] : $keys;

        return new DelegateChange(
            $isOn,
            new KeysSeen(self::ZONE, $delegates, $keys, $wanted, $prospect, 3_600, $at ?? self::now()),
            self::now(),
            $isMoving,
            $old,
        );
    }

    /** @return list<string> */
    private static function told(DelegateChange $change): array
    {
        return array_map(fn (Finding $one): string => "{$one->tag->value} {$one->effect->value}", $change->findings());
    }
}
