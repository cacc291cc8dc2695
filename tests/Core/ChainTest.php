<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Dnssec\Chain;
use Acre\Core\Dnssec\ChainFault;
use Acre\Core\Dnssec\ChainState;
use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\Key;
use Acre\Core\Dnssec\RecordSet;
use Acre\Core\Dnssec\Signature;
use Acre\Core\Dnssec\SignatureFault;
use Acre\Core\Dnssec\SignedSet;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** A zone with a key for keys and a key for records, signed with Ed25519. */
final class ChainTest extends TestCase
{
    private const ZONE = "\5bells\7example\0";

    private const DNSKEY = 48;

    private const FROM = 1_790_000_000;

    /** @var array{Key, Key} */
    private array $keys;

    /** @var array{non-empty-string, non-empty-string} */
    private array $secrets;

    protected function setUp(): void
    {
        $pairs = array_map(
            fn (string $seed): string => sodium_crypto_sign_seed_keypair(str_repeat($seed, SODIUM_CRYPTO_SIGN_SEEDBYTES)),
            ['k', 'r'],
        );
        $this->keys = [
            new Key(257, 3, 15, sodium_crypto_sign_publickey($pairs[0])),
            new Key(256, 3, 15, sodium_crypto_sign_publickey($pairs[1])),
        ];
        $this->secrets = [sodium_crypto_sign_secretkey($pairs[0]), sodium_crypto_sign_secretkey($pairs[1])];
    }

    /** @param  0|1  $by  0: the key for keys; 1: the key for records */
    private function signed(RecordSet $set, int $by, int $days = 14): SignedSet
    {
        [$until, $tag] = [self::FROM + $days * 86_400, $this->keys[$by]->tag()];
        $head = pack('nCCNNNn', $set->type, 15, $set->labels(), 3600, $until, self::FROM, $tag).self::ZONE;
        $bytes = sodium_crypto_sign_detached($set->signed($head, $set->labels(), 3600), $this->secrets[$by]);

        return new SignedSet($set, [new Signature($set->type, 15, $set->labels(), 3600, $until, self::FROM, $tag, self::ZONE, $bytes)]);
    }

    private function keySet(): RecordSet
    {
        return new RecordSet(self::ZONE, self::DNSKEY, array_map(fn (Key $key): string => $key->data(), $this->keys));
    }

    private function address(): RecordSet
    {
        return new RecordSet(self::ZONE, 1, ["\xc0\0\2\1"]);
    }

    private static function day(int $days): Instant
    {
        return Instant::second(self::FROM + $days * 86_400);
    }

    public function test_whole_until_its_first_signature_lapses(): void
    {
        $chain = fn (int $day): Chain => Chain::judge(
            self::ZONE,
            [Delegate::of(self::ZONE, $this->keys[0])],
            $this->keys,
            $this->signed($this->keySet(), 0, 30),
            [$this->signed($this->address(), 1, 14)],
            self::day($day),
        );
        self::assertSame([ChainState::Whole, null], [$chain(1)->state, $chain(1)->fault]);
        self::assertSame(self::day(14)->epoch, $chain(1)->until?->epoch);
        self::assertSame(ChainState::Whole, $chain(14)->state);
        self::assertSame([false, true], [$chain(11)->lapsesSoon(self::day(11)), $chain(12)->lapsesSoon(self::day(12))], 'two days before');
        $lapsed = $chain(15);
        self::assertSame(
            [ChainState::Dark, ChainFault::RecordsNotSigned, SignatureFault::Expired],
            [$lapsed->state, $lapsed->fault, $lapsed->signature],
        );
        self::assertSame([ChainFault::KeysNotSigned, SignatureFault::Expired], [$chain(31)->fault, $chain(31)->signature]);
    }

    /** The second of two signatures holds longer; a set without any is no proof. */
    public function test_one_good_signature_is_enough(): void
    {
        $good = $this->signed($this->address(), 1, 20)->signatures[0];
        $bad = new Signature(1, 15, 2, 3600, self::FROM + 86_400 * 99, self::FROM, $this->keys[1]->tag(), self::ZONE, str_repeat('x', 64));
        $short = $this->signed($this->address(), 1, 5)->signatures[0];
        $both = new SignedSet($this->address(), [$bad, $short, $good]);
        self::assertEquals(self::day(20), $both->check(self::ZONE, $this->keys, self::day(1)));
        self::assertSame(SignatureFault::Missing, (new SignedSet($this->address(), []))->check(self::ZONE, $this->keys, self::day(1)));
        $only = new SignedSet($this->address(), [$bad]);
        self::assertSame(SignatureFault::DoesNotVerify, $only->check(self::ZONE, $this->keys, self::day(1)));
    }

    /** The keys must be signed by the very key that a DS names: another key of the zone could be anybody's. */
    public function test_keys_signed_by_a_key_that_no_delegate_names(): void
    {
        $chain = $this->chain([Delegate::of(self::ZONE, $this->keys[0])], $this->signed($this->keySet(), 1));
        self::assertSame(
            [ChainState::Dark, ChainFault::KeysNotSigned, SignatureFault::NoKey],
            [$chain->state, $chain->fault, $chain->signature],
        );
    }

    /** Hundreds of keys of one tag, or of signatures, are there to cost time: the first few are tried. */
    public function test_no_more_is_tried_than_honest_zones_have(): void
    {
        $good = $this->signed($this->address(), 1)->signatures[0];
        // Two bytes of which one is taken from what the other gets: the same tag, another key.
        $key = $this->keys[1]->key;
        $others = array_map(function (int $by) use ($key): Key {
            [$one, $other] = [ord($key[0]) + $by, ord($key[2]) - $by];

            return new Key(256, 3, 15, chr($one).$key[1].chr($other).substr($key, 3));
        }, range(-2, 2));
        $others = array_values(array_filter($others, fn (Key $other): bool => $other->tag() === $good->tag && $other->key !== $key));
        $set = new SignedSet($this->address(), [$good]);
        self::assertCount(4, $others);
        self::assertInstanceOf(Instant::class, $set->check(self::ZONE, [...array_slice($others, 0, 3), $this->keys[1]], self::day(1)));
        self::assertSame(SignatureFault::DoesNotVerify, $set->check(self::ZONE, [...$others, $this->keys[1]], self::day(1)));
        $many = new SignedSet($this->address(), [...array_fill(0, 16, $this->signed($this->address(), 0)->signatures[0]), $good]);
        self::assertSame(SignatureFault::NoKey, $many->check(self::ZONE, [$this->keys[1]], self::day(1)));
    }

    public function test_every_other_state(): void
    {
        $good = Delegate::of(self::ZONE, $this->keys[0]);
        $other = new Delegate($good->tag, $good->algorithm, 2, str_repeat('x', 32));
        $keys = $this->signed($this->keySet(), 0);
        self::assertSame(ChainState::NotKnown, $this->chain(null, $keys)->state);
        self::assertSame(ChainState::NotKnown, $this->chain([$good], $keys, null)->state);
        self::assertSame(ChainState::Unsigned, $this->chain([], $keys, [])->state);
        self::assertSame(ChainState::NoDelegate, $this->chain([], $keys)->state);
        self::assertSame([ChainState::Dark, ChainFault::NoKeys], [($none = $this->chain([$good], $keys, []))->state, $none->fault]);
        self::assertSame(ChainFault::NoKeyOfDelegate, $this->chain([$other], $keys)->fault);
        self::assertSame(ChainState::Whole, $this->chain([$other, $good], $keys)->state, 'a DS of a key to come harms nobody');
        // RFC 4035 §5.2: of what nobody can compute nothing follows.
        $odd = [new Delegate($good->tag, 200, 2, $good->digest), new Delegate($good->tag, 15, 200, $good->digest)];
        self::assertSame(ChainState::Unreadable, $this->chain($odd, $keys)->state);
        self::assertSame(ChainState::Whole, $this->chain([...$odd, $good], $keys)->state);
    }

    /**
     * @param  list<Delegate>|null  $delegates
     * @param  list<Key>|null  $keys  false: the zone's own
     */
    private function chain(?array $delegates, SignedSet $keySet, array|false|null $keys = false): Chain
    {
        $keys = $keys === false ? $this->keys : $keys;

        return Chain::judge(self::ZONE, $delegates, $keys, $keySet, [$this->signed($this->address(), 1)], self::day(1));
    }
}
