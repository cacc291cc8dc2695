<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

/** A number as a file holds it, with the currency that its format shows. */
final readonly class ListNumber
{
    /** @param  string|null  $currency  ISO 4217 */
    private function __construct(public string $decimal, public ?string $currency)
    {
    }

    public static function text(float $number): string
    {
        // As it was typed: 12.5 and not 12.500000000001.
        return rtrim(rtrim(sprintf('%.10F', $number), '0'), '.');
    }

    /** @param  string  $cell  of a column that is told as a number: `9.996`, `8.4 USD` */
    public static function read(string $cell): ?self
    {
        return preg_match('/^(\d{1,15}(?:\.\d+)?)(?: ([A-Z]{3}))?$/D', $cell, $part) === 1 ? new self($part[1], $part[2] ?? null) : null;
    }
}
