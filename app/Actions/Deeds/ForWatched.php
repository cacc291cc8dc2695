<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

/** A deed that can be done to names which are only watched. */
interface ForWatched extends Deed
{
}
