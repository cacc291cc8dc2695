<?php

declare(strict_types=1);

namespace App\Actions\Custody;

use Acre\Core\Custody\CustodyPart;
use App\Actions\Proofs\Chain;
use App\Models\Custodian;
use App\Models\Handing;
use App\Models\HandingState;
use App\Models\ProofKind;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * Hands what somebody has of accounts to another: a slip an account, ticked as it is done there; once each has ended it closes with its
 * proof.
 */
final readonly class HandCustody
{
    public function __construct(
        private Connection $database,
        private GiveCustody $give,
        private Chain $chain,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /** @return Handing|null null: they have nothing; where it is under way already, what is under way */
    public function begin(User $user, Custodian $from, Custodian $to): ?Handing
    {
        return $this->database->transaction(function () use ($user, $from, $to): ?Handing {
            Custodian::query()->lockForUpdate()->findOrFail($from->id);
            $open = Handing::query()->where('from_id', $from->id)->whereNull('closed_on')->first();
            $parts = [];
            foreach (
                Row::all(
                    $this->database
                        ->table('custodies')
                        ->where('custodian_id', $from->id)
                        ->whereRaw('upper_inf(span)')
                        ->orderBy('account_id')
                        ->orderBy('part')
                        ->get(['account_id', 'part']),
                ) as $row
            ) {
                $parts[$row->int('account_id')][] = $row->text('part');
            }
            if ($open !== null || $parts === []) {
                return $open;
            }
            $handing = Handing::query()->create([
                'from_id' => $from->id,
                'to_id' => $to->id,
                'opened_on' => $this->clock->now(),
                'opened_by' => $user->id,
            ]);
            foreach ($parts as $account => $had) {
                $handing->lines()->create(['account_id' => $account, 'parts' => $had, 'state' => HandingState::Open]);
            }
            $this->log->write('custody_begun', 'custodian', $from->id, ['handing' => $handing->id, 'to' => $to->id], $user->id);

            return $handing;
        });
    }

    /**
     * What is open at these accounts has been done there, or is left as it is.
     *
     * @param  list<int>  $accountIds  those that were ticked
     * @param  string|null  $left  why it is left as it is; null: it was done
     * @return int at how many accounts it ended so
     */
    public function end(User $user, Handing $handing, array $accountIds, ?string $left = null): int
    {
        return $this->database->transaction(function () use ($user, $handing, $accountIds, $left): int {
            $handing = Handing::query()
                ->with(['from', 'to'])
                ->lockForUpdate()
                ->findOrFail($handing->id);
            $ended = 0;
            foreach (
                $handing->lines()->where('state', HandingState::Open)->whereIn('account_id', $accountIds)->with('account')->get() as $line
            ) {
                if ($left === null) {
                    // What was taken from them meanwhile is not theirs to hand on.
                    $still = $this->database
                        ->table('custodies')
                        ->where('account_id', $line->account_id)
                        ->where('custodian_id', $handing->from_id)
                        ->whereRaw('upper_inf(span)')
                        ->pluck('part')
                        ->all();
                    foreach (array_filter($line->had(), fn (CustodyPart $part): bool => in_array($part->value, $still, true)) as $part) {
                        $this->give->take($user, $line->account, $handing->from, $part);
                        // A card is not handed on: whose it is stays theirs, and the other's is recorded at the account.
                        if ($part !== CustodyPart::Card) {
                            $this->give->give($user, $line->account, $handing->to, $part);
                        }
                    }
                }
                $handing
                    ->lines()
                    ->where('account_id', $line->account_id)
                    ->update([
                        'state' => $left === null ? HandingState::Done : HandingState::Left,
                        'ended_on' => $this->clock->now()->isoSecond(),
                        'ended_by' => $user->id,
                        'words' => $left,
                    ]);
                $ended++;
            }
            if ($handing->closed_on === null && $handing->lines()->where('state', HandingState::Open)->doesntExist()) {
                $handing->update(['closed_on' => $this->clock->now()]);
                $proof = $this->chain->append(ProofKind::Handing, $handing->id);
                $this->log->write(
                    'custody_handed',
                    'custodian',
                    $handing->from_id,
                    ['handing' => $handing->id, 'to' => $handing->to_id, 'sha256' => $proof->sha256],
                    $user->id,
                );
            }

            return $ended;
        });
    }
}
