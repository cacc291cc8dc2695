<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Record\Record;
use App\Models\DocketLine;

/** A deed of which the public record shows that it was done. */
interface SeenOutside extends Deed
{
    /** @param  array<string, mixed>  $terms */
    public function isSeen(DocketLine $line, array $terms, Record $record): bool;
}
