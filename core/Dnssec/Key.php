<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

use JsonSerializable;

/** A key of a zone (RFC 4034 §2). */
final readonly class Key implements JsonSerializable
{
    private const ZONE = 0x0100;

    private const ENTRY = 0x0001;

    /** RFC 5011 §2.1. */
    private const REVOKED = 0x0080;

    private const PROTOCOL = 3;

    /** @param  string  $key  bytes */
    public function __construct(public int $flags, public int $protocol, public int $algorithm, public string $key)
    {
    }

    public function jsonSerialize(): string
    {
        return base64_encode($this->data());
    }

    /** @return self|null of what `data` gives; null: it is too short */
    public static function read(string $data): ?self
    {
        return strlen($data) < 5
            ? null
            : new self((ord($data[0]) << 8) | ord($data[1]), ord($data[2]), ord($data[3]), substr($data, 4));
    }

    /** Whether anything may be signed with it (RFC 4034 §2.1.1 and §2.1.2). */
    public function isForZones(): bool
    {
        return ($this->flags & self::ZONE) !== 0 && ($this->flags & self::REVOKED) === 0 && $this->protocol === self::PROTOCOL;
    }

    /** Whether it is meant for the parent's DS (RFC 3757, RFC 4034 §2.1.1). */
    public function isEntry(): bool
    {
        return ($this->flags & self::ENTRY) !== 0;
    }

    /** A short number by which signatures and DS records name it; two keys may have the same (RFC 4034 appendix B). */
    public function tag(): int
    {
        $sum = 0;
        foreach (str_split($this->data()) as $place => $byte) {
            $sum += $place % 2 === 0 ? ord($byte) << 8 : ord($byte);
        }

        return ($sum + ($sum >> 16)) & 0xFFFF;
    }

    /** As it stands in the record, and is digested. */
    public function data(): string
    {
        return pack('nCC', $this->flags, $this->protocol, $this->algorithm).$this->key;
    }
}
