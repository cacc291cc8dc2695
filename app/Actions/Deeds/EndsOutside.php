<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

/** A deed whose lines end once the public record shows them done: nobody need tick what the whole world sees. */
interface EndsOutside extends SeenOutside
{
}
