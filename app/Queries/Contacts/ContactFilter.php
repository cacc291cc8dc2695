<?php

declare(strict_types=1);

namespace App\Queries\Contacts;

use Acre\Core\Contact\ContactFinding;

/** Which contacts a page shows. */
final readonly class ContactFilter
{
    /**
     * @param  string  $text  part of how they are called or of a mailbox
     * @param  ContactFinding|null  $risk  only those behind a name of which that is said
     * @param  int|null  $after  the contact after which the page begins
     */
    public function __construct(
        public string $text = '',
        public ?int $client = null,
        public ?ContactFinding $risk = null,
        public bool $unused = false,
        public ?int $after = null,
    ) {
    }

    /** @param  array<array-key, mixed>  $said  of an address */
    public static function of(array $said): self
    {
        $number = fn (string $key): ?int => is_string($said[$key] ?? null) && preg_match('/^[1-9]\d{0,17}$/D', $said[$key]) === 1
            ? (int) $said[$key]
            : null;
        $risk = $said['risk'] ?? null;

        return new self(
            is_string($said['q'] ?? null) ? mb_substr(trim(mb_scrub($said['q'])), 0, 200) : '',
            $number('client'),
            is_string($risk) ? ContactFinding::tryFrom($risk) : null,
            ($said['unused'] ?? '') === '1',
            $number('after'),
        );
    }

    public function isNarrowed(): bool
    {
        return $this->text !== '' || $this->client !== null || $this->risk !== null || $this->unused;
    }

    /**
     * @param  array<string, string|int|null>  $but
     * @return array<string, string|int> the words of an address
     */
    public function words(array $but = []): array
    {
        return array_filter(
            [
                ...['q' => $this->text, 'client' => $this->client, 'risk' => $this->risk?->value, 'unused' => $this->unused ? '1' : ''],
                ...$but,
            ],
            fn (string|int|null $word): bool => $word !== null && $word !== '',
        );
    }
}
