<?php

declare(strict_types=1);

namespace Acre\Core\Dnssec;

/** Why a signature does not hold (RFC 4035 §5.3.1). */
enum SignatureFault: string
{
    case Missing = 'missing';
    case Expired = 'expired';
    case NotYet = 'not_yet';
    /** It was made for another name, type or zone. */
    case OfAnother = 'of_another';
    /** None of the zone's keys has its tag and algorithm. */
    case NoKey = 'no_key';
    /** What was signed, or the key, is not what stands there now. */
    case DoesNotVerify = 'does_not_verify';
    /** We can't compute its algorithm, so we can't say. */
    case UnknownAlgorithm = 'unknown_algorithm';
}
