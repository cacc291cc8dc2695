<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** Types of records that are read by their own fields. Others are numbers with bytes (RFC 3597). */
enum RecordType: int
{
    case A = 1;
    case NS = 2;
    case CNAME = 5;
    case SOA = 6;
    case PTR = 12;
    case HINFO = 13;
    case MX = 15;
    case TXT = 16;
    case AAAA = 28;
    case SRV = 33;
    case NAPTR = 35;
    case DNAME = 39;
    case DS = 43;
    case SSHFP = 44;
    case RRSIG = 46;
    case NSEC = 47;
    case DNSKEY = 48;
    case NSEC3 = 50;
    case NSEC3PARAM = 51;
    case TLSA = 52;
    case CDS = 59;
    case CDNSKEY = 60;
    case SPF = 99;
    case CAA = 257;

    /** Of questions only (RFC 1035 §3.2.3, RFC 6891). */
    public const OPT = 41;

    public const AXFR = 252;

    public const ANY = 255;

    /** @return class-string<Data> */
    public function data(): string
    {
        return match ($this) {
            self::A => Data\A::class,
            self::AAAA => Data\Aaaa::class,
            self::NS, self::CNAME, self::PTR => Data\Host::class,
            self::DNAME => Data\Dname::class,
            self::SOA => Data\Soa::class,
            self::HINFO, self::TXT, self::SPF => Data\Txt::class,
            self::MX => Data\Mx::class,
            self::SRV => Data\Srv::class,
            self::NAPTR => Data\Naptr::class,
            self::DS, self::CDS => Data\Ds::class,
            self::SSHFP => Data\Sshfp::class,
            self::RRSIG => Data\Rrsig::class,
            self::NSEC => Data\Nsec::class,
            self::DNSKEY, self::CDNSKEY => Data\Dnskey::class,
            self::NSEC3 => Data\Nsec3::class,
            self::NSEC3PARAM => Data\Nsec3Param::class,
            self::TLSA => Data\Tlsa::class,
            self::CAA => Data\Caa::class,
        };
    }

    /** @return class-string<Data> */
    public static function dataOf(int $type): string
    {
        return self::tryFrom($type)?->data() ?? Data\Unknown::class;
    }

    /** `MX`, or `TYPE65280` for what has no name here (RFC 3597 §5). */
    public static function text(int $type): string
    {
        return self::tryFrom($type)->name ?? "TYPE{$type}";
    }

    /** @return int|null null: no such type is known, nor is it `TYPE` and a number */
    public static function number(string $text): ?int
    {
        /** @var array<string, int> $known */
        static $known = [];
        if ($known === []) {
            foreach (self::cases() as $case) {
                $known[$case->name] = $case->value;
            }
        }
        $text = strtoupper($text);
        if (isset($known[$text])) {
            return $known[$text];
        }

        return preg_match('/\ATYPE(\d{1,5})\z/', $text, $found) === 1 && (int) $found[1] <= 0xFFFF ? (int) $found[1] : null;
    }
}
