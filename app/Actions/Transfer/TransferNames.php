<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Lifecycle\Lock;
use Acre\Core\Money\Money;
use Acre\Core\Money\Sums;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Record;
use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Transfer;
use Acre\Wire\Epp\EppCode;
use App\Actions\Deeds\AcceptsAgreements;
use App\Actions\Deeds\Authority;
use App\Actions\Deeds\EndMovement;
use App\Actions\Deeds\EndsOutside;
use App\Actions\Deeds\Illustrated;
use App\Actions\Deeds\JudgesByStore;
use App\Actions\Deeds\PassHolding;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\ReadsAhead;
use App\Actions\Deeds\SaysItself;
use App\Actions\Gates\GateOrders;
use App\Actions\Gates\StoreAuthCode;
use App\Models\Account;
use App\Models\AuthCode;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Extra;
use App\Models\LineState;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Dockets\Slip;
use App\Queries\Names\HeldCase;
use App\Support\Dates;
use App\Support\TradeClock;
use Illuminate\Database\Query\Builder;

/** Names go from one registrar to another. What each side's registrar takes as a command it is told; the rest stands on a slip. */
final class TransferNames implements AcceptsAgreements, EndsOutside, Illustrated, JudgesByStore, ReadsAhead
{
    use SaysItself;

    /** @var array<int, Account> */
    private array $accounts = [];

    /** @var array<int, true> names that were read ahead */
    private array $ahead = [];

    public function __construct(
        private readonly JudgeTransfers $judge,
        private readonly TellTransfer $tell,
        private readonly SlipOfTransfer $slip,
        private readonly PassHolding $pass,
        private readonly GateOrders $orders,
        private readonly AfterTransfer $after,
        private readonly StoreAuthCode $codes,
        private readonly TradeClock $clock,
    ) {
    }

    public static function key(): string
    {
        return 'transfer';
    }

    public function choices(): array
    {
        return Account::query()
            ->with('registrar')
            ->where('access', 'ours')
            ->orderBy('number')
            ->limit(1_000)
            ->get()
            ->mapWithKeys(fn (Account $account): array => [$account->id => "{$account->registrar->name} {$account->number}"])
            ->sort()
            ->all();
    }

    public function terms(array $said): ?array
    {
        return TransferTerms::chosen($said)?->pack();
    }

    public function said(array $terms): array
    {
        $chosen = TransferTerms::unpack($terms);

        return [
            'account' => $chosen->accountId,
            'renews' => $chosen->renews ? '1' : '0',
            'authority' => $chosen->authority->value,
        ];
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $this->judge->readAhead($files, $this->account($terms), $this->clock->now());
        $this->ahead = array_fill_keys(array_map(fn (HeldCase $file): int => $file->nameId, $files), true);
    }

    public function readAhead(array $files, Instant $on): void
    {
        $this->ahead = [];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        return $this->transfer($file, $terms, $now)->judge();
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $legs = $readiness->legs();
        $openings->movement(
            $line,
            'transfer',
            $legs,
            $now,
            $this->transfer($file, $terms, $now)->arrival()->latest,
        );
        $this->tell->begin(
            $openings,
            $line,
            $file->account,
            $this->account($terms),
            array_map(fn (Leg $leg): LegKind => $leg->kind, $legs),
            $this->judge->fee($file),
        );

        return LineState::Begun;
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        $now = $this->clock->now();
        $transfer = $this->transfer($file, $terms, $now);
        $gaining = $this->account($terms);
        $this->pass->handle($file, $gaining->id, $file->clientId, $on, $line->docket_id);
        $registration = Registration::query()->lockForUpdate()->findOrFail($file->registrationId);
        $at = ['from' => 'docket', 'docket' => $line->docket_id, 'at' => ($on->agreesWith($now) ? $now : $on)->isoSecond()];
        $registration->fill([
            'ends_on' => $transfer->endAfter() ?? $registration->ends_on,
            'moved_on' => $on,
            'lock' => $transfer->life->rules->mayBeLocked() ? Lock::Off : $registration->lock,
            'sources' => [...$registration->sources, 'ends_on' => $at, 'moved_on' => $at, 'lock' => $at],
        ]);
        $registration->version++;
        $registration->save();
        // What was bought there ends there.
        Extra::query()->where('registration_id', $file->registrationId)->whereNull('ended_on')->update(['ended_on' => $on->isoSecond()]);
        if ($transfer->code->inHand !== null) {
            $this->codes->handle($file->nameId, null, 'registrar');
        }
        $this->orders->settled($line);
        $line->was = ['account' => $file->account->id, 'ends' => $file->facts->ends?->isoSecond()];
        EndMovement::of($line, $on, true);
        $this->after->counted($line, $on, $transfer->life->rules->verifyDays->value);
        $this->after->arrived($line, $gaining->id, $transfer->life->rules->mayBeLocked(), TransferTerms::unpack($terms)->renews);
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        $this->orders->takeBack($line);
        // A code that its registry didn't take is never tried again.
        AuthCode::query()
            ->whereKey($line->name_id)
            ->whereExists(
                fn (Builder $refused) => $refused
                    ->selectRaw('1')
                    ->from('orders')
                    ->where('docket_line_id', $line->id)
                    ->where('kind', OrderKind::Transfer->value)
                    ->where('code', EppCode::InvalidAuthorization->value),
            )
            ->update(['fits' => false]);
        EndMovement::of($line, $now, false);
        $this->after->stayed($line, $now);
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        $losing = $line->giving_account_id === null ? null : Account::query()->with('registrar')->find($line->giving_account_id);

        // Two that sell for one registrar can't be told apart in a record.
        return $this->account($terms)->registrar->isIn($record) && $losing?->registrar->isIn($record) !== true;
    }

    public function slip(Docket $docket): Slip
    {
        return $this->slip->of($docket, $this->account($docket->terms));
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        $gaining = $this->account($terms);
        $end = fn (?Instant $ends): string => $ends === null ? '' : Dates::full($ends);
        $after = $this->transfer($file, $terms, $this->clock->now())->endAfter();
        $price = $this->judge->price($file);

        return [
            'before' => [
                'account' => "{$file->account->registrarName} {$file->account->number}",
                'ends' => $end($file->facts->ends),
            ],
            'after' => [
                'account' => "{$gaining->registrar->name} {$gaining->number}",
                'ends' => $end($after),
            ] + ($price === null ? [] : ['costs' => $price->text()]),
        ];
    }

    public function picture(array $files, array $terms, Instant $now): array
    {
        $prices = $codes = [];
        $first = $likely = $last = null;
        $cases = [];
        foreach ($files as $file) {
            $transfer = $this->transfer($file, $terms, $now);
            if ($transfer->gaining->registrar === $transfer->losing->registrar) {
                continue;
            }
            if ($transfer->judge()->isClear()) {
                $arrival = $transfer->arrival();
                $first = $first === null ? $arrival->earliest : Instant::earliest($first, $arrival->earliest);
                $likely = $likely === null ? $arrival->likely : Instant::latest($likely, $arrival->likely);
                $last = $last === null ? $arrival->latest : Instant::latest($last, $arrival->latest);
                $cases["{$file->account->registrar} {$file->facts->name->suffix()}"] = $transfer->seen->cases ?? 0;
                $prices[] = $this->judge->price($file);
            }
            // Elsewhere its registrar tells it.
            if ($transfer->wantsCode() && ! ($file->account->ours && $this->orders->takesCommands($file->account->id))) {
                $codes[] = $file->facts->name->unicode;
            }
        }

        return [
            'sums' => array_map(fn (Money $sum): string => $sum->text(), array_values(Sums::of($prices))),
            'first' => $first,
            'likely' => $likely,
            'last' => $last,
            'codes' => $codes,
            'cases' => array_sum($cases),
            'agreements' => $this->agreements($terms),
        ];
    }

    public function agreements(array $terms): array
    {
        return $this->account($terms)->registrar->agreements;
    }

    public function authority(array $terms): Authority
    {
        return TransferTerms::unpack($terms)->authority;
    }

    /** @param  array<string, mixed>  $terms */
    private function transfer(HeldCase $file, array $terms, Instant $now): Transfer
    {
        if (! isset($this->ahead[$file->nameId])) {
            $this->beforeJudging([$file], $terms);
        }

        $gaining = $this->judge->gaining($file, $this->account($terms), TransferTerms::unpack($terms)->renews);

        return $this->judge->of($file, $gaining, $now);
    }

    /** @param  array<string, mixed>  $terms */
    private function account(array $terms): Account
    {
        $id = TransferTerms::unpack($terms)->accountId;

        return $this->accounts[$id] ??= Account::query()->with('registrar')->findOrFail($id);
    }

    protected function inWords(array $terms): array
    {
        $account = $this->account($terms);

        return ['registrar' => $account->registrar->name, 'account' => $account->number];
    }
}
