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
        // Beside a status stands what it means (an address), or until when it is paid (.jp).
        $status = fn (string $line): string => trim((string) preg_replace('~\(?https?://\S+|\(\d{4}/\d\d/\d\d\)~', '', $line));
        $states = $text->values('domain status', 'eppstatus', 'status', 'registration status', 'state', '状態');
        $paid =
            preg_match('~\((\d{4}/\d\d/\d\d)\)~', implode(' ', $states), $until) === 1 ? DateOrder::YearMonthDay->read($until[1]) : null;
        $server = fn (string $line): string => strtolower(rtrim(preg_split('/\s+/', $line)[0] ?? '', '.'));

        return new self(
            self::small($text->value('domain name', 'domain', 'ドメイン名')),
            $registrar === '' ? null : $registrar,
            $tag ?? $text->value('registrar tag', 'tag'),
            $text->value('registrant', 'registrant name', 'registrant organization', 'holder', '登録者名', '組織名'),
            array_values(array_filter(array_map($status, $states), fn (string $one): bool => $one !== '')),
            self::day(
                $text,
                'creation date',
                'created',
                'created on',
                'registered on',
                'registered',
                'registration date',
                'first registration date',
                '登録年月日',
            ),
            self::day(
                $text,
                'registry expiry date',
                'registrar registration expiration date',
                'expiry date',
                'expiration date',
                'expires',
                'expires on',
                'valid until',
                'paid-till',
                'renewal date',
                '有効期限',
            ) ?? $paid,
            self::day($text, 'updated date', 'last updated', 'last updated on', 'last modified', 'changed', 'modified', '最終更新'),
            array_values(
                array_unique(
                    array_filter(
                        array_map(
                            $server,
                            $text->values(
                                'name server',
                                'name servers',
                                'nameserver',
                                'nameservers',
                                'nserver',
                                'domain nameservers',
                                'ネームサーバ',
                            ),
                        ),
                        fn (string $host): bool => str_contains($host, '.'),
                    ),
                ),
            ),
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
