<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** RFC 1035 §4.1.1 and RFC 2136 §2.2; others are kept as their number. */
final class ResponseCode
{
    public const OK = 0;

    public const FORMAT_ERROR = 1;

    public const SERVER_FAILURE = 2;

    public const NO_SUCH_NAME = 3;

    public const NOT_IMPLEMENTED = 4;

    public const REFUSED = 5;
}
