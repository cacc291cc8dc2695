<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

/**
 * A deed that happens outside, and that our own books follow once a person ticks it off: a tick that was wrong is taken back. What
 * a registrar itself has said, or the public record shows, is no wrong tick.
 */
interface Ticked extends Undoable
{
}
