<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Json\JsonNode;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Standin\Bridge\BridgePages;
use Standin\Control\Part;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\World;

/** The simulated bridge without a socket: token, key, and what was never answered can be asked. */
final class BridgeTest extends TestCase
{
    private World $world;

    private BridgePages $bridge;

    protected function setUp(): void
    {
        $this->world = (new Gatehouse)->world;
        $account = fn (string $number, string $handle): array => [
            'number' => $number,
            'registrar' => 'oriel',
            'login' => "l-{$number}",
            'mailbox' => '',
            'password' => 'sea',
            'balance' => 1250,
            'handle' => $handle,
        ];
        $name = fn (string $name): array => [
            'name' => $name,
            'registrar' => 'oriel',
            'created' => 0,
            'ends' => 1_900_000_000,
            'updated' => 0,
            'statuses' => [],
            'servers' => [],
            'shown' => [],
            'holder' => ['handle' => 'H-1'],
            'autoRenew' => true,
            'account' => 'o1',
            'due' => 4_000_000_000,
        ];
        $this->world->load(
            JsonNode::read(
                json_encode(
                    [
                        'names' => [$name('peal.com'), $name('tern.org')],
                        'hosts' => [],
                        'moods' => [],
                        'zones' => [],
                        'accounts' => [$account('o1', 'ONE'), $account('o2', 'TWO')],
                    ],
                    JSON_THROW_ON_ERROR,
                ),
                100_000,
            ),
            false,
        );
        $this->bridge = new BridgePages($this->world, 'oriel');
    }

    /** @param  array<string, mixed>|null  $body */
    private function ask(
        string $method,
        string $path,
        ?array $body = null,
        string $key = 'key-0001',
        string $token = 'o1.sea',
    ): HttpResponse {
        return $this->bridge->answer(new HttpRequest($method, "/v1/{$path}", '', ['authorization' => 'Bearer '
            ."{$token}", 'idempotency-key' => $key], $body === null ? '' : json_encode($body, JSON_THROW_ON_ERROR), '127.0.0.1'));
    }

    /** @param  array<string, mixed>  $body */
    private function order(array $body, string $key = 'key-0001'): string
    {
        $answer = $this->ask('POST', 'orders', $body, $key);
        $node = JsonNode::read($answer->body, 10_000);

        return implode(
            ' ',
            array_filter(
                [(string) $answer->status, $node->textOrNull('state'), $node->textOrNull('reason'), $node->textOrNull('title')],
                is_string(...),
            ),
        );
    }

    #[TestWith([''])]
    #[TestWith(['o1.lake'])]
    #[TestWith(['40718.pass-40718'])]
    #[TestWith(['o1'])]
    public function test_without_its_token_nothing_is_told(string $token): void
    {
        $answer = $this->ask('GET', 'account', token: $token);
        self::assertSame([401, 'application/problem+json'], [$answer->status, $answer->type]);
    }

    public function test_an_account_is_told_of_itself(): void
    {
        self::assertSame(
            ['number' => 'o1', 'login' => 'l-o1', 'handle' => 'ONE', 'balance' => ['amount' => '12.50', 'currency' => 'GBP']],
            json_decode($this->ask('GET', 'account')->body, true),
        );
    }

    public function test_the_same_key_is_answered_again_and_carried_out_once(): void
    {
        $order = ['kind' => 'auth_code', 'name' => 'peal.com'];
        $first = $this->ask('POST', 'orders', $order)->body;
        self::assertSame([$first, $first], [$this->ask('POST', 'orders', $order)->body, $this->ask('GET', 'orders/key-0001')->body]);
        self::assertSame(['auth_code 200'], $this->world->store->heard('o1'));
        self::assertSame('409 Something else was ordered under this key.', $this->order(['kind' => 'lock_on', 'name' => 'peal.com']));
        self::assertSame(404, $this->ask('GET', 'orders/key-0002')->status);
        self::assertSame(404, $this->ask('GET', 'orders/key-0001', token: 'o2.sea')->status, 'another account has keys of its own');
    }

    /** @param  array<string, mixed>  $order */
    #[TestWith([['kind' => 'lock_on', 'name' => 'nobody.com'], '200 refused nobody.com does not lie in this account.'])]
    #[TestWith([['kind' => 'lock_on', 'name' => 'bell.com'], '200 refused bell.com does not lie in this account.'])]
    #[TestWith([['kind' => 'paint', 'name' => 'peal.com'], '422 The data should match one item from enum: /kind.'])]
    #[TestWith([['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 'NINE']], '200 refused No account has that handle.'])]
    #[TestWith([['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 'ONE']], '200 refused It lies in that account '
        .'already.'])]
    #[TestWith([['kind' => 'cancel_handover', 'name' => 'peal.com'], '200 refused No handover is pending.'])]
    #[TestWith([['kind' => 'lock_on', 'name' => 'peal.com'], '200 done'])]
    #[TestWith([['kind' => 'auto_renew_off', 'name' => 'peal.com'], '200 done'])]
    #[TestWith([['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 'TWO']], '202 pending'])]
    #[TestWith([['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 'TWO'], 'accepted' => '2026-10-06T09:00:00Z'], '200 '
        .'done'])]
    #[TestWith([['kind' => 'disclose', 'name' => 'peal.com', 'shown' => ['organisation', 'country']], '200 done'])]
    #[TestWith([['kind' => 'disclose', 'name' => 'peal.com', 'shown' => ['voice']], '200 refused We sell hidden, the organisation alone, '
        .'or everything.'])]
    #[TestWith([
        [
            'kind' => 'registrant',
            'name' => 'peal.com',
            'holder' => [
                'handle' => 'R1-AAAAAA',
                'kind' => 'person',
                'mailbox' => 'a@b.example',
                'name' => 'Zoë Peal',
                'country' => 'GB',
                'street' => ['1 Wick', 'Top'],
            ],
        ],
        '200 done',
    ])]
    #[TestWith([
        [
            'kind' => 'registrant',
            'name' => 'peal.com',
            'holder' => ['handle' => 'R1-AAAAAA', 'kind' => 'person', 'mailbox' => 'a@b.example', 'name' => 'Zoë Peal'],
        ],
        '200 refused A holder has a name or an organisation, and a country.',
    ])]
    #[TestWith([['kind' => 'servers', 'name' => 'peal.com', 'servers' => ['ns1.quay.example', 'NS2.quay.example']], '200 done'])]
    // What the contract refuses.
    #[TestWith([['kind' => 'servers', 'name' => 'peal.com'], '422 The required properties (servers) are missing.'])]
    #[TestWith([['kind' => 'lock_on'], '422 The required properties (name) are missing.'])]
    #[TestWith([['kind' => 'hand_over', 'name' => 'peal.com'], '422 The required properties (to) are missing.'])]
    #[TestWith([['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 2]], '422 The data (integer) must match the type: '
        .'string: /to/handle.'])]
    #[TestWith([['kind' => 'lock_on', 'name' => 'peal.com', 'colour' => 'red'], '422 Additional object properties are not allowed: '
        .'colour.'])]
    #[TestWith([['kind' => 'disclose', 'name' => 'peal.com', 'shown' => ['shoe '
        .'size']], '422 The data should match one item from enum: /shown/0.'])]
    #[TestWith([
        ['kind' => 'registrant', 'name' => 'peal.com', 'holder' => ['handle' => 'R1', 'kind' => 'person', 'mailbox' => 'a@b.example']],
        '422 Minimum string length is 3, found 2: /holder/handle.',
    ])]
    public function test_orders_are_done_pending_or_refused(array $order, string $answer): void
    {
        self::assertSame($answer, $this->order($order));
    }

    public function test_one_order_bears_on_the_next(): void
    {
        self::assertSame('200 '
            .'done', $this->order(
                ['kind' => 'servers', 'name' => 'peal.com', 'servers' => ['ns1.quay.example', 'NS2.quay.example']],
                'key-0000',
            ));
        self::assertSame(['ns1.quay.example', 'ns2.quay.example'], $this->world->store->name('peal.com')?->servers);
        self::assertSame('200 done', $this->order(['kind' => 'lock_on', 'name' => 'peal.com'], 'key-0001'));
        self::assertSame('200 refused The lock is on.', $this->order(['kind' => 'auth_code', 'name' => 'peal.com'], 'key-0002'));
        self::assertSame('200 done', $this->order(['kind' => 'lock_off', 'name' => 'peal.com'], 'key-0003'));
        self::assertSame('200 done', $this->order(['kind' => 'auth_code', 'name' => 'peal.com'], 'key-0004'));
        $code = JsonNode::read($this->ask('GET', 'orders/key-0004')->body, 10_000)->text('code');
        self::assertSame([$code, 24], [$this->world->store->name('peal.com')?->code, strlen($code)]);
        self::assertSame('202 '
            .'pending', $this->order(['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 'TWO']], 'key-0005'));
        self::assertSame('200 refused A handover to o2 is '
            .'pending.', $this->order(['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 'TWO']], 'key-0006'));
        self::assertSame('200 done', $this->order(['kind' => 'cancel_handover', 'name' => 'peal.com'], 'key-0007'));
        self::assertSame('refused', JsonNode::read($this->ask('GET', 'orders/key-0005')->body, 10_000)->text('state'), 'what waited has '
            .'ended');
        $name = $this->world->store->name('peal.com');
        self::assertNotNull($name);
        self::assertNull($name->handover);
        $name->change([], ['serverUpdateProhibited']);
        $this->world->change($name);
        self::assertSame('200 refused Changes of it are '
            .'prohibited.', $this->order(['kind' => 'lock_on', 'name' => 'peal.com'], 'key-0008'));
        Part::RegistrarRefuses->play($name, '', $this->world);
        self::assertSame('200 refused We do not do that for this '
            .'name.', $this->order(['kind' => 'auto_renew_off', 'name' => 'peal.com'], 'key-0009'));
    }

    public function test_what_was_not_understood_may_be_ordered_rightly_under_the_same_key(): void
    {
        self::assertSame('422 The data should match one item from enum: /kind.', $this->order(['kind' => 'paint', 'name' => 'peal.com']));
        self::assertSame('200 done', $this->order(['kind' => 'lock_on', 'name' => 'peal.com']));
        self::assertSame(400, $this->ask('POST', 'orders', ['kind' => 'lock_on', 'name' => 'peal.com'], 'short')->status);
        self::assertSame(400, $this->bridge->answer(new HttpRequest('POST', '/v1/orders', '', ['authorization' => 'Bearer '
            .'o1.sea', 'idempotency-key' => 'key-0009'], '{"kind":', '127.0.0.1'))->status);
        self::assertSame(404, $this->ask('PUT', 'orders')->status);
    }

    public function test_a_handover_ends_by_what_the_receiver_says_and_a_message_waits_until_it_is_kept(): void
    {
        $this->order(['kind' => 'hand_over', 'name' => 'peal.com', 'to' => ['handle' => 'TWO']]);
        $name = $this->world->store->name('peal.com');
        self::assertNotNull($name);
        Part::Refuses->play($name, '', $this->world);
        $this->world->change($name);
        self::assertSame('refused', JsonNode::read($this->ask('GET', 'orders/key-0001')->body, 10_000)->text('state'));
        $messages = JsonNode::read($this->ask('GET', 'messages')->body, 10_000)->nodes('messages');
        self::assertSame(['refused'], array_map(fn (JsonNode $one): ?string => $one->nodeOrNull('about')?->text('state'), $messages));
        $id = $messages[0]->text('id');
        self::assertSame(404, $this->ask('DELETE', "messages/{$id}", token: 'o2.sea')->status);
        self::assertSame([204, 404], [$this->ask('DELETE', "messages/{$id}")->status, $this->ask('DELETE', "messages/{$id}")->status]);
        self::assertSame('{"messages":[]}', $this->ask('GET', 'messages')->body);
    }
}
