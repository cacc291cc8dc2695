<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Money\Money;

/** The side where a name is to go: its terms, its price, and what lies there to pay it. */
final readonly class Gaining
{
    /**
     * @param  bool|null  $takesSuffix  null: not known
     * @param  bool|null  $takesSigned  whether it passes on a DS; null: not known
     * @param  bool  $insistsOnServers  whether it takes no name servers but its own
     * @param  bool  $asksByLetter  whether it asks the holder by letter before it begins
     * @param  Money|null  $price  of this transfer, with tax; null: not known
     * @param  Money|null  $balance  what a prepaid account has; null: it is paid otherwise
     * @param  bool  $renewsItself  whether auto-renew is to be on there
     * @param  bool  $isOurs  whether it is an account of ours; of another's nothing is asked
     * @param  string|null  $tag  under which registries that move names by tag know it; null: not known
     */
    public function __construct(
        public string $registrar,
        public ?bool $takesSuffix = null,
        public ?bool $takesSigned = null,
        public bool $insistsOnServers = false,
        public bool $asksByLetter = false,
        public ?Money $price = null,
        public ?Money $balance = null,
        public bool $renewsItself = false,
        public bool $isOurs = true,
        public ?string $tag = null,
    ) {
    }

    /** Somebody else's account, wherever that is. */
    public static function elsewhere(string $registrar, ?string $tag = null): self
    {
        return new self($registrar, isOurs: false, tag: $tag);
    }

    /** What its balance lacks for the price; null: nothing, as far as is known. */
    public function lacks(): ?Money
    {
        if ($this->price === null || $this->balance === null) {
            return null;
        }
        if ($this->price->currency !== $this->balance->currency) {
            return $this->price;
        }
        $lacks = $this->price->minus($this->balance);

        return $lacks->isPositive() ? $lacks : null;
    }
}
