<?php

declare(strict_types=1);

namespace Acre\Core\Balance;

/** What an account at a registrar pays from. */
enum PaidFrom: string
{
    /** Money that was paid in beforehand; it never goes below nothing (common practice). */
    case Balance = 'balance';
    /** A card, which expires on a day of its own. */
    case Card = 'card';
    /** Everything is charged, and paid for afterwards. */
    case Invoice = 'invoice';
}
