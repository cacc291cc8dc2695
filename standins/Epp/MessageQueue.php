<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
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
            if (! $store->removeMessage($this->account->number, $id)) {
                throw EppRefusal::because(EppCode::DoesNotExist, "No message {$id} waits.");
            }
            $next = $store->firstMessage($this->account->number);

            return new EppAnswer(EppCode::Done, queue: [$next[0] ?? 0, $next[1] ?? $id, null, null]);
        }
        if ($poll->attribute('op') !== 'req') {
            throw EppRefusal::because(EppCode::ValueSyntax, 'op is req or ack.');
        }
        $first = $store->firstMessage($this->account->number);
        if ($first === null) {
            return new EppAnswer(EppCode::NoMessages);
        }
        [$count, $id, $at, $text, $body] = $first;
        $node = JsonNode::read($body, 100_000);

        return new EppAnswer(EppCode::AckToDequeue, fn (EppWriter $to) => $node->text('kind') === 'transfer' ? DomainAnswers::transfer($to, $node->text('name'), $node->text('state'), $node->text('to'), $node->intOrNull('asked') ?? 0, $node->text('from'), $node->intOrNull('at') ?? 0, $node->intOrNull('ends')) : $this->handover($to, $node), null, null, [$count, $id, $at, $text]);
    }

    private function handover(EppWriter $to, JsonNode $node): void
    {
        $to->object(EppNamespace::Account, 'handoverData', fn (EppWriter $to) => $to->text('account:name', $node->text('name'))->text('account:from', $node->text('from'))->text('account:to', $node->text('to'))
            ->text('account:state', $node->text('state'))->text('account:at', gmdate('Y-m-d\TH:i:s.0\Z', $node->intOrNull('at') ?? 0)));
    }
}
