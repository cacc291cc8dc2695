<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Contact\Mailbox;

/** Where names leave to, and who gets their codes: the terms of a transfer away as its docket keeps them. */
final readonly class AwayTerms
{
    private const LONGEST = 200;

    /**
     * @param  string  $registrar  as people call it
     * @param  string|null  $tag  under which registries know it, where names move by that; null: not said
     * @param  string|null  $mailbox  of whoever has them transferred; null: nobody is written to, and the codes are read to them
     */
    public function __construct(public string $registrar, public ?string $tag, public ?string $mailbox)
    {
    }

    /** @param  array<array-key, mixed>  $said */
    public static function chosen(array $said): ?self
    {
        $text = fn (string $key): string => is_string($said[$key] ?? null) ? trim($said[$key]) : '';
        $registrar = mb_substr($text('to'), 0, self::LONGEST);
        $mailbox = $text('mailbox') === '' ? null : Mailbox::tryOf($text('mailbox'))?->address();
        $tag = strtoupper($text('tag'));
        if ($registrar === '' || ($text('mailbox') !== '' && $mailbox === null) || preg_match('/\A[A-Z0-9-]{0,16}\z/', $tag) !== 1) {
            return null;
        }

        return new self($registrar, $tag === '' ? null : $tag, $mailbox);
    }

    /** @return array<string, string> */
    public function pack(): array
    {
        return array_filter(
            ['to' => $this->registrar, 'tag' => $this->tag, 'mailbox' => $this->mailbox],
            fn (?string $one): bool => $one !== null,
        );
    }

    /** @param  array<string, mixed>  $terms */
    public static function unpack(array $terms): self
    {
        $text = fn (string $key): ?string => is_string($terms[$key] ?? null) ? $terms[$key] : null;

        return new self($text('to') ?? '', $text('tag'), $text('mailbox'));
    }
}
