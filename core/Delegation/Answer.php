<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

/** How a name server answered for a zone that it is said to have. */
enum Answer: string
{
    case Authoritative = 'authoritative';
    /** It answers, without authority for that zone: lame (RFC 1912 §2.8). */
    case Lame = 'lame';
    case Refused = 'refused';
    case Fails = 'fails';
    case NoSuchName = 'no_such_name';
    case Silent = 'silent';
    /** What it sends can't be read. */
    case Garbled = 'garbled';
    case NoAddress = 'no_address';
    /** The name that the host lies under is registered by nobody: whoever registers it answers in its place. */
    case NobodyHolds = 'nobody_holds';
    /** Its address lies in a range that nobody outside can reach, and was not asked. */
    case NotPublic = 'not_public';
    /** It is of a family of addresses that this machine can't dial. */
    case NotAsked = 'not_asked';
}
