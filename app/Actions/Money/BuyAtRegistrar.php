<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Movement\Readiness;
use Acre\Core\Renewal\Sale;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Actions\Deeds\Costs;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\Illustrated;
use App\Actions\Deeds\LineCost;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\Ticked;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Order;
use App\Models\OrderState;
use App\Models\Registration;
use App\Outside\Registrar\Told;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Support\Dates;
use App\Support\TradeClock;

/** Something is bought for names at their registrars, at the price that the page showed; afterwards the new end is checked. */
abstract class BuyAtRegistrar extends DeedAtRegistrar implements Costs, Illustrated, Ticked
{
    /** @var array<int, true> names that were read ahead to be judged */
    private array $judged = [];

    /** Of the name that is being completed. */
    private ?Instant $newEnd = null;

    /** @var array<int, Order> by line, what its registrar has done */
    private array $orders = [];

    /** @param  JudgeSales<covariant Sale>  $sales */
    public function __construct(
        Rulebook $book,
        GateOrders $gateOrders,
        Slips $slips,
        TradeClock $clock,
        private readonly JudgeSales $sales,
        private readonly WriteLedger $ledger,
    ) {
        parent::__construct($book, $gateOrders, $slips, $clock);
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $this->sales->readAhead($files, $terms, $this->clock->now());
        $this->judged = array_fill_keys(array_map(fn (HeldCase $file): int => $file->nameId, $files), true);
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        return $this->sale($file, $terms, $now)->judge();
    }

    public function costs(HeldCase $file, array $terms): ?LineCost
    {
        $price = $this->sale($file, $terms, $this->clock->now())->price();

        return $price === null ? null : new LineCost($price, $file->account->id);
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        // What was agreed on is paid, and nothing else.
        if (LineCost::text(LineCost::of($line)) !== LineCost::text($this->costs($file, $terms))) {
            throw DeedError::priceChanged();
        }

        return parent::perform($line, $file, $readiness, $terms, $now, $openings);
    }

    public function readAhead(array $files, Instant $on): void
    {
        parent::readAhead($files, $on);
        $this->judged = [];
        $this->orders = [];
        foreach (
            Order::query()
                ->whereIn('name_id', array_map(fn (HeldCase $file): int => $file->nameId, $files))
                ->where('kind', $this->order([]))
                ->where('state', OrderState::Done)
                ->whereNotNull('docket_line_id')
                ->get() as $order
        ) {
            $this->orders[$order->docket_line_id ?? 0] = $order;
        }
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        $expected = $this->sale($file, $terms, $this->clock->now())->endAfter();
        $order = $this->orders[$line->id] ?? null;
        $told = $order?->told === null ? new Told() : Told::read($order->told);
        // What its registrar says is so, whatever was worked out here.
        $this->newEnd = $told->ends === null || ($expected !== null && $told->ends->agreesWith($expected)) ? $expected : $told->ends;
        parent::complete($line, $file, $terms, $on);
        $this->writeCharge($line, $file, $terms, $told, $order !== null, $on);
        $line->reason = $this->amiss($file, $expected, $told, $this->paid($file, $terms, $told), LineCost::of($line));
    }

    /** A tick that was wrong: the end is again what it was, and what was entered as charged is taken back. */
    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        parent::undo($file, $line, $by, $now);
        $cost = LineCost::of($line);
        if ($cost !== null) {
            $this->ledger->entry($cost->accountId, $file->nameId, 'refund', $cost->sum, $now, 'docket', $by->id);
        }
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return $file->facts->ends !== null && Dates::full($file->facts->ends) === ($line->after['ends'] ?? null);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $sale = $this->sale($file, $terms, $this->clock->now());
        $end = fn (?Instant $ends): string => $ends === null ? '' : Dates::full($ends);
        $price = $sale->price();

        return [
            'before' => ['ends' => $end($file->facts->ends)],
            'after' => ['ends' => $end($sale->endAfter())]
                + ($price === null ? [] : ['costs' => $price->text()])
                + ($sale->rate?->offer?->code === null ? [] : ['code' => $sale->rate->offer->code]),
        ];
    }

    public function picture(array $files, array $terms, Instant $now): array
    {
        $accounts = [];
        $sums = $nets = $usual = [];
        foreach ($files as $file) {
            $sale = $this->sale($file, $terms, $now);
            if (! $sale->judge()->isClear()) {
                continue;
            }
            $sums[] = $sale->price();
            $nets[] = $sale->fee();
            $usual[] = $sale->usualPrice();
            $id = $file->account->id;
            $accounts[$id] ??= [
                'account' => "{$file->account->registrarName} {$file->account->number}",
                'id' => $id,
                'names' => 0,
                'prices' => [],
                'credits' => [],
                'left' => $sale->paying->left,
            ];
            $accounts[$id]['names']++;
            $accounts[$id]['prices'][] = $sale->price();
            $accounts[$id]['credits'][] = $sale->paying->credit;
        }

        return [
            'sums' => array_map(fn (Money $sum): string => $sum->text(), array_values(Sums::of($sums))),
            'quotes' => self::quotes(Sums::of($sums), Sums::of($nets), Sums::of($usual)),
            'accounts' => array_map(
                function (array $one): array {
                    $sums = Sums::of($one['prices']);
                    $left = $one['left'];
                    $spent = $left === null ? null : $sums[$left->currency] ?? null;
                    $credit = $left === null ? null : Sums::of($one['credits'])[$left->currency] ?? null;

                    return [
                        ...$one,
                        'sums' => array_map(fn (Money $sum): string => $sum->text(), array_values($sums)),
                        'credit' => $credit?->isPositive() === true ? $credit->text() : null,
                        'left' => $left?->text(),
                        'after' => $left === null || $spent === null
                            ? null
                            : $left->minus($credit === null ? $spent : $spent->minus($credit))->text(),
                    ];
                },
                array_values($accounts),
            ),
        ];
    }

    /**
     * What of the sums is tax, and what they would be without offers.
     *
     * @param  array<string, Money>  $sums  with tax, by currency
     * @param  array<string, Money>  $nets
     * @param  array<string, Money>  $usual
     * @return list<string>
     */
    private static function quotes(array $sums, array $nets, array $usual): array
    {
        $said = [];
        foreach ($sums as $currency => $sum) {
            $net = $nets[$currency] ?? $sum;
            if (! $net->equals($sum)) {
                $said[] = self::text('deeds.renew.with_tax', ['net' => $net->text(), 'tax' => $sum->minus($net)->text()]);
            }
            if (isset($usual[$currency]) && ! $usual[$currency]->equals($sum)) {
                $said[] = self::text('deeds.renew.usually', ['sum' => $usual[$currency]->text()]);
            }
        }

        return $said;
    }

    /**
     * What it may cost at most, as orders say it.
     *
     * @param  array<string, mixed>  $terms
     * @return array<string, string>
     */
    final protected function fee(HeldCase $file, array $terms): array
    {
        $fee = $this->sale($file, $terms, $this->clock->now())->fee();

        return $fee === null ? [] : ['fee' => $fee->decimal(), 'currency' => $fee->currency];
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        $sums = Sums::of(array_map(fn (DocketLine $line): ?Money => LineCost::of($line)?->sum, $lines));
        $codes = array_map(fn (DocketLine $line): ?string => $line->after['code'] ?? null, $lines);
        $codes = array_unique(array_filter($codes, is_string(...)));

        return ($sums === [] ? [] : [
            self::text('deeds.renew.slip_sum') => implode(' + ', array_map(fn (Money $sum): string => $sum->text(), array_values($sums))),
        ]) + ($codes === [] ? [] : [self::text('deeds.renew.slip_code') => implode(', ', $codes)]);
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return false;
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        return [];
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        $registration->ends_on = $this->newEnd;

        return ['ends_on'];
    }

    /** @param  array<string, mixed>  $terms */
    private function writeCharge(DocketLine $line, HeldCase $file, array $terms, Told $told, bool $isTold, Instant $on): void
    {
        $cost = LineCost::of($line);
        if ($cost === null) {
            return;
        }
        $sum = $this->paid($file, $terms, $told) ?? $cost->sum;
        $this->ledger->entry(
            $cost->accountId,
            $file->nameId,
            $this->sales->action(),
            $sum->times(-1),
            $on,
            $isTold ? 'answer' : 'docket',
            $line->id,
        );
        if ($told->balance !== null) {
            $this->ledger->balance($cost->accountId, $told->balance, $on);
        }
    }

    /**
     * What its registrar charged, with tax; null: it doesn't say.
     *
     * @param  array<string, mixed>  $terms
     */
    private function paid(HeldCase $file, array $terms, Told $told): ?Money
    {
        return $told->charged === null ? null : $this->sale($file, $terms, $this->clock->now())->paid($told->charged);
    }

    /** What came out other than it was agreed on; null: nothing that was told. */
    private function amiss(HeldCase $file, ?Instant $expected, Told $told, ?Money $paid, ?LineCost $cost): ?string
    {
        $said = [];
        if ($told->ends !== null && $expected !== null && ! $told->ends->agreesWith($expected)) {
            $said[] = self::text('deeds.renew.other_end', [
                'ends' => Dates::full($told->ends),
                'expected' => Dates::full($expected),
                'registrar' => $file->account->registrarName,
            ]);
        }
        if ($paid !== null && $cost !== null && $paid->currency === $cost->sum->currency && $paid->compare($cost->sum) > 0) {
            $said[] = self::text('deeds.renew.other_charge', [
                'charged' => $paid->text(),
                'agreed' => $cost->sum->text(),
                'registrar' => $file->account->registrarName,
            ]);
        }

        return $said === [] ? null : implode(' ', $said);
    }

    /** @param  array<string, mixed>  $terms */
    final protected function sale(HeldCase $file, array $terms, Instant $now): Sale
    {
        if (! isset($this->judged[$file->nameId])) {
            $this->beforeJudging([$file], $terms);
        }

        return $this->sales->of($file, $terms, $now);
    }
}
