<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** The bytes of a message, read from the front. */
final class Octets
{
    public int $at = 0;

    public readonly int $length;

    public function __construct(private readonly string $bytes)
    {
        $this->length = strlen($bytes);
    }

    /** @throws DnsError */
    public function u8(): int
    {
        return ord($this->take(1));
    }

    /** @throws DnsError */
    public function u16(): int
    {
        $bytes = $this->take(2);

        return (ord($bytes[0]) << 8) | ord($bytes[1]);
    }

    /** @throws DnsError */
    public function u32(): int
    {
        return ($this->u16() << 16) | $this->u16();
    }

    /** @throws DnsError */
    public function take(int $length): string
    {
        if ($length < 0 || $this->at + $length > $this->length) {
            throw DnsError::message($this->at, 'it ends too early');
        }
        $this->at += $length;

        return substr($this->bytes, $this->at - $length, $length);
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
        $labels = [];
        [$at, $after, $room, $front] = [$this->at, null, Name::LONGEST - 1, $this->at];
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
                if ($to >= $front) {
                    throw DnsError::message($at, 'a pointer does not lead to the front');
                }
                [$at, $front] = [$to, $to];

                continue;
            }
            if ($length > Name::LONGEST_LABEL) {
                throw DnsError::message($at, 'a label of an unknown kind');
            }
            if ($length === 0) {
                break;
            }
            $room -= $length + 1;
            if ($room < 0) {
                throw DnsError::message($at, 'a name is longer than 255 bytes');
            }
            if ($at + 1 + $length > $this->length) {
                throw DnsError::message($at, 'it ends within a name');
            }
            $labels[] = substr($this->bytes, $at + 1, $length);
            $at += $length + 1;
        }
        $this->at = $after ?? $at + 1;

        return Name::fromLabels($labels);
    }
}
