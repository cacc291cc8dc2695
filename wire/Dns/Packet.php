<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** Bytes being written: a message, where names point at those before them, or the data of one record. */
final class Packet
{
    /** Pointers have fourteen bits (RFC 1035 §4.1.4). */
    private const FURTHEST = 0x3FFF;

    public string $bytes = '';

    /** @var array<string, int> where names stand, by their bytes in small letters */
    private array $places = [];

    private function __construct(private readonly bool $compresses, private readonly bool $lowers)
    {
    }

    public static function message(): self
    {
        return new self(true, false);
    }

    /** Data alone, as it came. */
    public static function data(): self
    {
        return new self(false, false);
    }

    /** Data alone, as it is signed (RFC 4034 §6.2). */
    public static function canonical(): self
    {
        return new self(false, true);
    }

    public function u8(int $value): self
    {
        $this->bytes .= chr($value);

        return $this;
    }

    public function u16(int ...$values): self
    {
        foreach ($values as $value) {
            $this->bytes .= pack('n', $value);
        }

        return $this;
    }

    public function u32(int ...$values): self
    {
        foreach ($values as $value) {
            $this->bytes .= pack('N', $value);
        }

        return $this;
    }

    public function bytes(string $bytes): self
    {
        $this->bytes .= $bytes;

        return $this;
    }

    public function string(string $bytes): self
    {
        return $this->u8(strlen($bytes))->bytes($bytes);
    }

    /** @param  callable(self): mixed  $write  what comes after its own length in two bytes */
    public function counted(callable $write): self
    {
        $at = strlen($this->bytes);
        $this->bytes .= "\0\0";
        $write($this);
        $this->bytes = substr_replace($this->bytes, pack('n', strlen($this->bytes) - $at - 2), $at, 2);

        return $this;
    }

    /** A name of RFC 1035's own types: may be a pointer, and is signed in small letters (RFC 3597 §4, RFC 4034 §6.2). */
    public function name(Name $name): self
    {
        if (! $this->compresses) {
            return $this->signedName($name);
        }
        for ($rest = $name->wire; $rest !== "\0"; $rest = substr($rest, $length + 1)) {
            $key = strtolower($rest);
            if (isset($this->places[$key])) {
                return $this->u16(0xC000 | $this->places[$key]);
            }
            if (strlen($this->bytes) <= self::FURTHEST) {
                $this->places[$key] = strlen($this->bytes);
            }
            $length = ord($rest[0]);
            $this->bytes .= substr($rest, 0, $length + 1);
        }

        return $this->u8(0);
    }

    /** A name that is never a pointer, and is signed in small letters. */
    public function signedName(Name $name): self
    {
        return $this->bytes($this->lowers ? $name->lower()->wire : $name->wire);
    }

    /** A name that stays as it is (RFC 6840 §5.1). */
    public function plainName(Name $name): self
    {
        return $this->bytes($name->wire);
    }
}
