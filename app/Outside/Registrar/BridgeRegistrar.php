<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use Acre\Wire\Json\JsonError;
use Acre\Wire\Json\JsonNode;
use App\Actions\Money\StatementLine;
use App\Models\Account;
use App\Models\Secret;
use App\Outside\Reach\Fetch;
use App\Outside\Reach\Fetched;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Orders\Order;

/** A registrar behind a bridge: a small HTTP program that speaks our published contract (docs/bridge.yaml). */
final readonly class BridgeRegistrar implements Registrar
{
    private const LIMIT = 500_000;

    public function __construct(private Fetch $fetch)
    {
    }

    public function carryOut(Account $account, Order $order): Answer
    {
        $fetched = $this->ask(
            $account,
            'POST',
            'orders',
            json_encode(new BridgeOrder($account, $order), JSON_THROW_ON_ERROR),
            $order->transaction,
        );

        return match (true) {
            $fetched->status === 200 || $fetched->status === 202 => $this->answer($account, $fetched),
            // Whether it was recorded before it failed is asked for, and not guessed.
            $fetched->status >= 500 => $this->find($account, $order) ?? Answer::later($fetched->status, $this->reason($account, $fetched)),
            $fetched->status === 429 => Answer::later($fetched->status, $this->reason($account, $fetched)),
            default => Answer::refused($fetched->status, $this->reason($account, $fetched)),
        };
    }

    public function find(Account $account, Order $order): ?Answer
    {
        $fetched = $this->ask($account, 'GET', "orders/{$order->transaction}");

        return match ($fetched->status) {
            200, 202 => $this->answer($account, $fetched),
            404 => null,
            401 => throw NotReached::refused($this->host($account), $fetched->status, $this->reason($account, $fetched)),
            default => throw NotReached::refused(
                $this->host($account),
                $fetched->status,
                $this->reason($account, $fetched),
            )->ofOneQuestion(),
        };
    }

    public function greet(Account $account): string
    {
        $fetched = $this->ask($account, 'GET', 'account');
        if ($fetched->status !== 200) {
            throw NotReached::refused($this->host($account), $fetched->status, $this->reason($account, $fetched));
        }
        $said = $this->node($account, $fetched);

        return trim($said->text('number').' '.($said->textOrNull('login') ?? ''));
    }

    public function balance(Account $account): ?Money
    {
        $fetched = $this->ask($account, 'GET', 'account');
        if ($fetched->status !== 200) {
            throw NotReached::refused($this->host($account), $fetched->status, $this->reason($account, $fetched));
        }
        try {
            $balance = $this->node($account, $fetched)->nodeOrNull('balance');

            return $balance === null ? null : Told::of(null, null, $balance->text('amount'), $balance->text('currency'))->balance;
        } catch (JsonError $e) {
            throw NotReached::garbled($this->host($account), $e->getMessage());
        }
    }

    /** The contract has no question for it: what an order may cost is told with it. */
    public function prices(Account $account, array $names): ?array
    {
        return null;
    }

    public function entries(Account $account, string $after): ?AccountEntries
    {
        $fetched = $this->ask($account, 'GET', 'entries'.($after === '' ? '' : '?after='.rawurlencode($after)));
        if ($fetched->status === 401) {
            throw NotReached::refused($this->host($account), $fetched->status, $this->reason($account, $fetched));
        }
        // A bridge may leave the question out.
        if ($fetched->status !== 200) {
            return null;
        }
        try {
            $said = $this->node($account, $fetched);
            $nodes = $said->nodes('entries');

            return new AccountEntries(
                array_values(array_filter(array_map(self::line(...), $nodes))),
                $nodes === [] ? null : $nodes[count($nodes) - 1]->text('id'),
                $said->boolOrNull('more') === true,
            );
        } catch (JsonError $e) {
            throw NotReached::garbled($this->host($account), $e->getMessage());
        }
    }

    /** What can't be read of one leaves it out. */
    private static function line(JsonNode $entry): ?StatementLine
    {
        try {
            $amount = $entry->nodeOrNull('amount');

            return $amount === null ? null : StatementLine::told(
                $entry->text('id'),
                Instant::from($entry->time('at')),
                $amount->text('amount'),
                $amount->text('currency'),
                $entry->text('kind'),
                $entry->textOrNull('name'),
            );
        } catch (JsonError) {
            return null;
        }
    }

    public function renews(Account $account, string $ascii): ?bool
    {
        $fetched = $this->ask($account, 'GET', 'names/'.rawurlencode($ascii));
        if ($fetched->status === 401) {
            throw NotReached::refused($this->host($account), $fetched->status, $this->reason($account, $fetched));
        }
        try {
            // A bridge may leave the question out.
            return $fetched->status === 200 ? $this->node($account, $fetched)->boolOrNull('auto_renew') : null;
        } catch (JsonError $e) {
            throw NotReached::garbled($this->host($account), $e->getMessage())->ofOneQuestion();
        }
    }

    public function messages(Account $account, callable $keep): void
    {
        $fetched = $this->ask($account, 'GET', 'messages');
        if ($fetched->status !== 200) {
            return;
        }
        try {
            $messages = JsonNode::readLeniently($fetched->body, self::LIMIT)->nodes('messages');
        } catch (JsonError $e) {
            throw NotReached::garbled($this->host($account), $e->getMessage());
        }
        foreach ($messages as $node) {
            $id = $node->textOrNull('id') ?? '';
            // What has no number can't be acknowledged, and keeps nothing else from being taken.
            if ($id !== '') {
                $keep(self::message($id, $node));
                $this->ask($account, 'DELETE', 'messages/'.rawurlencode($id));
            }
        }
    }

    private static function message(string $id, JsonNode $node): Message
    {
        try {
            $at = Instant::from($node->time('at'));
        } catch (JsonError) {
            $at = null;
        }
        $about = $node->nodeOrNull('about');

        return new Message(
            $id,
            $at,
            $node->textOrNull('text') ?? '',
            '',
            $about?->textOrNull('name'),
            MessageKind::tryFrom($about?->textOrNull('kind') ?? ''),
            $about?->textOrNull('state'),
            $about?->textOrNull('to'),
            told: $about === null ? null : self::chargeTold($about),
        );
    }

    private function answer(Account $account, Fetched $fetched): Answer
    {
        $node = $this->node($account, $fetched);
        try {
            $words = mb_substr($node->textOrNull('reason') ?? '', 0, 1_000);

            return match ($node->text('state')) {
                'done' => Answer::done(null, $words, $node->rawOrNull('code'), self::told($node)),
                'pending' => Answer::pending(null, $words),
                'refused' => Answer::refused(null, $words),
                default => throw NotReached::garbled($this->host($account), 'an order is done, pending or refused.'),
            };
        } catch (JsonError $e) {
            throw NotReached::garbled($this->host($account), $e->getMessage());
        }
    }

    /** Of a message: what can't be read of it is left out. */
    private static function chargeTold(JsonNode $about): ?Told
    {
        try {
            [$sum, $balance] = [$about->nodeOrNull('sum'), $about->nodeOrNull('balance')];

            return $sum === null && $balance === null ? null : Told::of(
                null,
                $sum === null ? null : [$sum->text('amount')],
                $balance?->text('amount'),
                $sum?->text('currency') ?? $balance?->text('currency'),
            );
        } catch (JsonError) {
            return null;
        }
    }

    private static function told(JsonNode $node): ?Told
    {
        [$charged, $balance] = [$node->nodeOrNull('charged'), $node->nodeOrNull('balance')];
        $told = new Told(
            $node->textOrNull('ends') === null ? null : Instant::from($node->time('ends')),
            $charged === null ? null : Told::of(null, [$charged->text('amount')], null, $charged->text('currency'))->charged,
            $balance === null ? null : Told::of(null, null, $balance->text('amount'), $balance->text('currency'))->balance,
        );

        return $told->isEmpty() ? null : $told;
    }

    private function reason(Account $account, Fetched $fetched): string
    {
        try {
            return mb_substr($this->node($account, $fetched)->textOrNull('title') ?? "It answered {$fetched->status}.", 0, 1_000);
        } catch (NotReached|JsonError) {
            return "It answered {$fetched->status}.";
        }
    }

    private function node(Account $account, Fetched $fetched): JsonNode
    {
        try {
            return JsonNode::read($fetched->body, self::LIMIT);
        } catch (JsonError $e) {
            throw NotReached::garbled($this->host($account), $e->getMessage());
        }
    }

    /** @param  non-empty-string  $method */
    private function ask(Account $account, string $method, string $path, ?string $body = null, ?string $key = null): Fetched
    {
        $secret = $account->gate_secret_id === null ? null : Secret::query()->find($account->gate_secret_id);
        $gate = $account->registrar->gate ?? '';
        if ($secret === null || $gate === '') {
            throw NotReached::refused(
                $gate === '' ? $account->registrar->name : $gate,
                0,
                'No bridge, or no token for it, is written down.',
            );
        }

        if (! GatePin::holds($account)) {
            throw NotReached::refused($gate, 0, 'Its token was given for another bridge, and is not sent before somebody confirms it.');
        }

        return $this->fetch->send(
            $method,
            "https://{$gate}/v1/{$path}",
            [
                'Accept: application/json',
                "Authorization: Bearer {$account->number}.{$secret->value}",
                ...$body === null ? [] : ['Content-Type: application/json'],
                ...$key === null ? [] : ["Idempotency-Key: {$key}"],
            ],
            $body,
            $account->registrar->gate_key,
        );
    }

    private function host(Account $account): string
    {
        return explode(':', $account->registrar->gate ?? '')[0];
    }
}
