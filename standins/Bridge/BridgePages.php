<?php

declare(strict_types=1);

namespace Standin\Bridge;

use Acre\Wire\Json\JsonError;
use Acre\Wire\Json\JsonNode;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\Registry\Account;
use Standin\Registry\Prices;
use Standin\World;

/**
 * A bridge to a registrar, the example of our published contract (`docs/bridge.yaml`): token, idempotency key, and what was never answered
 * can be asked.
 */
final readonly class BridgePages
{
    private const LIMIT = 20_000;

    private const MESSAGES = 100;

    private const ENTRIES = 50;

    private BridgeOrders $orders;

    private Contract $contract;

    public function __construct(private World $world, private string $registrar)
    {
        $this->orders = new BridgeOrders($world);
        $this->contract = new Contract();
    }

    public function answer(HttpRequest $request): HttpResponse
    {
        try {
            $account = $this->account($request->headers['authorization'] ?? '');
            preg_match('~^/v1/(account|entries|orders|names|messages)(?:/([\w.-]{1,100}))?$~D', $request->path, $path);

            return match ("{$request->method} ".($path[1] ?? '').(isset($path[2]) ? '/' : '')) {
                'GET account' => HttpResponse::json([
                    'number' => $account->number,
                    'login' => $account->login,
                    'handle' => $account->handle,
                    'balance' => [
                        'amount' => sprintf('%d.%02d', intdiv($account->balance, 100), $account->balance % 100),
                        'currency' => 'GBP',
                    ],
                ]),
                'GET entries' => $this->entries($account, $request->asked()['after'] ?? ''),
                'POST orders' => $this->order($account, $request),
                'GET orders/' => $this->asked($account, $path[2] ?? ''),
                'GET names/' => $this->name($account, $path[2] ?? ''),
                'GET messages' => $this->messages($account),
                'DELETE messages/' => $this->kept($account, $path[2] ?? ''),
                default => throw new Problem(404, 'There is nothing at this address.'),
            };
        } catch (Problem $e) {
            return $e->response();
        } catch (JsonError $e) {
            return (new Problem(400, $e->getMessage()))->response();
        }
    }

    private function entries(Account $account, string $after): HttpResponse
    {
        $entries = $this->world->store->entries->after($account->number, (int) $after, self::ENTRIES + 1);

        return HttpResponse::json([
            'entries' => array_map(
                fn (array $entry): array => [
                    'id' => (string) $entry['id'],
                    'at' => gmdate('Y-m-d\TH:i:s\Z', $entry['at']),
                    'kind' => $entry['kind'],
                    'amount' => [
                        'amount' => ($entry['pence'] < 0 ? '-' : '').Prices::written(abs($entry['pence'])),
                        'currency' => Prices::CURRENCY,
                    ],
                ] + ($entry['name'] === null ? [] : ['name' => $entry['name']]),
                array_slice($entries, 0, self::ENTRIES),
            ),
            'more' => count($entries) > self::ENTRIES,
        ]);
    }

    private function account(string $authorization): Account
    {
        // The token says whose it is before the dot, and proves it behind.
        [$number, $secret] = [...explode('.', (string) preg_replace('/^Bearer /', '', $authorization), 2), ''];
        $account = $this->world->store->account($number);
        if ($account === null || $account->registrar !== $this->registrar || ! hash_equals($account->password, $secret)) {
            throw new Problem(401, 'The token is missing, or is another’s.');
        }

        return $account;
    }

    private function order(Account $account, HttpRequest $request): HttpResponse
    {
        $key = $request->headers['idempotency-key'] ?? '';
        if (preg_match('/^[\w.-]{8,100}$/D', $key) !== 1) {
            throw new Problem(
                400,
                'The header Idempotency-Key is missing; it has 8 to 100 letters, digits, dots, underscores and hyphens.',
            );
        }
        $body = JsonNode::read($request->body, self::LIMIT);
        $complaint = $this->contract->complaint($request->body);
        if ($complaint !== null) {
            throw new Problem(422, $complaint);
        }
        $before = $this->world->store->inbox->order($account->number, $key);
        if ($before !== null && $before[0] !== $request->body) {
            throw new Problem(409, 'Something else was ordered under this key.');
        }
        if ($before === null) {
            $this->world->store->together(function () use ($account, $key, $request, $body): void {
                $this->world->store->inbox->putOrder(
                    $account->number,
                    $key,
                    $request->body,
                    json_encode($this->orders->carryOut($account, $body), JSON_THROW_ON_ERROR),
                );
                $this->world->store->transaction($account->number, $key, $body->text('kind'), 200, $this->world->now());
            });
        }

        return $this->asked($account, $key);
    }

    private function asked(Account $account, string $key): HttpResponse
    {
        [, $answer] = $this->world->store->inbox->order($account->number, $key)
            ?? throw new Problem(404, 'Nothing was ordered under this key.');
        $answer = JsonNode::read($answer, self::LIMIT);
        $state = $answer->text('state');

        return HttpResponse::json(
            ['key' => $key, 'state' => $state, 'reason' => $answer->textOrNull('reason'), 'code' => $answer->textOrNull('code')]
                + ($answer->textOrNull('ends') === null ? [] : ['ends' => $answer->text('ends')])
                + array_filter(array_map(
                    fn (?JsonNode $sum): ?array => $sum === null
                        ? null
                        : ['amount' => $sum->text('amount'), 'currency' => $sum->text('currency')],
                    ['charged' => $answer->nodeOrNull('charged'), 'balance' => $answer->nodeOrNull('balance')],
                ), is_array(...)),
            $state === 'pending' ? 202 : 200,
        );
    }

    private function name(Account $account, string $name): HttpResponse
    {
        $held = $this->world->store->name($name);

        return $held !== null && $held->account === $account->number && $held->registrar === $account->registrar
            ? HttpResponse::json(['name' => $held->name, 'auto_renew' => $held->autoRenew])
            : throw new Problem(404, 'No such name lies in this account.');
    }

    private function messages(Account $account): HttpResponse
    {
        $waiting = [];
        foreach ($this->world->store->inbox->of($account->number, self::MESSAGES) as [$id, $at, $text, $body]) {
            $about = JsonNode::read($body, self::LIMIT);
            $waiting[] = [
                'id' => $id,
                'at' => gmdate('Y-m-d\TH:i:s\Z', $at),
                'text' => $text,
                'about' => $about->text('kind') === 'balance' ? [
                    'kind' => 'balance',
                    'state' => 'low',
                    'balance' => ['amount' => $about->text('balance'), 'currency' => Prices::CURRENCY],
                ] : [
                    'kind' => $about->text('kind'),
                    'name' => $about->text('name'),
                    'state' => $about->text('state'),
                    'to' => $about->text('to'),
                ] + ($about->textOrNull('sum') === null ? [] : [
                    'sum' => ['amount' => $about->text('sum'), 'currency' => Prices::CURRENCY],
                    'balance' => ['amount' => $about->text('balance'), 'currency' => Prices::CURRENCY],
                ]),
            ];
        }

        return HttpResponse::json(['messages' => $waiting]);
    }

    private function kept(Account $account, string $id): HttpResponse
    {
        return $this->world->store->inbox->remove($account->number, $id)
            ? new HttpResponse(204, 'text/plain', '')
            : throw new Problem(404, 'No such message waits.');
    }
}
