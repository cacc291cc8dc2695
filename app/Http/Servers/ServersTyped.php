<?php

declare(strict_types=1);

namespace App\Http\Servers;

use Acre\Core\Delegation\ServerHost;
use Acre\Core\Delegation\ServerSet;
use Acre\Core\Name\NameError;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Name servers as people type them: a host a line, its addresses behind it. */
final class ServersTyped implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $hosts = [];
        foreach (self::lines(is_string($value) ? $value : '') as $words) {
            try {
                $server = self::host($words);
            } catch (NameError $e) {
                $fail($e->getMessage());

                continue;
            }
            $wrong = array_values(array_diff(array_slice($words, 1), $server->addresses));
            if ($wrong !== []) {
                $fail('servers.wrong_address')->translate(['address' => mb_substr($wrong[0], 0, 60)]);
            }
            if (isset($hosts[$server->host])) {
                $fail('servers.twice')->translate(['host' => $server->host]);
            }
            $hosts[$server->host] = true;
        }
        if (count($hosts) > ServerSet::MOST) {
            $fail('servers.most')->translate(['most' => (string) ServerSet::MOST]);
        }
    }

    /** @throws NameError when a line is no host */
    public static function read(string $text): ServerSet
    {
        return ServerSet::of(array_map(self::host(...), self::lines($text)));
    }

    /**
     * @param  non-empty-list<string>  $words
     *
     * @throws NameError
     */
    private static function host(array $words): ServerHost
    {
        $isAddress = fn (string $word): bool => filter_var($word, FILTER_VALIDATE_IP) !== false;

        return ServerHost::of($words[0], array_values(array_filter(array_slice($words, 1), $isAddress)));
    }

    /** @return list<non-empty-list<string>> words of each line that has any */
    private static function lines(string $text): array
    {
        $found = [];
        foreach (explode("\n", strtr(mb_scrub($text), "\r", "\n")) as $line) {
            $words = preg_split('/[\s,;|]+/u', $line, -1, PREG_SPLIT_NO_EMPTY);
            if ($words !== false && $words !== []) {
                $found[] = $words;
            }
        }

        return $found;
    }
}
