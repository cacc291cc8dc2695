<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use Acre\Core\Time\Instant;

/**
 * What a docket did, as a canonical text with its SHA-256.
 *
 * The text is UTF-8 with line feeds, names in order of their ASCII form, and nothing in it depends on who reads it, so
 * that `sha256sum` over the downloaded file gives the digest. People are named by number; their names stand elsewhere
 * and can be erased.
 */
final readonly class Proof
{
    private function __construct(public string $text, public string $sha256)
    {
    }

    /**
     * @param  string  $terms  the deed and its terms, in one line
     * @param  list<ProofLine>  $lines
     * @param  string|null  $previous  SHA-256 of the proof made before this one; null: this is the house's first
     *
     * @throws TitleError when a value carries a line break
     */
    public static function of(int $docket, string $terms, int $preparedBy, Instant $preparedOn, int $settledBy, Instant $settledOn, Instant $closedOn, array $lines, int $position, ?string $previous): self
    {
        usort($lines, fn (ProofLine $a, ProofLine $b): int => strcmp($a->name, $b->name));
        $rows = [
            'Acre Roll, proof of a deed, form 1',
            'proof: '.$position,
            'docket: '.$docket,
            'deed: '.self::line($terms),
            "prepared: {$preparedOn->isoSecond()} by person {$preparedBy}",
            "settled: {$settledOn->isoSecond()} by person {$settledBy}",
            "closed: {$closedOn->isoSecond()}",
            'names: '.count($lines),
        ];
        foreach ($lines as $line) {
            $rows[] = '';
            $rows[] = 'name: '.self::line($line->name);
            $rows[] = 'result: '.self::line($line->result).($line->on === null ? '' : ' on '.$line->on->iso());
            $rows[] = 'before: '.self::line($line->before);
            $rows[] = 'after: '.self::line($line->after);
            if ($line->reason !== '') {
                $rows[] = 'reason: '.self::line($line->reason);
            }
        }
        $rows[] = '';
        $rows[] = 'previous proof: '.($previous ?? 'none');
        $text = implode("\n", $rows)."\n";

        return new self($text, hash('sha256', $text));
    }

    private static function line(string $value): string
    {
        if (preg_match('/[\x00-\x1f\x7f]/', $value) === 1) {
            throw TitleError::control($value);
        }

        return $value;
    }
}
