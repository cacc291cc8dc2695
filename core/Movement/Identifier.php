<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** What can name an account at a registrar. */
enum Identifier: string
{
    case Number = 'number';
    case Login = 'login';
    case Mailbox = 'mailbox';
    /** A public handle that is not the login. */
    case Handle = 'handle';
}
