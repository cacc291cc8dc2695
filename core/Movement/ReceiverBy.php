<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** How a registrar wants a receiving account named (common practice; it differs by registrar). */
enum ReceiverBy: string
{
    case NumberLogin = 'number_login';
    case MailboxNumber = 'mailbox_number';
    case Mailbox = 'mailbox';
    case Handle = 'handle';

    /** @return non-empty-list<Identifier> */
    public function identifiers(): array
    {
        return match ($this) {
            self::NumberLogin => [Identifier::Number, Identifier::Login],
            self::MailboxNumber => [Identifier::Mailbox, Identifier::Number],
            self::Mailbox => [Identifier::Mailbox],
            self::Handle => [Identifier::Handle],
        };
    }

    /** With two, a slip of the pen fails at the registrar; with one, it gives the name to a stranger. */
    public function checksItself(): bool
    {
        return count($this->identifiers()) > 1;
    }
}
