<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

/** Result codes (RFC 5730 §3). */
enum EppCode: int
{
    case Done = 1000;
    case Pending = 1001;
    case NoMessages = 1300;
    case AckToDequeue = 1301;
    case Ending = 1500;
    case UnknownCommand = 2000;
    case Syntax = 2001;
    case Use = 2002;
    case MissingParameter = 2003;
    case ValueRange = 2004;
    case ValueSyntax = 2005;
    case UnimplementedVersion = 2100;
    case UnimplementedCommand = 2101;
    case UnimplementedOption = 2102;
    case UnimplementedExtension = 2103;
    case Billing = 2104;
    case NotRenewable = 2105;
    case NotTransferable = 2106;
    case Authentication = 2200;
    case Authorization = 2201;
    case InvalidAuthorization = 2202;
    case TransferPending = 2300;
    case NoTransferPending = 2301;
    case Exists = 2302;
    case DoesNotExist = 2303;
    case StatusProhibits = 2304;
    case AssociationProhibits = 2305;
    case Policy = 2306;
    case UnimplementedService = 2307;
    case DataPolicy = 2308;
    case Failed = 2400;
    case FailedClosing = 2500;
    case AuthenticationClosing = 2501;
    case SessionLimit = 2502;

    public function isSuccess(): bool
    {
        return $this->value < 2000;
    }

    /** Whether the server closes the connection with it. */
    public function endsSession(): bool
    {
        return $this === self::Ending || $this->value >= 2500;
    }

    /** Whether the server may say otherwise later to the very same command: nothing was wrong with it. */
    public function isServers(): bool
    {
        return $this === self::Failed || $this === self::FailedClosing || $this === self::SessionLimit;
    }
}
