<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Movement\Leg as CoreLeg;
use Acre\Core\Time\Instant;
use App\Actions\Gates\GateOrders;
use App\Actions\Servers\KeepZonesInTurn;
use App\Jobs\WorkGate;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\Order;
use App\Models\OrderState;
use App\Outside\Registrar\OrderKind;
use App\Support\Row;
use Illuminate\Database\Connection;

/**
 * What beginning some lines opens: movements with their legs, and what registrars are to be told. Gathered line by line, and written
 * together in the transaction that wanted it.
 */
final class PendingWrites
{
    /** @var list<array<string, string|int|null>> */
    private array $movements = [];

    /** @var array<int, list<array<string, string|int|null>>> by name */
    private array $legs = [];

    /** @var list<array<string, string|int|bool>> */
    private array $orders = [];

    /** @var array<string, string> what an order waits for, both by their transactions */
    private array $after = [];

    public function __construct(private readonly Connection $database, private readonly GateOrders $gateOrders)
    {
    }

    /**
     * @param  'handover'|'transfer'|'registrant'  $kind
     * @param  list<CoreLeg>  $legs
     * @param  array<string, Instant>  $done  when a leg was taken, where that was before, by its kind
     * @param  array<string, int>  $words  the confirmation that a leg waits for, by its kind
     */
    public function movement(
        DocketLine $line,
        string $kind,
        array $legs,
        Instant $now,
        Instant $expectedBy,
        array $done = [],
        array $words = [],
    ): void {
        $stamps = ['created_at' => $now->isoSecond(), 'updated_at' => $now->isoSecond()];
        $this->movements[] =
            [
                'name_id' => $line->name_id,
                'docket_id' => $line->docket_id,
                'kind' => $kind,
                'opened_on' => $now->isoSecond(),
                'expected_by' => $expectedBy->isoSecond(),
            ] + $stamps;
        $this->legs[$line->name_id] = array_map(
            fn (int $place, CoreLeg $leg): array => [
                'position' => $place,
                'kind' => $leg->kind->value,
                'actor' => $leg->actor->value,
                'due_by' => $leg->by->isoSecond(),
                'likely_by' => $leg->likely?->isoSecond(),
                'done_on' => ($done[$leg->kind->value] ?? null)?->isoSecond(),
                'confirmation_id' => $words[$leg->kind->value] ?? null,
            ] + $stamps,
            array_keys($legs),
            $legs,
        );
    }

    /**
     * @param  array<string, string>  $terms
     * @param  bool  $endsLine  whether the line ends with it; false: it is a step before
     * @param  string|null  $after  the order that is to be done before it is told, of whatever account; null: it waits for none
     * @param  bool  $afterPending  whether it is enough that that is under way
     * @return string|null by which another can be told to wait for it; null: a registrar that takes no commands is told nothing
     */
    public function order(
        DocketLine $line,
        int $accountId,
        OrderKind $kind,
        array $terms = [],
        bool $endsLine = true,
        ?string $after = null,
        bool $afterPending = false,
    ): ?string {
        if (! $this->gateOrders->takesCommands($accountId)) {
            return null;
        }
        $transaction = GateOrders::transaction();
        $this->after += $after === null ? [] : [$transaction => $after];
        $this->orders[] = [
            'account_id' => $accountId,
            'name_id' => $line->name_id,
            'docket_line_id' => $line->id,
            'kind' => $kind->value,
            'ends_line' => $endsLine,
            'after_pending' => $afterPending,
            'terms' => json_encode((object) $terms, JSON_THROW_ON_ERROR),
            'transaction' => $transaction,
            'state' => OrderState::Waiting->value,
        ];

        return $transaction;
    }

    public function write(): void
    {
        if ($this->movements !== []) {
            // One open movement a name: a second is refused here.
            $places = implode(', ', array_fill(0, count($this->movements), '(?, ?, ?, ?, ?, ?, ?)'));
            $rows = Row::all(
                $this->database->select(
                    "INSERT INTO movements (name_id, docket_id, kind, opened_on, expected_by, created_at, updated_at)
                        VALUES {$places} RETURNING id, name_id",
                    array_merge(...array_map(array_values(...), $this->movements)),
                ),
            );
            Leg::query()->insert(
                array_merge(
                    ...array_map(
                        fn (Row $row): array => array_map(
                            fn (array $leg): array => ['movement_id' => $row->int('id')] + $leg,
                            $this->legs[$row->int('name_id')] ?? [],
                        ),
                        $rows,
                    ),
                ),
            );
        }
        foreach ($this->moving() as $docketId => $nameIds) {
            KeepZonesInTurn::want($this->database, $nameIds, $docketId);
        }
        if ($this->orders !== []) {
            Order::query()->insert($this->orders);
            $this->chain();
            foreach (array_unique(array_column($this->orders, 'account_id')) as $accountId) {
                // After the commit, and not before: a job that is sent once only takes a lock, and one that is taken already would end the
                // transaction.
                $this->database->afterCommit(fn () => WorkGate::dispatch((int) $accountId));
            }
        }
        [$this->movements, $this->legs, $this->orders, $this->after] = [[], [], [], []];
    }

    /** @return array<int, list<int>> names, by docket: a zone may be lost with a movement */
    private function moving(): array
    {
        $moving = [];
        foreach ($this->movements as $movement) {
            $moving[(int) $movement['docket_id']][] = (int) $movement['name_id'];
        }

        return $moving;
    }

    /** Which waits for which, once all of them are recorded. */
    private function chain(): void
    {
        if ($this->after !== []) {
            $this->database->update(
                'UPDATE orders SET after_id = b.id FROM jsonb_each_text(?::jsonb) AS w
                 JOIN orders b ON b.transaction = w.value WHERE orders.transaction = w.key',
                [json_encode($this->after, JSON_THROW_ON_ERROR)],
            );
        }
    }
}
