<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

/** On whose authority agreements are accepted for a registrant. */
enum Authority: string
{
    /** The registrant's written order. */
    case Order = 'order';
    case Contract = 'contract';
    /** We are the registrant. */
    case Own = 'own';
}
