<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** What receivers are asked to do with mail that only claims to come from a name (RFC 7489 §6.3). */
final readonly class Dmarc
{
    private const POLICIES = ['none', 'quarantine', 'reject'];

    /**
     * @param  string|null  $policy  `none`, `quarantine` or `reject`; null: it can't be read, and counts as if there were none
     * @param  string  $subdomains  the same of names below it
     * @param  int  $percent  of such mail that it is applied to
     * @param  list<string>  $reports  where reports go: mailto addresses
     */
    private function __construct(public ?string $policy, public string $subdomains, public int $percent, public array $reports)
    {
    }

    /**
     * @param  list<string>  $texts  TXT records at `_dmarc`, each joined to one text
     * @return self|null null: it has none; of several none counts (§6.6.3)
     */
    public static function of(array $texts): ?self
    {
        $records = array_values(array_filter($texts, fn (string $text): bool => preg_match('/\Av\s*=\s*DMARC1\s*(?:;|\z)/', $text) === 1));
        if ($records === []) {
            return null;
        }
        $tags = count($records) === 1 ? self::tags($records[0]) : [];
        $policy = strtolower($tags['p'] ?? '');
        $policy = in_array($policy, self::POLICIES, true) ? $policy : null;
        // With somewhere to report to, a policy that can't be read is none (§6.6.3).
        $reports = self::addresses($tags['rua'] ?? '');
        $policy ??= $reports === [] ? null : 'none';
        $below = strtolower($tags['sp'] ?? '');

        return new self(
            $policy,
            in_array($below, self::POLICIES, true) ? $below : $policy ?? 'none',
            preg_match('/\A\d{1,3}\z/', $tags['pct'] ?? '') === 1 ? min(100, (int) $tags['pct']) : 100,
            $reports,
        );
    }

    /** @return array<string, string> */
    private static function tags(string $record): array
    {
        $tags = [];
        foreach (explode(';', $record) as $part) {
            [$tag, $value] = [...explode('=', $part, 2), ''];
            $tags[strtolower(trim($tag))] ??= trim($value);
        }

        return $tags;
    }

    /** @return list<string> */
    private static function addresses(string $uris): array
    {
        $found = [];
        foreach (explode(',', $uris) as $uri) {
            if (preg_match('/\Amailto:([^!\s]+@[^!\s]+)/i', trim($uri), $one) === 1) {
                $found[] = $one[1];
            }
        }

        return $found;
    }
}
