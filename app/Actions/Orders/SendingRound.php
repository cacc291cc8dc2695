<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Models\Order;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\Answer;
use App\Outside\Registrar\AnswerKind;
use Throwable;

/** One round of orders that are told or asked for one after the other: what each came to, and whether it makes sense to go on. */
final class SendingRound
{
    /** @var array<int, array{Order, Answer}> by the order's id */
    private array $answers = [];

    /** @var array<int, Order> by id: told or asked for without an answer, or held up by one that was */
    private array $failed = [];

    private int $silent = 0;

    private ?NotReached $over = null;

    /** @param  int  $most  orders in a row that may stay without an answer */
    public function __construct(private readonly int $most)
    {
    }

    /**
     * @param  callable(): (Answer|null)  $do
     * @param  callable(Order, Throwable): void  $fail
     * @param  (callable(Order): void)|null  $notCarriedOut  told when there is no answer to be had, because it never was
     */
    public function take(Order $order, callable $do, callable $fail, ?callable $notCarriedOut = null): void
    {
        if ($this->isOver() || $this->isHeldUp($order)) {
            return;
        }
        try {
            $answer = $do();
            $this->silent = 0;
        } catch (Throwable $e) {
            $this->failed[$order->id] = $order;
            $fail($order, $e);
            $this->silent = $e instanceof NotReached ? $this->silent + 1 : 0;
            if ($e instanceof NotReached && (! $e->isOfOneQuestion || $this->silent >= $this->most)) {
                $this->over = $e;
            }

            return;
        }
        if ($answer !== null) {
            $this->answers[$order->id] = [$order, $answer];
        } elseif ($notCarriedOut !== null) {
            $notCarriedOut($order);
        }
    }

    /** Whether the gate is away. */
    public function isOver(): bool
    {
        return $this->over !== null;
    }

    /** Seconds that the gate wants to be left alone, as far as it said so. */
    public function wait(): int
    {
        return $this->over->wait ?? 0;
    }

    /** @return list<array{Order, Answer}> */
    public function answers(): array
    {
        return array_values($this->answers);
    }

    /**
     * @param  list<Order>  $orders
     * @return list<Order> those of which nothing was said to anybody
     */
    public function without(array $orders): array
    {
        return array_values(
            array_filter($orders, fn (Order $order): bool => ! isset($this->answers[$order->id]) && ! isset($this->failed[$order->id])),
        );
    }

    /** Whether an earlier step of the same line was refused, or isn't known to be done. */
    private function isHeldUp(Order $order): bool
    {
        $isOfLine = fn (Order $before): bool => $order->docket_line_id !== null &&
            $before->docket_line_id === $order->docket_line_id &&
            $before->id < $order->id;

        return array_filter($this->failed, $isOfLine) !== [] ||
            array_filter($this->answers, fn (array $one): bool => $isOfLine($one[0]) && $one[1]->kind !== AnswerKind::Done) !== [];
    }
}
