<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Lifecycle\Term;
use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Movement\Readiness;
use Acre\Core\Renewal\Renewal;
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
use App\Outside\Registrar\OrderKind;
use App\Outside\Registrar\Told;
use App\Queries\Dockets\Slips;
use App\Queries\Names\HeldCase;
use App\Support\Dates;
use App\Support\TradeClock;

/** Names are renewed at their registrars for some years, at the price that the page showed; afterwards the new end is checked. */
final class RenewNames extends DeedAtRegistrar implements Costs, Illustrated, Ticked
{
    private const MOST = 10;

    /** @var array<int, true> names that were read ahead to be judged */
    private array $judged = [];

    /** Of the name that is being completed. */
    private ?Instant $newEnd = null;

    /** @var array<int, Order> by line, what its registrar has done */
    private array $orders = [];

    public function __construct(
        Rulebook $book,
        GateOrders $gateOrders,
        Slips $slips,
        TradeClock $clock,
        private readonly JudgeRenewals $renewals,
        private readonly WriteLedger $ledger,
    ) {
        parent::__construct($book, $gateOrders, $slips, $clock);
    }

    public static function key(): string
    {
        return 'renew';
    }

    public function terms(array $said): ?array
    {
        $years = $said['years'] ?? 1;
        $years = is_numeric($years) ? (int) $years : 0;

        return $years < 1 || $years > self::MOST ? null : ['years' => $years];
    }

    public function said(array $terms): array
    {
        return ['years' => self::years($terms)];
    }

    public function choices(): array
    {
        return array_combine(
            range(1, self::MOST),
            array_map(fn (int $years): string => trans_choice('deeds.renew.years', $years, ['count' => $years]), range(1, self::MOST)),
        );
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $this->renewals->readAhead($files, self::years($terms), $this->clock->now());
        $this->judged = array_fill_keys(array_map(fn (HeldCase $file): int => $file->nameId, $files), true);
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        return $this->renewal($file, $terms, $now)->judge();
    }

    public function costs(HeldCase $file, array $terms): ?LineCost
    {
        $price = $this->renewal($file, $terms, $this->clock->now())->price();

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
                ->where('kind', OrderKind::Renew)
                ->where('state', OrderState::Done)
                ->whereNotNull('docket_line_id')
                ->get() as $order
        ) {
            $this->orders[$order->docket_line_id ?? 0] = $order;
        }
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        $expected = $this->renewal($file, $terms, $this->clock->now())->endAfter();
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
        $was = $line->was['ends_on'] ?? null;

        return is_string($was) &&
            $file->facts->ends?->date() === Term::extend(
                $file->facts->created,
                Instant::of(substr($was, 0, 10)),
                12 * self::years($line->docket->terms),
            )->date();
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $renewal = $this->renewal($file, $terms, $this->clock->now());
        $end = fn (?Instant $ends): string => $ends === null ? '' : Dates::full($ends);
        $price = $renewal->price();

        return [
            'before' => ['ends' => $end($file->facts->ends)],
            'after' => ['ends' => $end($renewal->endAfter())] + ($price === null ? [] : ['costs' => $price->text()]),
        ];
    }

    public function picture(array $files, array $terms, Instant $now): array
    {
        $accounts = [];
        $sums = [];
        foreach ($files as $file) {
            $renewal = $this->renewal($file, $terms, $now);
            if (! $renewal->judge()->isClear()) {
                continue;
            }
            $sums[] = $renewal->price();
            $id = $file->account->id;
            $accounts[$id] ??= [
                'account' => "{$file->account->registrarName} {$file->account->number}",
                'id' => $id,
                'names' => 0,
                'prices' => [],
                'left' => $renewal->paying->left,
            ];
            $accounts[$id]['names']++;
            $accounts[$id]['prices'][] = $renewal->price();
        }

        return [
            'sums' => array_map(fn (Money $sum): string => $sum->text(), array_values(Sums::of($sums))),
            'accounts' => array_map(
                function (array $one): array {
                    $sums = Sums::of($one['prices']);
                    $left = $one['left'];
                    $spent = $left === null ? null : $sums[$left->currency] ?? null;

                    return [
                        ...$one,
                        'sums' => array_map(fn (Money $sum): string => $sum->text(), array_values($sums)),
                        'left' => $left?->text(),
                        'after' => $left === null || $spent === null ? null : $left->minus($spent)->text(),
                    ];
                },
                array_values($accounts),
            ),
        ];
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Renew;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        $fee = $this->renewal($file, $terms, $this->clock->now())->fee();

        return ['ends' => $file->facts->ends?->date() ?? '', 'years' => (string) self::years($terms)] +
            ($fee === null ? [] : ['fee' => $fee->decimal(), 'currency' => $fee->currency]);
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        $sums = Sums::of(array_map(fn (DocketLine $line): ?Money => LineCost::of($line)?->sum, $lines));

        return [
            self::text('deeds.renew.slip_years') => (string) self::years($terms),
        ] + ($sums === [] ? [] : [
            self::text('deeds.renew.slip_sum') => implode(' + ', array_map(fn (Money $sum): string => $sum->text(), array_values($sums))),
        ]);
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return false;
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        return [];
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): string
    {
        $registration->ends_on = $this->newEnd;

        return 'ends_on';
    }

    protected function inWords(array $terms): array
    {
        return ['years' => trans_choice('deeds.renew.years', self::years($terms), ['count' => self::years($terms)])];
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
            'renew',
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
        return $told->charged === null ? null : $this->renewal($file, $terms, $this->clock->now())->paid($told->charged);
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
    private function renewal(HeldCase $file, array $terms, Instant $now): Renewal
    {
        if (! isset($this->judged[$file->nameId])) {
            $this->beforeJudging([$file], $terms);
        }

        return $this->renewals->of($file, self::years($terms), $now);
    }

    /** @param  array<string, mixed>  $terms */
    private static function years(array $terms): int
    {
        return is_int($terms['years'] ?? null) ? $terms['years'] : 1;
    }
}
