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
}
