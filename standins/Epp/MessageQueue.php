<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
use Standin\Registry\Prices;
use Standin\World;

/** Messages that wait for an account (RFC 5730 §2.9.2.3). */
final readonly class MessageQueue
{
    public function __construct(private World $world, private Account $account)
    {
    }

    public function poll(XmlNode $poll): EppAnswer
    {
        $store = $this->world->store;
        if ($poll->attribute('op') === 'ack') {
            $id = $poll->attribute('msgID') ?? throw EppRefusal::because(EppCode::MissingParameter, 'Say which message.');
            if (! $store->inbox->remove($this->account->number, $id)) {
                throw EppRefusal::because(EppCode::DoesNotExist, "No message {$id} waits.");
            }
            $next = $store->inbox->first($this->account->number);

            return new EppAnswer(EppCode::Done, queue: [$next[0] ?? 0, $next[1] ?? $id, null, null]);
        }
        $first = $store->inbox->first($this->account->number);
        if ($first === null) {
            return new EppAnswer(EppCode::NoMessages);
        }
        [$count, $id, $at, $text, $body] = $first;
        $node = JsonNode::read($body, 100_000);

        $about = match ($node->text('kind')) {
            'transfer' => fn (EppWriter $to) => DomainAnswers::transfer(
                $to,
                $node->text('name'),
                $node->text('state'),
                $node->text('to'),
                $node->intOrNull('asked') ?? 0,
                $node->text('from'),
                $node->intOrNull('at') ?? 0,
                $node->intOrNull('ends'),
            ),
            'action' => fn (EppWriter $to) => $this->action($to, $node),
            'charge' => fn (EppWriter $to) => $this->charge($to, $node),
            'balance' => fn (EppWriter $to) => $this->balance($to, $node),
            default => fn (EppWriter $to) => $this->handover($to, $node),
        };

        return new EppAnswer(EppCode::AckToDequeue, $about, null, null, [$count, $id, $at, $text]);
    }

    /** RFC 5731 §3.3 */
    private function action(EppWriter $to, JsonNode $node): void
    {
        $to->object(EppNamespace::Domain, 'panData', function (EppWriter $to) use ($node): void {
            $to->text('domain:name', $node->text('name'), ['paResult' => $node->boolOrNull('done') === true ? '1' : '0']);
            $to->open('domain:paTRID', [], function (EppWriter $to) use ($node): void {
                if ($node->textOrNull('client') !== null) {
                    $to->text('clTRID', $node->text('client'));
                }
                $to->text('svTRID', $node->text('server'));
            });
            $to->text('domain:paDate', DomainAnswers::at($node->intOrNull('at') ?? 0));
        });
    }

    private function charge(EppWriter $to, JsonNode $node): void
    {
        $to->object(
            EppNamespace::Account,
            'chargeData',
            fn (EppWriter $to) => $to
                ->text('account:name', $node->text('name'))
                ->text('account:state', $node->text('state'))
                ->text('account:sum', $node->text('sum'), ['currency' => Prices::CURRENCY])
                ->text('account:balance', $node->text('balance'), ['currency' => Prices::CURRENCY])
                ->text('account:at', gmdate('Y-m-d\TH:i:s.0\Z', $node->intOrNull('at') ?? 0)),
        );
    }

    private function balance(EppWriter $to, JsonNode $node): void
    {
        $to->object(
            EppNamespace::Account,
            'balanceData',
            fn (EppWriter $to) => $to
                ->text('account:number', $node->text('number'))
                ->text('account:balance', $node->text('balance'), ['currency' => Prices::CURRENCY])
                ->text('account:limit', $node->text('limit'), ['currency' => Prices::CURRENCY])
                ->text('account:at', gmdate('Y-m-d\TH:i:s.0\Z', $node->intOrNull('at') ?? 0)),
        );
    }

    private function handover(EppWriter $to, JsonNode $node): void
    {
        $to->object(
            EppNamespace::Account,
            'handoverData',
            fn (EppWriter $to) => $to
                ->text('account:name', $node->text('name'))
                ->text('account:from', $node->text('from'))
                ->text('account:to', $node->text('to'))
                ->text('account:state', $node->text('state'))
                ->text('account:at', gmdate('Y-m-d\TH:i:s.0\Z', $node->intOrNull('at') ?? 0)),
        );
    }
}
