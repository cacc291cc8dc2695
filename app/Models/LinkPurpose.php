<?php

declare(strict_types=1);

namespace App\Models;

/** What a link in a letter is good for. */
enum LinkPurpose: string
{
    case AcceptHandover = 'accept_handover';
    case ConfirmRegistrant = 'confirm_registrant';
    case VerifyMailbox = 'verify_mailbox';
    /** Of whoever has names transferred away: their auth codes, shown once. */
    case ReceiveCodes = 'receive_codes';
    /** Of a client: which of their names to keep. */
    case AnswerRenewals = 'answer_renewals';
    /** Of somebody of the house: their own, for the first time or anew. */
    case SetPassword = 'set_password';
}
