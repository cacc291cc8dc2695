<?php

declare(strict_types=1);

namespace Standin\Counter;

/** What can be asked for at the counter, in a slip's words. */
enum Errand: string
{
    case LiftLock = 'Lift the lock';
    case SetLock = 'Set the lock';
    case RenewOn = 'Let them renew by themselves';
    case RenewOff = 'Let them renew only when told';
    case Renew = 'Renew them for so many years';
    case Restore = 'Restore them';
    case Code = 'Request the auth codes';
    case Offer = 'Offer them to the account below';
    case Accept = 'Accept what is offered to this account';
    case Confirm = 'Confirm what the receiver has accepted';
    case Show = 'Show the fields below of their holder, and no other';
    case Holder = 'Put the holder below to them';
    case Servers = 'Put the name servers below to them';
    case Keys = 'Put the DS records below to them, and no other';
    case Withdraw = 'Withdraw the offer';
}
