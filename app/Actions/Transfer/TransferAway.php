<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Leg;
use Acre\Core\Movement\LegKind;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Record;
use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Gaining;
use Acre\Core\Transfer\Transfer;
use App\Actions\Deeds\EndMovement;
use App\Actions\Deeds\EndsOutside;
use App\Actions\Deeds\HasPage;
use App\Actions\Deeds\JudgesByStore;
use App\Actions\Deeds\LeaveBooks;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\SaysItself;
use App\Actions\Gates\GateOrders;
use App\Actions\Gates\StoreAuthCode;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Queries\Dockets\Slip;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use App\View\Words;

/**
 * Names leave for a registrar where we have no account: lock lifted, code asked for and given to whoever has them transferred, and watched
 * until they are gone.
 */
final class TransferAway implements EndsOutside, HasPage, JudgesByStore
{
    use SaysItself;

    /** @var array<int, true> names that were read ahead */
    private array $ahead = [];

    public function __construct(
        private readonly JudgeTransfers $judge,
        private readonly TellTransfer $tell,
        private readonly SlipOfTransfer $slip,
        private readonly LeaveBooks $leave,
        private readonly GateOrders $orders,
        private readonly AfterTransfer $after,
        private readonly StoreAuthCode $codes,
        private readonly TradeClock $clock,
        private readonly Words $words,
    ) {
    }

    public static function key(): string
    {
        return 'transfer_away';
    }

    public function choices(): array
    {
        return [];
    }

    public function terms(array $said): ?array
    {
        return AwayTerms::chosen($said)?->pack();
    }

    public function said(array $terms): array
    {
        return AwayTerms::unpack($terms)->pack();
    }

    public function beforeJudging(array $files, array $terms): void
    {
        $this->judge->readAhead($files, null, $this->clock->now());
        $this->ahead = array_fill_keys(array_map(fn (HeldCase $file): int => $file->nameId, $files), true);
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        return $file->account->ours
            ? $this->transfer($file, $terms, $now)->judge()
            : Readiness::of([Finding::of(MovementFinding::NoAccess, Effect::Stops, null, account: $file->account->number)], []);
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
        $openings->movement($line, 'transfer', $legs, $now, $this->transfer($file, $terms, $now)->arrival()->latest);
        $this->tell->prepare($openings, $line, $file->account, array_map(fn (Leg $leg): LegKind => $leg->kind, $legs));

        return LineState::Begun;
    }

    public function complete(DocketLine $line, HeldCase $file, array $terms, Instant $on): void
    {
        $chosen = AwayTerms::unpack($terms);
        $this->leave->handle(
            $line,
            $file,
            $on,
            $this->words->say('deeds.transfer_away.watched_for', ['registrar' => $chosen->registrar]),
            $chosen->registrar,
        );
        $this->codes->handle($file->nameId, null, 'registrar');
        EndMovement::of($line, $on, true);
    }

    public function abandon(DocketLine $line, Instant $now): void
    {
        $this->orders->takeBack($line);
        EndMovement::of($line, $now, false);
        $this->after->stayed($line, $now);
    }

    /** It is gone once its record names another registrar than the one where it was. */
    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        $registrar = $line->giving_account_id === null
            ? null
            : Account::query()->with('registrar')->find($line->giving_account_id)?->registrar;

        return $registrar !== null && $record->registrar !== null && ! $registrar->isIn($record);
    }

    public function slip(Docket $docket): Slip
    {
        return $this->slip->away($docket, AwayTerms::unpack($docket->terms));
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return [
            'before' => ['account' => "{$file->account->registrarName} {$file->account->number}"],
            'after' => ['account' => AwayTerms::unpack($terms)->registrar],
        ];
    }

    /** @param  array<string, mixed>  $terms */
    private function transfer(HeldCase $file, array $terms, Instant $now): Transfer
    {
        if (! isset($this->ahead[$file->nameId])) {
            $this->beforeJudging([$file], $terms);
        }
        $chosen = AwayTerms::unpack($terms);

        return $this->judge->of($file, Gaining::elsewhere($chosen->registrar, $chosen->tag), $now);
    }

    protected function inWords(array $terms): array
    {
        return ['registrar' => AwayTerms::unpack($terms)->registrar];
    }
}
