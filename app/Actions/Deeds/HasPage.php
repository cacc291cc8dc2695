<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

/** A deed whose page is made of its terms alone: `deeds/terms/KEY.blade.php` asks for them. */
interface HasPage extends Deed
{
    /**
     * What its form offers, by what it is called.
     *
     * @return array<int|string, string>
     */
    public function choices(): array;
}
