<?php

declare(strict_types=1);

namespace Acre\Wire\Whois;

use Acre\Wire\Lists\DateOrder;

/** What such a text says of a name, as far as its keys are among those in use. A key that is not there says nothing. */
final readonly class WhoisDomain
{
    /**
     * @param  string|null  $tag  of the registrar, where the registry knows them by tags
     * @param  list<string>  $statuses  as they are written, without addresses beside
     * @param  string|null  $created  `2026-10-13`, and likewise the other dates
     * @param  list<string>  $servers  A-labels in small letters
     */
    private function __construct(
        public ?string $name,
        public ?string $registrar,
        public ?string $tag,
        public ?string $registrant,
        public array $statuses,
        public ?string $created,
        public ?string $ends,
        public ?string $changed,
        public array $servers,
    ) {
    }

    public static function of(WhoisText $text): self
    {
        $registrar = $text->value('registrar', 'registrar name', 'sponsoring registrar', 'registrar organization');
        $tag = null;
        if ($registrar !== null && preg_match('/^(.*?)\s*\[tag\s*=\s*([^\]]+)\]$/i', $registrar, $found) === 1) {
            [$registrar, $tag] = [$found[1], trim($found[2])];
        }
        $status = fn (string $line): string => trim((string) preg_replace('~\(?https?://\S+~', '', $line));
        $server = fn (string $line): string => strtolower(rtrim(preg_split('/\s+/', $line)[0] ?? '', '.'));

        return new self(
            self::small($text->value('domain name', 'domain')), $registrar === '' ? null : $registrar, $tag ?? $text->value('registrar tag', 'tag'),
            $text->value('registrant', 'registrant name', 'registrant organization', 'holder'),
            array_values(array_filter(array_map($status, $text->values('domain status', 'status', 'registration status', 'state')), fn (string $one): bool => $one !== '')),
            self::day($text, 'creation date', 'created', 'created on', 'registered on', 'registered', 'registration date', 'first registration date'),
            self::day($text, 'registry expiry date', 'registrar registration expiration date', 'expiry date', 'expiration date', 'expires', 'expires on', 'valid until', 'paid-till', 'renewal date'),
            self::day($text, 'updated date', 'last updated', 'last updated on', 'last modified', 'changed', 'modified'),
            array_values(array_unique(array_filter(array_map($server, $text->values('name server', 'name servers', 'nameserver', 'nameservers', 'nserver', 'domain nameservers')), fn (string $host): bool => str_contains($host, '.')))),
        );
    }

    private static function day(WhoisText $text, string ...$keys): ?string
    {
        $value = $text->value(...$keys);

        return $value === null ? null : DateOrder::YearMonthDay->read((string) preg_replace('/^(?:before|circa)\s+/i', '', $value));
    }

    private static function small(?string $name): ?string
    {
        return $name === null ? null : strtolower(rtrim(preg_split('/\s+/', $name)[0] ?? '', '.'));
    }
}
