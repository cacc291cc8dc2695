<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;

/** What an account is told of itself. */
final readonly class AccountCommands
{
    public function __construct(private Account $account)
    {
    }

    public function carryOut(XmlNode $verb, XmlNode $object): EppAnswer
    {
        if ($verb->name() !== 'info') {
            throw EppRefusal::because(EppCode::UnimplementedCommand, 'An account can only be asked about.');
        }
        if ($object->textOf(EppNamespace::Account->value, 'number') !== $this->account->number) {
            throw EppRefusal::because(EppCode::Authorization, 'Only the account that asks is told of itself.');
        }

        return EppAnswer::done(
            fn (EppWriter $to) => $to->object(
                EppNamespace::Account,
                'infData',
                fn (EppWriter $to) => $to
                    ->text('account:number', $this->account->number)
                    ->text('account:login', $this->account->login)
                    ->text('account:mailbox', $this->account->mailbox)
                    ->text('account:balance', sprintf('%d.%02d', intdiv($this->account->balance, 100), $this->account->balance % 100), [
                        'currency' => 'GBP',
                    ]),
            ),
        );
    }
}
