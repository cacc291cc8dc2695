<?php

declare(strict_types=1);

namespace App\Queries\Letters;

use App\Models\LetterKind;

/** A letter's subject and body, in which `{one|many}` goes by how many names it is about, and `:words` are filled in. */
final readonly class Written
{
    private const CHOICE = '/\{([^{}|]*)\|([^{}|]*)\}/';

    private const WORD = '/:([a-z]+)/';

    public function __construct(public string $subject, public string $body)
    {
    }

    /** @param  array<string, string>  $said */
    public function filled(int $count, array $said): self
    {
        $fill = fn (string $text): string => (string) preg_replace_callback(
            self::WORD, fn (array $word): string => $said[$word[1]] ?? ($word[1] === 'count' ? number_format($count) : $word[0]),
            (string) preg_replace_callback(self::CHOICE, fn (array $both): string => $both[$count === 1 ? 1 : 2], $text),
        );

        return new self($fill($this->subject), $fill($this->body));
    }

    /** @return list<string> words that it must say and doesn't */
    public function lacks(LetterKind $kind): array
    {
        return array_values(array_diff($kind->needs(), self::words($this->body)));
    }

    /** @return list<string> words that nobody fills in */
    public function unknown(LetterKind $kind): array
    {
        return array_values(array_diff(self::words($this->subject.' '.$this->body), $kind->words()));
    }

    /** What stands in braces and is no choice; null: nothing. */
    public function uneven(): ?string
    {
        $left = (string) preg_replace(self::CHOICE, '', $this->subject."\n".$this->body);

        return preg_match('/.{0,20}[{}].{0,20}/u', $left, $found) === 1 ? $found[0] : null;
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        preg_match_all(self::WORD, $text, $found);

        return array_values(array_unique($found[1]));
    }
}
