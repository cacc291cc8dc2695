<?php

declare(strict_types=1);

namespace App\Queries\Letters;

use App\Models\LetterKind;
use App\Models\LetterText;
use App\Support\Language;
use App\View\Words;

/** The text of a letter, the house's own or as it ships, with everything filled in. */
final readonly class LetterTexts
{
    public function __construct(private Words $words)
    {
    }

    /** As it stands, before anything is filled in. */
    public function of(LetterKind $kind, Language $language = Language::English): Written
    {
        $own = LetterText::query()->where('kind', $kind)->where('language', $language)->first();

        return $own?->subject !== null && $own->body !== null
            ? new Written($own->subject, $own->body)
            : $this->shipped($kind, $language);
    }

    public function shipped(LetterKind $kind, Language $language = Language::English): Written
    {
        return $language->speak(fn (): Written => new Written(
            $this->words->say("letters.text.{$kind->value}.subject"),
            $this->words->say("letters.text.{$kind->value}.body"),
        ));
    }

    /**
     * @param  int  $count  of names
     * @param  array<string, string>  $said  what it fills in
     */
    public function write(LetterKind $kind, int $count, array $said, Language $language = Language::English): Written
    {
        return $this->of($kind, $language)->filled($count, $said);
    }
}
