<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

/** One thing that a registrar is told, about one name that lies in one of our accounts there. */
final readonly class Order
{
    /**
     * @param  string  $transaction  our own id of it, which the registrar gives back
     * @param  string  $name  A-labels
     * @param  array<string, string>  $receiver  what names the receiving account, in a handover, by identifier
     * @param  string|null  $shown  the fields of the holder that may be shown, blanks between; null: nothing is said of that
     * @param  Holder|null  $holder  who is to be the registrant; null: the order is not about that
     * @param  list<string>  $servers  that it is to have, A-labels in small letters; none: the order is not about that
     * @param  string|null  $accepted  when its holder said yes to us, RFC 3339; null: the registrar asks them
     */
    public function __construct(
        public OrderKind $kind,
        public string $transaction,
        public string $name,
        public array $receiver = [],
        public ?string $accepted = null,
        public ?string $shown = null,
        public ?Holder $holder = null,
        public array $servers = [],
    ) {
    }

    /** @return list<string> that may be shown */
    public function fields(): array
    {
        return array_values(array_filter(explode(' ', $this->shown ?? ''), fn (string $field): bool => $field !== ''));
    }
}
