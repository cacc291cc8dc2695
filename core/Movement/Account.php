<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Time\Instant;

/** An account at a registrar, as far as a movement asks about it. */
final readonly class Account
{
    /**
     * @param  int  $id  tells accounts apart
     * @param  int  $registrar  tells registrars apart
     * @param  bool  $ours  we can sign in to it
     * @param  Instant|null  $proven  since when its identifiers are known to belong together; null: unproven
     * @param  bool  $byWire  its registrar takes commands by wire (EPP), and wants of a contact what RFC 5733 wants
     */
    public function __construct(
        public int $id,
        public int $registrar,
        public string $registrarName,
        public string $number,
        public ?string $login,
        public ?string $mailbox,
        public ?string $handle,
        public bool $ours,
        public ?Instant $proven,
        public bool $byWire = false,
    ) {
    }

    public function identifier(Identifier $which): ?string
    {
        return match ($which) {
            Identifier::Number => $this->number,
            Identifier::Login => $this->login,
            Identifier::Mailbox => $this->mailbox,
            Identifier::Handle => $this->handle,
        };
    }
}
