<?php

declare(strict_types=1);

namespace Acre\Core\Lifecycle;

/** What is to happen at a name's end. */
enum Intent: string
{
    case ByItself = 'by_itself';
    case WhenTold = 'when_told';
    case AskClient = 'ask_client';
    case Lapse = 'lapse';

    /** Whether auto-renew at the registrar is set as this wants it: whoever is to be asked first is not to be charged before. */
    public function isServedBy(bool $renews): bool
    {
        return $renews === ($this === self::ByItself);
    }
}
