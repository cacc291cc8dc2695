<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** What an account is told of itself: docs/account-extension.md */
final readonly class AccountInfo implements EppCommand
{
    /** @param  string|null  $entriesAfter  its entries too, those after the one of this id; empty: from the first; null: none */
    public function __construct(private string $number, private ?string $entriesAfter = null)
    {
    }

    public function write(EppWriter $to): void
    {
        $to->open(
            'info',
            [],
            fn (EppWriter $to) => $to->object(
                EppNamespace::Account,
                'info',
                function (EppWriter $to): void {
                    $to->text('account:number', $this->number);
                    if ($this->entriesAfter !== null) {
                        $to->sign('account:entries', $this->entriesAfter === '' ? [] : ['after' => $this->entriesAfter]);
                    }
                },
            ),
        );
    }
}
