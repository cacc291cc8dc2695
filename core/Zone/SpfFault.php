<?php

declare(strict_types=1);

namespace Acre\Core\Zone;

/** Why receivers can't use an SPF record: they treat it as an error for good (RFC 7208 §2.6.7). */
enum SpfFault: string
{
    /** Two records where one may be (§4.5). */
    case Several = 'several';
    /** A term that is none (§4.6). */
    case Malformed = 'malformed';
    /** More than ten terms that must be looked up (§4.6.4). */
    case TooManyLookups = 'too_many_lookups';
    /** It includes, or leads to, a name without a record of its own (§5.2, §6.1). */
    case LeadsNowhere = 'leads_nowhere';
}
