<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\Values;

/** As NSEC, of hashed names (RFC 5155 §3). */
final readonly class Nsec3 implements Data
{
    /** RFC 4648 §7, in small letters as it is usually written. */
    private const BASE32 = '0123456789abcdefghijklmnopqrstuv';

    /** @param  string  $next  bytes of the next hash */
    public function __construct(public Nsec3Param $how, public string $next, public Types $types)
    {
    }

    public static function read(Octets $from, int $length): static
    {
        $end = $from->at + $length;

        return new self(Nsec3Param::read($from, $length), $from->string(), Types::read($from, $end));
    }

    public static function parse(Values $values): static
    {
        return new self(Nsec3Param::parse($values), self::bytes($values->text('a hash')), Types::of($values->types()));
    }

    public function write(Packet $to): void
    {
        $this->how->write($to);
        $to->string($this->next);
        $this->types->write($to);
    }

    public function __toString(): string
    {
        return rtrim("{$this->how} ".self::base32($this->next)." {$this->types}");
    }

    /** The label under which a hash stands (RFC 5155 §1.3). */
    public static function base32(string $bytes): string
    {
        $bits = implode('', array_map(fn (string $byte): string => sprintf('%08b', ord($byte)), str_split($bytes)));

        return implode('', array_map(fn (string $five): string => self::BASE32[(int) bindec(str_pad($five, 5, '0'))], str_split($bits, 5)));
    }

    private static function bytes(string $text): string
    {
        $digits = strtolower($text);
        if ($digits === '' || strlen($digits) > 400 || strspn($digits, self::BASE32) !== strlen($digits)) {
            throw DnsError::field($text, 'a hash in Base 32');
        }
        $bits = implode('', array_map(fn (string $digit): string => sprintf('%05b', strpos(self::BASE32, $digit)), str_split($digits)));

        return implode('', array_map(
            fn (string $eight): string => chr((int) bindec($eight)),
            str_split(substr($bits, 0, intdiv(strlen($bits), 8) * 8), 8),
        ));
    }
}
