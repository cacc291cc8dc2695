<?php

declare(strict_types=1);

namespace App\Queries\Names;

use App\Support\Row;

/** A page of what happened to a name. Registrants and consents stand on the first alone. */
final readonly class ChangesPage
{
    /**
     * @param  list<Row>  $rows  of the log, the last first, with what a docket's line was and became, and why
     * @param  list<Row>  $registrants
     * @param  list<Row>  $consents
     * @param  int|null  $next  where the next page begins
     */
    public function __construct(public array $rows, public array $registrants, public array $consents, public ?int $next)
    {
    }
}
