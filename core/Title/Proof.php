<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use Acre\Core\Time\Instant;

/**
 * What a deed did, as a canonical text with its SHA-256.
 *
 * The text is UTF-8 with line feeds, lines in an order that is told, and nothing in it depends on who reads it, so
 * that `sha256sum` over the downloaded file gives the digest. Whatever a value holds, it is one line of the text. People are named by
 * number; their names stand elsewhere
 * and can be erased.
 */
final readonly class Proof
{
    private function __construct(public string $text, public string $sha256)
    {
    }

    /**
     * Of a docket; its names in order of their ASCII form.
     *
     * @param  string  $terms  the deed and its terms, in one line
     * @param  list<ProofLine>  $lines
     */
    public static function of(
        int $docket,
        string $terms,
        int $preparedBy,
        Instant $preparedOn,
        int $settledBy,
        Instant $settledOn,
        Instant $closedOn,
        array $lines,
    ): ProofDraft {
        usort($lines, fn (ProofLine $a, ProofLine $b): int => strcmp($a->name, $b->name));

        return self::record(
            'a deed',
            [
                'docket' => (string) $docket,
                'deed' => $terms,
                'prepared' => "{$preparedOn->isoSecond()} by person {$preparedBy}",
                'settled' => "{$settledOn->isoSecond()} by person {$settledBy}",
                'closed' => $closedOn->isoSecond(),
                'names' => (string) count($lines),
            ],
            array_map(
                fn (ProofLine $line): array => [
                    'name' => $line->name,
                    'result' => $line->result.($line->on === null ? '' : ' on '.$line->on->iso()),
                    'before' => $line->before,
                    'after' => $line->after,
                    ...$line->reason === '' ? [] : ['reason' => $line->reason],
                ],
                $lines,
            ),
        );
    }

    /**
     * Of anything that was done and ended.
     *
     * @param  string  $of  what it proves, as the first line says it
     * @param  array<string, string>  $head  what holds for the whole, by what it is called
     * @param  list<array<string, string>>  $lines  each of its parts alike
     */
    public static function record(string $of, array $head, array $lines): ProofDraft
    {
        $say = fn (string $what, string $value): string => "{$what}: ".self::line($value);
        $rows = array_map($say, array_keys($head), $head);
        foreach ($lines as $line) {
            array_push($rows, '', ...array_map($say, array_keys($line), $line));
        }

        return new ProofDraft("Acre Roll, proof of {$of}, form 1", implode("\n", $rows));
    }

    /** As it stands in a chain; made by a draft. */
    public static function ofText(string $text): self
    {
        return new self($text, hash('sha256', $text));
    }

    /** A backslash and what would break or hide a line are written as `\u{2028}`, so that every value can be told, and told apart. */
    private static function line(string $value): string
    {
        return (string) preg_replace_callback(
            '/[\\\\\p{Cc}\x{2028}\x{2029}]|(?![\x{200C}\x{200D}])\p{Cf}/u',
            fn (array $one): string => sprintf('\\u{%x}', mb_ord($one[0], 'UTF-8')),
            mb_scrub($value, 'UTF-8'),
        );
    }
}
