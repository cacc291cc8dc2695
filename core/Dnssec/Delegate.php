<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use JsonSerializable;
use Stringable;

/** What a parent says of a key of its child: a DS record (RFC 4034 §5). */
final readonly class Delegate implements JsonSerializable, Stringable
{
    /** By the number of the digest (RFC 4034, RFC 4509, RFC 6605 §2). */
    private const DIGESTS = [1 => 'sha1', 2 => 'sha256', 4 => 'sha384'];

    /** @param  string  $digest  bytes */
    public function __construct(public int $tag, public int $algorithm, public int $digestType, public string $digest)
    {
    }

    /**
     * @param  string  $owner  the zone in wire form and small letters
     * @param  int  $digestType  2 is what everybody reads (RFC 9904)
     */
    public static function of(string $owner, Key $key, int $digestType = 2): self
    {
        return new self($key->tag(), $key->algorithm, $digestType, self::digest($owner, $key, $digestType) ?? '');
    }

    /** As zone files write it. */
    public function __toString(): string
    {
        return "{$this->tag} {$this->algorithm} {$this->digestType} ".strtoupper(bin2hex($this->digest));
    }

    public function jsonSerialize(): string
    {
        return (string) $this;
    }

    /** @return self|null of what `__toString` wrote; null: it is something else */
    public static function read(string $text): ?self
    {
        return preg_match('/\A(\d{1,5}) (\d{1,3}) (\d{1,3}) ((?:[0-9A-Fa-f]{2})+)\z/', $text, $found) === 1
            ? new self((int) $found[1], (int) $found[2], (int) $found[3], (string) hex2bin($found[4]))
            : null;
    }

    /** Whether its digest and the algorithm of its key can be computed here at all. */
    public function isKnown(): bool
    {
        return isset(self::DIGESTS[$this->digestType]) && Algorithm::tryFrom($this->algorithm) !== null;
    }

    /** @param  string  $owner  the zone in wire form and small letters */
    public function names(string $owner, Key $key): bool
    {
        $digest = self::digest($owner, $key, $this->digestType);

        return $key->isForZones() &&
            $key->algorithm === $this->algorithm &&
            $key->tag() === $this->tag &&
            $digest !== null &&
            hash_equals($digest, $this->digest);
    }

    private static function digest(string $owner, Key $key, int $digestType): ?string
    {
        $with = self::DIGESTS[$digestType] ?? null;

        return $with === null ? null : hash($with, $owner.$key->data(), true);
    }
}
