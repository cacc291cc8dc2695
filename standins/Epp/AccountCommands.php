<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
use Standin\Registry\Prices;
use Standin\Store;

/** What an account is told of itself. */
final readonly class AccountCommands
{
    /** Entries in one answer. */
    public const PAGE = 50;

    public function __construct(private Store $store, private Account $account)
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
                function (EppWriter $to) use ($object): void {
                    $to->text('account:number', $this->account->number)
                        ->text('account:login', $this->account->login)
                        ->text('account:mailbox', $this->account->mailbox)
                        ->text('account:balance', sprintf('%d.%02d', intdiv($this->account->balance, 100), $this->account->balance % 100), [
                            'currency' => 'GBP',
                        ]);
                    $this->entries($to, $object->childOrNull(EppNamespace::Account->value, 'entries'));
                }),
        );
    }

    private function entries(EppWriter $to, ?XmlNode $asked): void
    {
        if ($asked === null) {
            return;
        }
        $entries = $this->store->entries->after($this->account->number, (int) ($asked->attribute('after') ?? ''), self::PAGE + 1);
        $to->open('account:entries', count($entries) > self::PAGE ? ['more' => '1'] : [], function (EppWriter $to) use ($entries): void {
            foreach (array_slice($entries, 0, self::PAGE) as $entry) {
                $to->text(
                    'account:entry',
                    ($entry['pence'] < 0 ? '-' : '').Prices::written(abs($entry['pence'])),
                    [
                        'id' => (string) $entry['id'],
                        'kind' => $entry['kind'],
                        ...$entry['name'] === null ? [] : ['name' => $entry['name']],
                        'currency' => Prices::CURRENCY,
                        'at' => gmdate('Y-m-d\TH:i:s.0\Z', $entry['at']),
                    ],
                );
            }
        });
    }
}
