<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** The bytes of a message, read from the front. */
final class Octets
{
    /** A name of 255 bytes has 127 labels at most; each can be pointed at once, and so can the root. */
    private const MOST_POINTERS = 128;

    public int $at = 0;

    public readonly int $length;

    public function __construct(private readonly string $bytes)
    {
        $this->length = strlen($bytes);
    }

    /** @throws DnsError */
    public function u8(): int
    {
        return ord($this->bytes[$this->past(1)]);
    }

    /** @throws DnsError */
    public function u16(): int
    {
        $at = $this->past(2);

        return (ord($this->bytes[$at]) << 8) | ord($this->bytes[$at + 1]);
    }

    /** @throws DnsError */
    public function u32(): int
    {
        $at = $this->past(4);

        return (ord($this->bytes[$at]) << 24) |
            (ord($this->bytes[$at + 1]) << 16) |
            (ord($this->bytes[$at + 2]) << 8) |
            ord($this->bytes[$at + 3]);
    }

    /** @throws DnsError */
    public function take(int $length): string
    {
        return substr($this->bytes, $this->past($length), $length);
    }

    /**
     * @return int where the bytes stand that are passed
     *
     * @throws DnsError
     */
    private function past(int $length): int
    {
        $at = $this->at;
        if ($length < 0 || $at + $length > $this->length) {
            throw DnsError::message($at, 'it ends too early');
        }
        $this->at = $at + $length;

        return $at;
    }

    /**
     * A length in one byte, and as many bytes (RFC 1035 §3.3).
     *
     * @throws DnsError
     */
    public function string(): string
    {
        return $this->take($this->u8());
    }

    /**
     * A name, whose pointers may lead only further to the front: so none goes round in circles (RFC 1035 §4.1.4).
     *
     * @throws DnsError
     */
    public function name(): Name
    {
        $wire = '';
        $at = $front = $this->at;
        $after = null;
        $pointers = 0;
        while (true) {
            if ($at >= $this->length) {
                throw DnsError::message($at, 'it ends within a name');
            }
            $length = ord($this->bytes[$at]);
            if ($length >= 0xC0) {
                if ($at + 1 >= $this->length) {
                    throw DnsError::message($at, 'it ends within a name');
                }
                $after ??= $at + 2;
                $to = (($length & 0x3F) << 8) | ord($this->bytes[$at + 1]);
                if (++$pointers > self::MOST_POINTERS) {
                    throw DnsError::message($at, 'a name with more pointers than a name has labels');
                }
                if ($to >= $front) {
                    throw DnsError::message($at, 'a pointer does not lead to the front');
                }
                $at = $front = $to;

                continue;
            }
            if ($length > Name::LONGEST_LABEL) {
                throw DnsError::message($at, 'a label of an unknown kind');
            }
            if ($length === 0) {
                break;
            }
            if (strlen($wire) + $length + 2 > Name::LONGEST) {
                throw DnsError::message($at, 'a name is longer than 255 bytes');
            }
            if ($at + 1 + $length > $this->length) {
                throw DnsError::message($at, 'it ends within a name');
            }
            $wire .= substr($this->bytes, $at, $length + 1);
            $at += $length + 1;
        }
        $this->at = $after ?? $at + 1;

        return Name::ofWire("{$wire}\0");
    }
}
