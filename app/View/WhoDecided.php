<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Time\Instant;
use App\Models\Registration;
use App\Support\Dates;

/** Who decided what is to happen at a name's end, and when; with a link to where that stands. */
final readonly class WhoDecided
{
    private function __construct(public string $said, public ?string $address)
    {
    }

    /** Null: nobody has since it came onto the Roll. */
    public static function of(?Registration $registration): ?self
    {
        $source = $registration->sources['intent'] ?? null;
        if (! is_array($source) || ! is_string($source['at'] ?? null)) {
            return null;
        }
        $id = fn (string $key): ?int => is_int($source[$key] ?? null) ? $source[$key] : null;
        [$from, $address] = match (true) {
            $id('ask') !== null => ['client', route('asks.show', $id('ask'))],
            $id('docket') !== null => ['docket', route('dockets.show', $id('docket'))],
            $id('import') !== null => ['list', route('imports.show', $id('import'))],
            default => ['typed', null],
        };
        $said = __("names.decided.{$from}", ['on' => Dates::full(Instant::of($source['at'])), 'docket' => (string) $id('docket')]);

        return new self(is_string($said) ? $said : '', $address);
    }
}
