<?php

declare(strict_types=1);

namespace Standin\Post;

/** What a mailbox does with a letter. */
enum Habit: string
{
    case Reads = 'reads';
    /** It takes every letter, and nobody looks. */
    case NeverRead = 'is never read';
    /** Its server takes the letter first and sends it back afterwards. */
    case Bounces = 'bounces';
    /** Its server says at once that there is no such mailbox. */
    case Unknown = 'is not known';
    /** Its server wants every letter of a new sender to be brought twice. */
    case Greylists = 'greylists';
    case Forwards = 'forwards';
}
