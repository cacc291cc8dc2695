<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Contact\Address;
use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Country;
use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\Phone;
use Acre\Core\Time\Instant;
use App\Outside\Registrar\BridgeOrder;
use App\Outside\Registrar\Holder;
use App\Outside\Registrar\OrderKind;
use App\Outside\Registrar\Orders\AnswerTransfer;
use App\Outside\Registrar\Orders\CancelHandover;
use App\Outside\Registrar\Orders\CancelTransfer;
use App\Outside\Registrar\Orders\Disclose;
use App\Outside\Registrar\Orders\HandOver;
use App\Outside\Registrar\Orders\Renew;
use App\Outside\Registrar\Orders\ReplaceKeys;
use App\Outside\Registrar\Orders\ReplaceRecords;
use App\Outside\Registrar\Orders\ReplaceRegistrant;
use App\Outside\Registrar\Orders\ReplaceServers;
use App\Outside\Registrar\Orders\RequestCode;
use App\Outside\Registrar\Orders\Restore;
use App\Outside\Registrar\Orders\SwitchAutoRenew;
use App\Outside\Registrar\Orders\SwitchLock;
use App\Outside\Registrar\Orders\TransferIn;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\ValidationResult;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use stdClass;
use Symfony\Component\Process\Process;
use Symfony\Component\Yaml\Yaml;
use Tests\Feature\House;
use Tests\Feature\Worldly;
use Tests\TestCase;

/**
 * The bridge's published contract (docs/bridge.yaml, OpenAPI 3.1) held against both sides by a JSON Schema validator of
 * others (opis/json-schema, draft 2020-12, which OpenAPI 3.1 builds on), with curl (of others) asking.
 */
final class BridgeReferenceTest extends TestCase
{
    use Worldly;

    /** @return array<array-key, mixed> */
    private static function contract(): array
    {
        $contract = Yaml::parseFile(dirname(__DIR__, 2).'/docs/bridge.yaml');

        return is_array($contract) ? $contract : [];
    }

    private static function assertFits(string $schema, string $json): void
    {
        $error = self::fits($schema, $json)->error();
        self::assertNull($error, $json.' '.($error === null ? '' : (string) json_encode((new ErrorFormatter())->format($error))));
    }

    private static function fits(string $schema, string $json): ValidationResult
    {
        $contract = self::contract();
        $schemas = is_array($contract['components'] ?? null) ? $contract['components']['schemas'] : [];
        // The schemas refer to each other as they stand in the whole document.
        $document = json_decode(
            (string) json_encode([
                '$id' => 'https://contract.example/bridge',
                '$ref' => "#/components/schemas/{$schema}",
                'components' => ['schemas' => $schemas],
            ]),
        );
        self::assertInstanceOf(stdClass::class, $document);

        return (new Validator())->validate(json_decode($json), $document);
    }

    /** @return iterable<string, array{OrderKind}> */
    public static function kinds(): iterable
    {
        foreach (OrderKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    private static function holder(): Holder
    {
        $contact = Contact::of(
            HolderKind::Organisation,
            'Peal Trust',
            'Zoë Peal',
            Address::of(['Upper Wick 4'], 'Wickerby', null, 'WS1 4AB', Country::of('GB')),
            Phone::of('+44 20 7946 0123'),
            Mailbox::tryOf('desk@peal.example'),
        );

        return Holder::of('7', 1_000_000, $contact, null);
    }

    #[DataProvider('kinds')]
    public function test_what_we_order_is_what_the_contract_says(OrderKind $kind): void
    {
        $house = new House();
        $house->skerry->update(['receiver_by' => 'handle']);
        $isHandover = $kind === OrderKind::HandOver;
        [$id, $name] = ['roll-000000000000', 'xn--glockenwrts-s8a.com'];
        $order = match ($kind) {
            OrderKind::LockOn, OrderKind::LockOff => new SwitchLock($id, $name, $kind === OrderKind::LockOn),
            OrderKind::AutoRenewOn, OrderKind::AutoRenewOff => new SwitchAutoRenew($id, $name, $kind === OrderKind::AutoRenewOn),
            OrderKind::AuthCode => new RequestCode($id, $name),
            OrderKind::Servers => new ReplaceServers($id, $name, ['ns1.quay.example', 'ns2.quay.example']),
            OrderKind::Keys => new ReplaceKeys($id, $name, ['60485 13 2 '.str_repeat('AB', 32)]),
            OrderKind::Records => new ReplaceRecords($id, $name, ['www 300 A 192.0.2.1', '- old CNAME']),
            OrderKind::Disclose => new Disclose($id, $name, ['organisation', 'country']),
            OrderKind::HandOver => new HandOver($id, $name, ['number' => '7', 'handle' => 'TAKER'], '2026-10-06T09:00:00Z'),
            OrderKind::CancelHandover => new CancelHandover($id, $name),
            OrderKind::Transfer => new TransferIn($id, $name, 'Xy7-k2pQ', ['9.90', 'GBP']),
            OrderKind::CancelTransfer => new CancelTransfer($id, $name),
            OrderKind::Renew => new Renew($id, $name, Instant::of('2027-11-02'), 2, ['19.80', 'GBP']),
            OrderKind::Restore => new Restore($id, $name, Instant::of('2026-10-01'), 'Deleted by mistake.', ['86.00', 'GBP']),
            OrderKind::ApproveTransfer, OrderKind::RefuseTransfer => new AnswerTransfer($id, $name, $kind === OrderKind::ApproveTransfer),
            OrderKind::Registrant => new ReplaceRegistrant($id, $name, self::holder()),
        };
        self::assertSame($kind, $order->kind());
        $json = (string) json_encode(new BridgeOrder($house->ours->load('registrar'), $order));
        self::assertFits('Order', $json);
        self::assertSame($isHandover, str_contains($json, '"to":{"handle":"TAKER"}'));
        self::assertSame($kind === OrderKind::Transfer, str_contains($json, '"code":"Xy7-k2pQ","fee":{"amount":"9.90","currency":"GBP"}'));
        self::assertSame($kind === OrderKind::Disclose, str_contains($json, '"shown":["organisation","country"]'));
        self::assertSame($kind === OrderKind::Servers, str_contains($json, '"servers":["ns1.quay.example","ns2.quay.example"]'));
        self::assertSame($kind === OrderKind::Registrant, str_contains($json, '"mailbox":"desk@peal.example"'));
    }

    public function test_the_contract_refuses_what_is_no_order(): void
    {
        foreach (
            [
                '{"kind":"paint","name":"a.com"}',
                '{"kind":"hand_over","name":"a.com"}',
                '{"kind":"lock_on"}',
                '{"kind":"registrant","name":"a.com"}',
                '{"kind":"registrant","name":"a.com","holder":{"handle":"R1-AAAAAA","kind":"person"}}',
                '{"kind":"lock_on","name":"a.com","colour":"red"}',
            ] as $json
        ) {
            self::assertFalse(self::fits('Order', $json)->isValid(), $json);
        }
    }

    /** @return iterable<string, array{list<string>, string, int}> what curl is told, which schema answers, with which status */
    public static function requests(): iterable
    {
        $post = fn (string $json, string $key): array => [
            '-X',
            'POST',
            '-H',
            "Idempotency-Key: {$key}",
            '-H',
            'Content-Type: application/json',
            '--data',
            $json,
            'orders',
        ];
        yield 'whose it is' => [['account'], 'Account', 200];
        yield 'an order that is done' => [$post('{"kind":"lock_off","name":"contract-trial.com"}', 'contract-0001'), 'Outcome', 200];
        yield 'a code' => [$post('{"kind":"auth_code","name":"contract-trial.com"}', 'contract-0002'), 'Outcome', 200];
        yield 'one that waits' => [
            $post('{"kind":"hand_over","name":"contract-trial.com","to":{"handle":"CTWO"}}', 'contract-0003'),
            'Outcome',
            202,
        ];
        yield 'one that is refused' => [$post('{"kind":"lock_on","name":"nobody-has-this.com"}', 'contract-0004'), 'Outcome', 200];
        yield 'one that nobody knows' => [$post('{"kind":"paint","name":"contract-trial.com"}', 'contract-0005'), 'Problem', 422];
        yield 'without a key' => [['-X', 'POST', '--data', '{}', 'orders'], 'Problem', 400];
        yield 'what was never ordered' => [['orders/contract-9999'], 'Problem', 404];
        yield 'messages' => [['messages'], 'Messages', 200];
        yield 'what was paid in' => [['entries'], 'Entries', 200];
        yield 'what came after that' => [['entries?after=0'], 'Entries', 200];
        yield 'another token' => [['-H', 'Authorization: Bearer c1.lake', 'account'], 'Problem', 401];
    }

    /** @param  list<string>  $asked */
    #[DataProvider('requests')]
    public function test_what_the_example_answers_to_curl_is_what_the_contract_says(array $asked, string $schema, int $status): void
    {
        $account = fn (string $number, string $handle): array => [
            'number' => $number,
            'registrar' => 'oriel',
            'login' => "l-{$number}",
            'mailbox' => '',
            'password' => 'sea',
            'balance' => 0,
            'handle' => $handle,
        ];
        $this->world()->add([
            'hosts' => [],
            'moods' => [],
            'zones' => [],
            'accounts' => [$account('c1', 'CONE'), $account('c2', 'CTWO')],
            'names' => [
                [
                    'name' => 'contract-trial.com',
                    'registrar' => 'oriel',
                    'created' => 0,
                    'ends' => 1_900_000_000,
                    'updated' => 0,
                    'statuses' => [],
                    'servers' => [],
                    'shown' => [],
                    'holder' => ['handle' => 'H-1'],
                    'autoRenew' => true,
                    'account' => 'c1',
                    'due' => 4_000_000_000,
                ],
            ],
        ]);
        $this->world->weather('fair', 0, 'the bridge');
        $this->world->payIn('c1', '40.00');
        $port = getenv('WORLD_BRIDGE_PORT');
        $process = new Process([
            'curl',
            '-sS',
            '--cacert',
            config()->string('outside.authority'),
            '--connect-to',
            "bridge.oriel-names.example:443:127.0.0.1:{$port}",
            '-w',
            '\n%{http_code} %{content_type}',
            ...in_array('-H', $asked, true) && str_contains(implode(' ', $asked), 'Bearer') ? [] : ['-H', 'Authorization: Bearer c1.sea'],
            ...array_slice($asked, 0, -1),
            'https://bridge.oriel-names.example/v1/'.$asked[count($asked) - 1],
        ]);
        $process->mustRun();
        [$body, $line] = [...explode("\n", $process->getOutput(), 2), ''];
        self::assertSame("{$status} ".($schema === 'Problem' ? 'application/problem+json' : 'application/json'), trim($line), $body);
        self::assertFits($schema, $body);
    }
}
