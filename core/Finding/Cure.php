<?php

declare(strict_types=1);

namespace Acre\Core\Finding;

/** What would take a finding away. */
enum Cure: string
{
    case RenewFirst = 'renew_first';
    case RestoreFirst = 'restore_first';
    case Wait = 'wait';
    case MoveRegistrar = 'move_registrar';
    case SeeDocket = 'see_docket';
    case AskReceiver = 'ask_receiver';
    case LiftHold = 'lift_hold';
    case SetLock = 'set_lock';
    case SayWhen = 'say_when';
    case AskClient = 'ask_client';
    case ChangeIntent = 'change_intent';
    case KeepCopy = 'keep_copy';
    case GainAccess = 'gain_access';
    case LookAtRecord = 'look_at_record';
    case RefuseTransfer = 'refuse_transfer';
    case LeaveOut = 'leave_out';
    case SettleDrift = 'settle_drift';
    case ChangeServers = 'change_servers';
    case AskHost = 'ask_host';
    case OtherMailbox = 'other_mailbox';
    case SayWho = 'say_who';
    case TellRegistrar = 'tell_registrar';
    case CorrectContact = 'correct_contact';
    case AnotherPerson = 'another_person';
    case OtherCard = 'other_card';
    case SayWayBack = 'say_way_back';
    case KeepApart = 'keep_apart';
    case AskServers = 'ask_servers';
    case CorrectSet = 'correct_set';
    case AddRecords = 'add_records';
    case KeepZone = 'keep_zone';
    case CorrectGlue = 'correct_glue';
    case EndDnssec = 'end_dnssec';
    case SetRecords = 'set_records';
    case AskPlace = 'ask_place';
    case SetRedirect = 'set_redirect';
    case RenewCertificate = 'renew_certificate';
    case SayWhere = 'say_where';
    case TopUp = 'top_up';
}
