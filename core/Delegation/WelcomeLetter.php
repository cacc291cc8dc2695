<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;

/**
 * What a web host writes to a new customer: its name servers are found in it. How such letters are written is common practice.
 */
final readonly class WelcomeLetter
{
    private const MOST_LINES = 5_000;

    /** Words of a line stand between these. */
    private const BETWEEN = '/[\s,;|()<>\[\]"“”„\'=]+/u';

    /** What name servers are called. */
    private const CALLED = '/\b(?:name\s*-?servers?|dns|nserver|ns)\b/i';

    /** The first label of a host that is one, nearly always. */
    private const LABEL = '/\A(?:[a-z]*ns|dns|pdns|nameserver)[-a-z]*\d*\z/';

    /** What else such letters tell, which ends a list of name servers. */
    private const ELSE = '/\b(?:s?ftp|ssh|panel|log\s?in|password|username|imap|smtp|pop3?|(?:web|e-?)?mail|invoice|support|database)\b/i';

    /**
     * @param  list<ServerHost>  $servers  in the order of the letter
     * @param  list<string>  $others  hosts that don't look like name servers
     * @param  list<string>  $ignored  lines in which nothing was found, without empty ones
     */
    private function __construct(public array $servers, public array $others, public array $ignored)
    {
    }

    public static function read(string $text): self
    {
        $servers = $others = $ignored = [];
        $isList = false;
        $last = null;
        foreach (array_slice(self::split('/\R/u', mb_scrub($text)), 0, self::MOST_LINES) as $line) {
            $line = trim($line);
            if ($line === '') {
                // A blank line stands before a list, and after it.
                $isList = $isList && $last === null;
                $last = null;

                continue;
            }
            $isAbout = preg_match(self::CALLED, $line) === 1;
            $isElse = preg_match(self::ELSE, $line) === 1;
            $isList = ! $isElse && ($isAbout || $isList);
            [$hosts, $addresses] = [self::hosts($line), self::addresses($line)];
            if ($hosts === [] && ($addresses === [] || $last === null || ! $isList)) {
                $ignored[] = $line;
                $last = $isList ? $last : null;

                continue;
            }
            foreach ($hosts as $host) {
                $isServer = preg_match(self::LABEL, explode('.', $host)[0]) === 1 || $isList;
                $isServer ? ($servers[$host] ??= []) : ($others[$host] = true);
                $last = $isServer ? $host : null;
            }
            // Beside its host, or on the line below.
            if ($last !== null && count($hosts) < 2) {
                array_push($servers[$last], ...$addresses);
            }
        }

        return new self(
            array_map(
                fn (string $host, array $of): ServerHost => ServerHost::of($host, $of),
                array_map(strval(...), array_keys($servers)),
                array_values($servers),
            ),
            array_map(strval(...), array_keys(array_diff_key($others, $servers))),
            $ignored,
        );
    }

    /** @return list<string> in the line, A-labels */
    private static function hosts(string $line): array
    {
        $hosts = [];
        foreach (self::split(self::BETWEEN, $line) as $word) {
            $word = trim($word, '.:*-–•');
            // A mailbox is no host.
            if (! str_contains($word, '.') || str_contains($word, '@') || filter_var($word, FILTER_VALIDATE_IP) !== false) {
                continue;
            }
            try {
                $name = DomainName::of($word);
            } catch (NameError) {
                continue;
            }
            // `e.g` or `file.txt` is no host either; a registered name by itself serves nobody.
            if (count($name->labels) >= 2 && ! $name->isRegistrable()) {
                $hosts[] = $name->ascii;
            }
        }

        return array_values(array_unique($hosts));
    }

    /** @return list<string> */
    private static function addresses(string $line): array
    {
        $words = array_map(fn (string $word): string => rtrim($word, '.:'), self::split(self::BETWEEN, $line));

        return array_values(array_filter($words, fn (string $word): bool => filter_var($word, FILTER_VALIDATE_IP) !== false));
    }

    /** @return list<string> */
    private static function split(string $by, string $text): array
    {
        $parts = preg_split($by, $text, -1, $by === self::BETWEEN ? PREG_SPLIT_NO_EMPTY : 0);

        return $parts === false ? [] : $parts;
    }
}
