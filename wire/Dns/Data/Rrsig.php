<?php

declare(strict_types=1);

namespace Acre\Wire\Dns\Data;

use Acre\Wire\Dns\Data;
use Acre\Wire\Dns\DnsError;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Octets;
use Acre\Wire\Dns\Packet;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\Values;

/** A signature of all records of one name and type (RFC 4034 §3). */
final readonly class Rrsig implements Data
{
    /**
     * @param  int  $labels  of the name that was signed, without a wildcard's
     * @param  int  $until  seconds since 1970, counted round 32 bits (RFC 1982)
     * @param  int  $from  likewise
     * @param  string  $signature  bytes
     */
    public function __construct(
        public int $covered,
        public int $algorithm,
        public int $labels,
        public int $ttl,
        public int $until,
        public int $from,
        public int $tag,
        public Name $signer,
        public string $signature,
    ) {
    }

    public static function read(Octets $from, int $length): static
    {
        $end = $from->at + $length;
        [$covered, $algorithm, $labels, $ttl] = [$from->u16(), $from->u8(), $from->u8(), $from->u32()];
        [$until, $since, $tag, $signer] = [$from->u32(), $from->u32(), $from->u16(), $from->name()];

        return new self($covered, $algorithm, $labels, $ttl, $until, $since, $tag, $signer, $from->take($end - $from->at));
    }

    public static function parse(Values $values): static
    {
        $type = $values->text('a type');

        return new self(
            RecordType::number($type) ?? throw DnsError::type($type),
            $values->number(0xFF),
            $values->number(0xFF),
            $values->seconds(),
            self::instant($values->text('an instant')),
            self::instant($values->text('an instant')),
            $values->number(0xFFFF),
            $values->name(),
            $values->base64(),
        );
    }

    public function write(Packet $to): void
    {
        $to->u16($this->covered)
            ->u8($this->algorithm)
            ->u8($this->labels)
            ->u32($this->ttl, $this->until, $this->from)
            ->u16($this->tag)
            ->signedName($this->signer)
            ->bytes($this->signature);
    }

    public function __toString(): string
    {
        return implode(' ', [
            RecordType::text($this->covered),
            $this->algorithm,
            $this->labels,
            $this->ttl,
            gmdate('YmdHis', $this->until),
            gmdate('YmdHis', $this->from),
            $this->tag,
            $this->signer,
            base64_encode($this->signature),
        ]);
    }

    /** `20261006090000`, or seconds since 1970 (RFC 4034 §3.2). */
    private static function instant(string $text): int
    {
        if (ctype_digit($text) && strlen($text) === 14) {
            [$year, $month, $day] = [(int) substr($text, 0, 4), (int) substr($text, 4, 2), (int) substr($text, 6, 2)];
            [$hour, $minute, $second] = array_map(intval(...), str_split(substr($text, 8), 2));
            if (checkdate($month, $day, $year) && $hour < 24 && $minute < 60 && $second < 60) {
                return gmmktime($hour, $minute, $second, $month, $day, $year) & 0xFFFFFFFF;
            }
        }

        return ctype_digit($text) && strlen($text) <= 10 && (int) $text <= 0xFFFFFFFF
            ? (int) $text
            : throw DnsError::field($text, 'an instant such as 20261006090000');
    }
}
