<?php

declare(strict_types=1);

namespace App\Outside\Reach;

/** Why something outside was not reached, or said nothing that can be used. */
enum FailureReason: string
{
    case NotListed = 'not_listed';
    case NotPublic = 'not_public';
    case NoAddress = 'no_address';
    case Silent = 'silent';
    case Certificate = 'certificate';
    case TooLong = 'too_long';
    case TooOften = 'too_often';
    case Refused = 'refused';
    case Garbled = 'garbled';
    case Elsewhere = 'elsewhere';
}
