<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Time\Instant;

/** What is known of a name's auth code (RFC 5731 §1.3: authInfo). */
final readonly class CodeKnown
{
    /**
     * @param  Instant|null  $inHand  since when it is in hand; null: it is not
     * @param  bool|null  $fits  whether the registry took it as this name's, when it was tried; null: nobody has tried
     */
    private function __construct(public ?Instant $inHand, public ?bool $fits)
    {
    }

    public static function none(): self
    {
        return new self(null, null);
    }

    public static function since(Instant $inHand, ?bool $fits = null): self
    {
        return new self($inHand, $fits);
    }

    /**
     * Until when it is good; null: without a limit, or there is none.
     *
     * @param  int  $days  0: no limit
     */
    public function goodUntil(int $days): ?Instant
    {
        return $this->inHand === null || $days === 0 ? null : $this->inHand->plusDays($days);
    }
}
