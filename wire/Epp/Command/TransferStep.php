<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

/** What a transfer command asks for (RFC 5730 §2.9.3.4). */
enum TransferStep: string
{
    case Request = 'request';
    case Query = 'query';
    case Approve = 'approve';
    case Reject = 'reject';
    case Cancel = 'cancel';
}
