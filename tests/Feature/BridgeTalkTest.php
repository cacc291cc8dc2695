<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Secret;
use App\Outside\Reach\FailureReason;
use App\Outside\Reach\Fetch;
use App\Outside\Reach\Hosts;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\AnswerKind;
use App\Outside\Registrar\BridgeRegistrar;
use App\Outside\Registrar\GatePin;
use App\Outside\Registrar\Message;
use App\Outside\Registrar\Orders\Order;
use App\Outside\Registrar\Orders\SwitchLock;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What a bridge may answer besides what its contract says, from one that says what it is told to, over a real socket. */
final class BridgeTalkTest extends TestCase
{
    use Scripted;

    private const BASE = 'bridge.oriel-names.example/v1';

    private string $script;

    private BridgeRegistrar $bridge;

    private Account $account;

    protected function setUp(): void
    {
        parent::setUp();
        $this->script = (string) tempnam(sys_get_temp_dir(), 'said');
        [$port, $textPort] = self::ports(2);
        $this->starts('scripted.php', (string) $port, (string) $textPort, $this->script);
        $house = new House();
        $house->skerry->update(['link' => 'bridge', 'gate' => 'bridge.oriel-names.example:443']);
        $house->ours->update([
            'gate_secret_id' => Secret::query()->create(['kind' => 'gate_password', 'about' => 'a trial', 'value' => 'a token'])->id,
            'gate_for' => GatePin::of($house->skerry),
        ]);
        $this->account = $house->ours->refresh()->load('registrar');
        $this->bridge = new BridgeRegistrar(
            new Fetch(
                new Hosts(['bridge.oriel-names.example' => "127.0.0.1:{$port}"]),
                config()->string('outside.authority'),
                2,
                1,
                20_000,
            ),
        );
    }

    protected function tearDown(): void
    {
        unlink($this->script);
        parent::tearDown();
    }

    /** @param  array<string, array{int, mixed}>  $https */
    private function says(array $https): void
    {
        $all = [];
        foreach ($https as $path => $answer) {
            $all[self::BASE.$path] = $answer;
        }
        file_put_contents($this->script, json_encode(['https' => $all], JSON_THROW_ON_ERROR));
    }

    private static function order(): Order
    {
        return new SwitchLock('roll-000000000001', 'bell.com', true);
    }

    /** @param  array{int, mixed}  $answer */
    #[TestWith([[200, ['key' => 'roll-000000000001', 'state' => 'done']], AnswerKind::Done, null, ''])]
    #[TestWith([
        [202, ['key' => 'roll-000000000001', 'state' => 'pending', 'reason' => 'The receiver is asked.']],
        AnswerKind::Pending,
        null,
        'The receiver is asked.',
    ])]
    #[TestWith([[200, ['state' => 'refused', 'reason' => 'Not today.']], AnswerKind::Refused, null, 'Not today.'])]
    #[TestWith([[422, ['title' => 'There is no such order.', 'status' => 422]], AnswerKind::Refused, 422, 'There is no such order.'])]
    #[TestWith([[401, 'no JSON at all'], AnswerKind::Refused, 401, 'It answered 401.'])]
    #[TestWith([[301, ''], AnswerKind::Refused, 301, 'It answered 301.'])]
    #[TestWith([[429, ['title' => 'Too often.']], AnswerKind::Later, 429, 'Too often.'])]
    public function test_an_order_ends_as_it_is_answered(array $answer, AnswerKind $kind, ?int $code, string $words): void
    {
        $this->says(['/orders' => $answer]);
        $got = $this->bridge->carryOut($this->account, self::order());
        self::assertSame([$kind, $code, $words], [$got->kind, $got->code, $got->words]);
    }

    /** Whether an order was recorded before its answer failed is asked for, under its key. */
    public function test_after_a_failure_it_asks_what_became_of_the_order(): void
    {
        $this->says(['/orders' => [500, ['title' => 'The disk is full.']], '/orders/roll-000000000001' => [200, ['state' => 'done']]]);
        self::assertSame(AnswerKind::Done, $this->bridge->carryOut($this->account, self::order())->kind);
        $this->says([
            '/orders' => [503, ['title' => 'The disk is full.']],
            '/orders/roll-000000000001' => [404, ['title' => 'Never ordered.']],
        ]);
        $later = $this->bridge->carryOut($this->account, self::order());
        self::assertSame(
            [AnswerKind::Later, 503, 'The disk is full.'],
            [$later->kind, $later->code, $later->words],
            'it may be ordered again',
        );
        self::assertNull($this->bridge->find($this->account, self::order()));
    }

    /** @param  array{int, mixed}  $answer */
    #[TestWith([[200, 'nonsense'], FailureReason::Garbled])]
    #[TestWith([[200, ['state' => 'perhaps']], FailureReason::Garbled])]
    #[TestWith([[200, ['state' => 7]], FailureReason::Garbled])]
    #[TestWith([[200, []], FailureReason::Garbled])]
    #[TestWith([[403, ''], FailureReason::Refused])]
    #[TestWith([[500, ''], FailureReason::Refused])]
    public function test_what_became_of_an_order_is_known_or_not_and_never_guessed(array $answer, FailureReason $why): void
    {
        $this->says(['/orders/roll-000000000001' => $answer]);
        try {
            $this->bridge->find($this->account, self::order());
            self::fail('It was believed.');
        } catch (NotReached $e) {
            self::assertSame($why, $e->why);
        }
    }

    /** What can't be read of one message costs that, and not the messages after it. */
    public function test_a_message_is_let_go_once_it_is_kept_however_odd_it_is(): void
    {
        $about = ['kind' => 'handover', 'name' => 'bell.com', 'state' => 'accepted', 'to' => 'TWO'];
        $this->says([
            '/messages' => [
                200,
                [
                    'messages' => [
                        ['id' => 'm1', 'at' => '2026-10-06T09:00:00Z', 'text' => 'Said', 'about' => $about],
                        ['text' => 'yesterday', 'id' => 'm2', 'at' => 'yesterday', 'about' => ['kind' => 7] + $about],
                        ['text' => 'without an id'],
                        'odd',
                        ['id' => ['m3']],
                        ['id' => 'm4', 'at' => '2026-10-06T09:00:00', 'text' => ['Said'], 'about' => 'odd'],
                        ['id' => 'm5', 'at' => '2026-10-06T09:00:00Z', 'text' => "two\nlines", 'about' => $about],
                    ],
                ],
            ],
            '/messages/m1' => [204, ''],
            '/messages/m2' => [204, ''],
            '/messages/m4' => [204, ''],
            '/messages/m5' => [204, ''],
        ]);
        $kept = [];
        $this->bridge->messages($this->account, function (Message $one) use (&$kept): void {
            $kept[] = [$one->id, $one->at?->isoSecond(), $one->text, $one->name, $one->kind?->value];
        });
        self::assertSame(
            [
                ['m1', '2026-10-06T09:00:00Z', 'Said', 'bell.com', 'handover'],
                ['m2', null, 'yesterday', 'bell.com', null],
                ['m4', null, '', null, null],
                ['m5', '2026-10-06T09:00:00Z', 'two lines', 'bell.com', 'handover'],
            ],
            $kept,
        );
        $base = 'bridge.oriel-names.example/v1/messages';
        self::assertSame(
            [$base, "{$base}/m1", "{$base}/m2", "{$base}/m4", "{$base}/m5"],
            array_slice(explode("\n", trim((string) $this->server?->getOutput())), -5),
        );
        $this->says(['/messages' => [503, '']]);
        $this->bridge->messages($this->account, fn (Message $one) => self::fail('There is none.'));
    }

    public function test_without_a_token_nobody_is_asked(): void
    {
        $this->account->update(['gate_secret_id' => null]);
        $this->expectExceptionMessage('no token for it');
        $this->bridge->greet($this->account);
    }
}
