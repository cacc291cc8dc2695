<?php

declare(strict_types=1);

namespace Acre\Wire\Epp\Command;

use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;

/** What an account is told of itself: docs/account-extension.md */
final readonly class AccountInfo implements EppCommand
{
    public function __construct(private string $number)
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
                fn (EppWriter $to) => $to->text('account:number', $this->number),
            ),
        );
    }
}
