<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

use Locale;

/** A country by its code of two letters (ISO 3166-1). */
final readonly class Country
{
    private function __construct(public string $code)
    {
    }

    /** @throws ContactError when no country has that code */
    public static function of(string $given): self
    {
        $code = strtoupper(trim($given));

        return isset(self::all()[$code]) ? new self($code) : throw ContactError::country($given);
    }

    /** @return array<string, true> by code, in its order */
    public static function all(): array
    {
        /** @var array<string, true>|null $all */
        static $all = null;
        if ($all === null) {
            /** @var array<string, true> $all */
            $all = require __DIR__.'/Data/countries.php';
        }

        return $all;
    }

    /** In English. */
    public function name(): string
    {
        return (string) Locale::getDisplayRegion('-'.$this->code, 'en');
    }

    /** Whether a postcode can be one of this country's; a country of which nothing is known takes any. */
    public function takes(?string $postcode): bool
    {
        $shape = self::shapes()[$this->code] ?? null;

        return $shape === null ||
            ($shape === '' ? $postcode === null : preg_match("/^(?:{$shape})$/D", strtoupper(trim((string) $postcode))) === 1);
    }

    /** @return array<string, string> */
    private static function shapes(): array
    {
        /** @var array<string, string>|null $shapes */
        static $shapes = null;
        if ($shapes === null) {
            /** @var array<string, string> $shapes */
            $shapes = require __DIR__.'/Data/postcodes.php';
        }

        return $shapes;
    }
}
