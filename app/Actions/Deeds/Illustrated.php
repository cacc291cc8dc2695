<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use App\Queries\Names\HeldCase;

/** A deed whose page shows before what it comes to: `deeds/picture/KEY.blade.php` draws it. */
interface Illustrated extends HasPage
{
    /**
     * @param  list<HeldCase>  $files
     * @param  array<string, mixed>  $terms
     * @return array<string, mixed> what the drawing needs
     */
    public function picture(array $files, array $terms, Instant $now): array;
}
