<?php

declare(strict_types=1);

namespace App\Outside\Web;

use Acre\Core\Hosting\Certificate;
use Acre\Core\Hosting\CertificateFault;
use Acre\Core\Hosting\HostingError;
use Acre\Core\Hosting\NotVisited;
use Acre\Core\Hosting\SiteSeen;
use Acre\Core\Hosting\Trail;
use Acre\Core\Hosting\Visit;
use Acre\Core\Hosting\WebAddress;
use Acre\Core\Time\Instant;

/** What was found at a host, as it is kept: JSON, because what web servers send is no text. */
final class PackedSite
{
    public static function pack(SiteSeen $seen): string
    {
        return json_encode([
            'addresses' => $seen->addresses,
            'plain' => self::visits($seen->plain),
            'secure' => self::visits($seen->secure),
            'deep' => self::visits($seen->deep),
            'certificate' => $seen->certificate === null ? null : [
                'names' => $seen->certificate->names,
                'from' => $seen->certificate->from,
                'until' => $seen->certificate->until,
                'issuer' => $seen->certificate->issuer,
                'fault' => $seen->certificate->fault?->value,
            ],
            'at' => $seen->at,
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    public static function unpack(string $json): SiteSeen
    {
        $data = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        $data = is_array($data) ? $data : [];

        return new SiteSeen(
            self::texts($data['addresses'] ?? []),
            self::trail($data['plain'] ?? null),
            self::trail($data['secure'] ?? null),
            self::trail($data['deep'] ?? null),
            self::certificate($data['certificate'] ?? null),
            Instant::of(is_string($data['at'] ?? null) ? $data['at'] : '1970-01-01'),
        );
    }

    /** @return list<array{string, int|string|null, string|null}>|null page, status or why there is none, and location */
    private static function visits(?Trail $trail): ?array
    {
        return $trail === null ? null : array_map(
            fn (Visit $visit): array => [(string) $visit->page, $visit->status ?? $visit->fault?->value, $visit->location],
            $trail->visits,
        );
    }

    private static function trail(mixed $data): ?Trail
    {
        $trail = null;
        foreach (is_array($data) ? $data : [] as $one) {
            $one = is_array($one) ? $one : [];
            try {
                $page = WebAddress::of(is_string($one[0] ?? null) ? $one[0] : '');
            } catch (HostingError) {
                break;
            }
            $status = $one[1] ?? null;
            $trail ??= Trail::from($page);
            $trail = $trail->then(is_int($status)
                ? Visit::answered($page, $status, is_string($one[2] ?? null) ? $one[2] : null)
                : Visit::failed($page, NotVisited::tryFrom(is_string($status) ? $status : '') ?? NotVisited::Garbled));
        }

        return $trail;
    }

    private static function certificate(mixed $data): ?Certificate
    {
        return is_array($data) && is_string($data['from'] ?? null) && is_string($data['until'] ?? null)
            ? new Certificate(
                self::texts($data['names'] ?? []),
                Instant::of($data['from']),
                Instant::of($data['until']),
                is_string($data['issuer'] ?? null) ? $data['issuer'] : '',
                CertificateFault::tryFrom(is_string($data['fault'] ?? null) ? $data['fault'] : ''),
            )
            : null;
    }

    /** @return list<string> */
    private static function texts(mixed $data): array
    {
        return array_values(array_filter(is_array($data) ? $data : [], is_string(...)));
    }
}
