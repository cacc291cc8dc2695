<?php

declare(strict_types=1);

namespace App\Actions\Names;

/** What a pasted list was read as. */
final readonly class PastedNames
{
    /**
     * @param  list<int>  $known  ids
     * @param  list<string>  $unknown  as they were pasted
     */
    public function __construct(public array $known, public array $unknown)
    {
    }

    /** The first ten, for a message. */
    public function unknownShort(): string
    {
        $more = count($this->unknown) - 10;

        return implode(', ', array_map(fn (string $text): string => mb_strimwidth($text, 0, 80, '…'), array_slice($this->unknown, 0, 10))).
            ($more > 0 ? " and {$more} more" : '');
    }
}
