<?php

declare(strict_types=1);

namespace Acre\Core\Title;

use Acre\Core\Time\Span;

/** That a name was in an account, for a client, over a span. */
final readonly class Holding
{
    /**
     * @param  string  $account  registrar and number, as people say it
     * @param  int|null  $docket  the deed by which it began; null: as it was brought in or recorded
     */
    public function __construct(public string $account, public string $client, public Span $span, public ?int $docket)
    {
    }
}
