<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use App\Models\Account;

/** What a person does at a registrar's own page for one docket. */
final readonly class Slip
{
    /**
     * @param  Account|null  $receiver  null: only the side where the names lie acts
     * @param  list<SlipLot>  $lots  of the names that are still open
     */
    public function __construct(public ?Account $receiver, public array $lots)
    {
    }
}
