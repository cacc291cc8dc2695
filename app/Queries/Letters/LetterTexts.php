<?php

declare(strict_types=1);

namespace App\Queries\Letters;

use App\Models\LetterKind;
use App\Models\LetterText;
use App\View\Words;

/** The text of a letter, the house's own or as it ships, with everything filled in. */
final readonly class LetterTexts
{
    public function __construct(private Words $words)
    {
    }

    /** As it stands, before anything is filled in. */
    public function of(LetterKind $kind): Written
    {
        $own = LetterText::query()->where('kind', $kind)->first();

        return $own?->subject !== null && $own->body !== null ? new Written($own->subject, $own->body) : $this->shipped($kind);
    }

    public function shipped(LetterKind $kind): Written
    {
        return new Written($this->words->say("letters.text.{$kind->value}.subject"), $this->words->say("letters.text.{$kind->value}.body"));
    }

    /**
     * @param  int  $count  of names
     * @param  array<string, string>  $said  what it fills in
     */
    public function write(LetterKind $kind, int $count, array $said): Written
    {
        return $this->of($kind)->filled($count, $said);
    }
}
