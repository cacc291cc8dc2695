<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Queries\Names\HeldCase;

/**
 * A deed about people: its dockets and proofs say `contact 7`, so that they stay whole when somebody's data is erased; its page says who
 * that is.
 */
interface NamesPeople extends HasPage
{
    /**
     * What beforeAndAfter() says, with the people by how they are called.
     *
     * @param  array<string, mixed>  $terms
     * @return array{before: array<string, string>, after: array<string, string>}
     */
    public function shown(HeldCase $file, array $terms): array;
}
