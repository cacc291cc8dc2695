<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;

/** What a name says about mail: where it goes, who may send for it, and what becomes of what is forged. */
final readonly class MailSaid
{
    /** Lookups of an SPF record after which one more include breaks it: the house's own choice. */
    private const NEAR = 9;

    /**
     * @param  list<string>  $exchanges  hosts, the most wanted first; a dot alone: it takes no mail (RFC 7505)
     * @param  list<string>  $selectors  of DKIM keys that are known
     */
    private function __construct(
        public array $exchanges,
        public ?Spf $spf,
        public ?Dmarc $dmarc,
        public array $selectors,
        private ZoneCopy $zone,
    ) {
    }

    /** @param  array<string, list<string>>  $elsewhere  texts of other names that its SPF record leads to, as far as they are known */
    public static function of(ZoneCopy $zone, array $elsewhere = []): self
    {
        $texts = $elsewhere;
        $selectors = $exchanges = [];
        foreach ($zone->sets as $set) {
            if ($set->type === 'TXT') {
                $texts[$set->host] = array_map(self::text(...), $set->data);
            }
            if (str_ends_with($set->host, "._domainkey.{$zone->zone}") && in_array($set->type, ['TXT', 'CNAME'], true)) {
                $selectors[] = explode('.', $set->host)[0];
            }
        }
        foreach ($zone->sets["{$zone->zone} MX"]->data ?? [] as $one) {
            [$preference, $host] = [...explode(' ', $one, 2), ''];
            $exchanges[] = [(int) $preference, $host === '.' ? '.' : rtrim($host, '.')];
        }
        sort($exchanges);

        return new self(
            array_column($exchanges, 1),
            // What is not there was asked, and has none.
            Spf::of($zone->zone, $texts + [$zone->zone => []]),
            Dmarc::of($texts["_dmarc.{$zone->zone}"] ?? []),
            $selectors,
            $zone,
        );
    }

    public function takesNone(): bool
    {
        return $this->exchanges === ['.'];
    }

    /** @return list<Finding> dearest first */
    public function findings(): array
    {
        return Finding::dearestFirst([...$this->exchanging(), ...$this->sending(), ...$this->keys()]);
    }

    /** @return list<Finding> */
    private function exchanging(): array
    {
        if ($this->exchanges === []) {
            return in_array("{$this->zone->zone} MX", $this->zone->unread, true) ? [] : [self::finding(MailFinding::NoExchange)];
        }
        $found = in_array('.', $this->exchanges, true) && ! $this->takesNone() ? [self::finding(MailFinding::NullBesideOthers)] : [];
        foreach (array_filter($this->exchanges, fn (string $host): bool => str_ends_with(".{$host}", ".{$this->zone->zone}")) as $host) {
            $has = fn (string $type): bool => isset($this->zone->sets["{$host} {$type}"]);
            if ($has('CNAME')) {
                $found[] = self::finding(MailFinding::ExchangeIsAlias, host: $host);
            } elseif (! $has('A') && ! $has('AAAA') && ! $this->hasWildcard() && ! in_array("{$host} A", $this->zone->unread, true)) {
                $found[] = self::finding(MailFinding::ExchangeNotThere, host: $host);
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    private function sending(): array
    {
        $found = [];
        if ($this->spf === null) {
            $found[] = self::finding(MailFinding::NoSpf);
        } elseif ($this->spf->fault !== null) {
            $found[] = self::finding(MailFinding::SpfBroken, fault: 'spf_'.$this->spf->fault->value, at: $this->spf->at);
        } elseif ($this->takesNone() && ! $this->spf->allowsNobody()) {
            $found[] = self::finding(MailFinding::MaySend);
        } elseif ($this->spf->others === '+') {
            $found[] = self::finding(MailFinding::SpfOpen);
        } elseif ($this->spf->lookups >= self::NEAR) {
            $found[] = self::finding(MailFinding::SpfNearLimit, count: $this->spf->lookups);
        }

        return [
            ...$found,
            ...match (true) {
                $this->dmarc === null => [self::finding(MailFinding::NoDmarc)],
                $this->dmarc->policy === null => [self::finding(MailFinding::DmarcBroken)],
                $this->dmarc->policy === 'none' => [self::finding(MailFinding::DmarcNone)],
                default => [],
            },
        ];
    }

    /** @return list<Finding> */
    private function keys(): array
    {
        $found = [];
        foreach ($this->selectors as $selector) {
            $host = "{$selector}._domainkey.{$this->zone->zone}";
            $texts = array_map(self::text(...), $this->zone->sets["{$host} TXT"]->data ?? []);
            // An alias leads to another zone's, which is not read here.
            $hasKey = fn (string $text): bool => preg_match('/(?:\A|;)\s*p\s*=\s*[A-Za-z0-9+\/]/', $text) === 1;
            if ($texts !== [] && array_filter($texts, $hasKey) === []) {
                $found[] = self::finding(MailFinding::KeyUnusable, host: $host);
            }
        }

        return $found;
    }

    private function hasWildcard(): bool
    {
        return isset($this->zone->sets["*.{$this->zone->zone} A"]) || isset($this->zone->sets["*.{$this->zone->zone} AAAA"]);
    }

    /** The strings of a record are one text (RFC 7208 §3.3). */
    private static function text(string $data): string
    {
        preg_match_all('/"((?:[^"\\\\]|\\\\.)*)"|(\S+)/s', $data, $found, PREG_SET_ORDER);
        $text = implode('', array_map(fn (array $one): string => $one[2] ?? $one[1] ?? '', $found));

        return (string) preg_replace_callback(
            '/\\\\(\d{3}|.)/s',
            fn (array $one): string => strlen($one[1]) === 3 ? chr((int) $one[1] & 0xFF) : $one[1],
            $text,
        );
    }

    private static function finding(MailFinding $tag, string|int ...$with): Finding
    {
        return Finding::of($tag, Effect::Worth, null, ...$with);
    }
}
