<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use App\Actions\Money\StatementLine;

/** What a registrar says was taken from an account, and paid in, since an entry that is known. */
final readonly class AccountEntries
{
    /**
     * @param  list<StatementLine>  $lines  those that can be read, oldest first
     * @param  string|null  $last  the registrar's id of the last of them, read or not; null: there are none
     * @param  bool  $areMore  whether there are more after these
     */
    public function __construct(public array $lines, public ?string $last, public bool $areMore)
    {
    }
}
