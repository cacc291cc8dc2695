<?php

declare(strict_types=1);

namespace App\Outside\Post;

/** What became of a letter that was given to the post. */
enum DeliveryOutcome
{
    case Taken;
    /** Not now: it may be brought again. */
    case Later;
    case Refused;
    /** All of it was said, and then the post fell silent: it may have gone. */
    case Doubtful;
}
