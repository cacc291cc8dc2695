<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

/** RFC 9537 §3; a redaction that names none is a removal (§4.2). */
enum RdapRedactionMethod: string
{
    case Removal = 'removal';
    case EmptyValue = 'emptyValue';
    case PartialValue = 'partialValue';
    case ReplacementValue = 'replacementValue';
}
