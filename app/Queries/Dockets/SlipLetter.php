<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

/** A letter that the registrar sends by itself once a step is taken: who gets it, and what answering it settles. */
final readonly class SlipLetter
{
    /**
     * @param  'change'|'verify'  $asks  whether they agree to another registrant, or that the mailbox is read
     * @param  string|null  $from  as people see it; null: not recorded
     * @param  list<string>  $to  mailboxes
     */
    public function __construct(public string $asks, public string $registrar, public ?string $from, public array $to)
    {
    }
}
