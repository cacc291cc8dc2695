<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/**
 * What is asked for where a server doesn't give its whole zone away: the hosts and types that zones usually have. Which those are is
 * common practice.
 */
final class UsualRecords
{
    private const OF_ZONE = ['SOA', 'NS', 'A', 'AAAA', 'MX', 'TXT', 'CAA', 'DNSKEY'];

    /** An alias answers for both. */
    private const HOSTS = [
        '*',
        'www',
        'mail',
        'webmail',
        'smtp',
        'imap',
        'pop',
        'mx',
        'autodiscover',
        'autoconfig',
        'ftp',
        'shop',
        'blog',
        'api',
        'app',
        'dev',
        'm',
        'ns1',
        'ns2',
        'vpn',
        'remote',
    ];

    private const TEXTS = [
        '_dmarc',
        '_mta-sts',
        '_smtp._tls',
        '_acme-challenge',
        'default._domainkey',
        'dkim._domainkey',
        'mail._domainkey',
        'k1._domainkey',
        'k2._domainkey',
        's1._domainkey',
        's2._domainkey',
        'selector1._domainkey',
        'selector2._domainkey',
    ];

    private const SERVICES = [
        '_submission._tcp',
        '_submissions._tcp',
        '_imap._tcp',
        '_imaps._tcp',
        '_autodiscover._tcp',
        '_sip._tls',
        '_sips._tcp',
    ];

    /**
     * @param  string  $zone  small letters, without the last dot
     * @param  ZoneCopy|null  $known  whose hosts are asked for too
     * @return array<string, array{string, string}> host and type, by both
     */
    public static function of(string $zone, ?ZoneCopy $known = null): array
    {
        /** @var array<string, array{string, string}> $asked */
        $asked = [];
        $add = function (string $host, string ...$types) use (&$asked): void {
            foreach ($types as $type) {
                $asked["{$host} {$type}"] = [$host, $type];
            }
        };
        $add($zone, ...self::OF_ZONE);
        foreach (self::HOSTS as $label) {
            $add("{$label}.{$zone}", 'A', 'AAAA');
        }
        foreach (self::TEXTS as $label) {
            $add("{$label}.{$zone}", 'TXT');
        }
        foreach (self::SERVICES as $label) {
            $add("{$label}.{$zone}", 'SRV');
        }
        foreach ($known->sets ?? [] as $set) {
            $add($set->host, $set->type);
        }

        return $asked;
    }
}
