<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

/** What is bought along with a name. */
enum ExtraKind: string
{
    case Privacy = 'privacy';
    case Mail = 'mail';
    case Redirects = 'redirects';
    case Zone = 'zone';
    case Certificate = 'certificate';
    case Hosting = 'hosting';
}
