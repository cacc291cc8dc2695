<?php

declare(strict_types=1);

namespace App\Queries\Dockets;

use Acre\Core\Movement\LegKind;
use App\Actions\Handover\HandoverTermsChosen;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\Leg;
use App\Models\LineState;
use App\Models\Movement;
use App\View\Words;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;

/** Makes the slip of a handover from its open lines and the legs that were written when they began. */
final readonly class Slips
{
    public function __construct(private Words $words)
    {
    }

    /** @param  array<string, string>  $registrant  what another registrant's data are, by what they are called */
    public function of(Docket $docket, HandoverTermsChosen $terms, array $registrant = []): Slip
    {
        $receiver = $terms->receiver();
        $lines = $this->lines($docket);
        $kinds = $this->kinds($docket);
        $lots = [];
        foreach ($lines->groupBy('lot') as $number => $group) {
            $account = $group->firstOrFail()->givingAccount;
            if ($account !== null) {
                $lots[] = $this->lot((int) $number, $account, $receiver, array_values($group->all()), $kinds, $registrant);
            }
        }

        return new Slip($receiver, $lots);
    }

    /**
     * Of a deed that takes one step, on the side where the names lie.
     *
     * @param  callable(Account, list<DocketLine>): SlipStep  $step
     */
    public function ofOneStep(Docket $docket, callable $step): Slip
    {
        $lots = [];
        foreach ($this->lines($docket)->groupBy('lot') as $number => $group) {
            $account = $group->firstOrFail()->givingAccount;
            if ($account !== null) {
                $lots[] = new SlipLot(
                    (int) $number,
                    $account,
                    array_values($group->all()),
                    [$step($account, array_values($group->all()))],
                    [],
                );
            }
        }

        return new Slip(null, $lots);
    }

    /** @return Collection<int, DocketLine> for a deed that makes its slip itself */
    public function openLines(Docket $docket): Collection
    {
        return $this->lines($docket);
    }

    /**
     * @return Collection<int, DocketLine> those that are open, but for what its registrar is told, and for what waits for somebody's word:
     *     that is nobody's to do by hand
     */
    private function lines(Docket $docket): Collection
    {
        return DocketLine::query()
            ->where('docket_id', $docket->id)
            ->where('state', LineState::Begun)
            ->whereNotExists(
                fn (Builder $orders) => $orders
                    ->selectRaw('1')
                    ->from('orders')
                    ->whereColumn('orders.docket_line_id', 'docket_lines.id')
                    ->where('orders.state', '<>', 'called_off'),
            )
            ->withoutOpenWord()
            ->with(['name', 'givingAccount.registrar'])
            ->orderBy('lot')
            ->orderBy('position')
            ->get();
    }

    /** @return list<LegKind> every step that some name of the docket needs, in order */
    private function kinds(Docket $docket): array
    {
        $needed = Leg::query()
            ->whereIn('movement_id', Movement::query()->where('docket_id', $docket->id)->whereNull('closed_on')->select('id'))
            ->whereNull('done_on')
            ->toBase()
            ->distinct()
            ->pluck('kind')
            ->all();
        $confirms = Leg::query()
            ->whereIn('movement_id', Movement::query()->where('docket_id', $docket->id)->select('id'))
            ->toBase()
            ->selectRaw('kind, min(position) AS place')
            ->groupBy('kind')
            ->orderBy('place')
            ->pluck('kind')
            ->all();

        return array_values(
            array_filter(
                array_map(
                    fn (mixed $kind): ?LegKind => is_string($kind) && in_array($kind, $needed, true) && ! LegKind::from($kind)->isWord()
                        ? LegKind::from($kind)
                        : null,
                    $confirms,
                ),
            ),
        );
    }

    /**
     * @param  list<DocketLine>  $lines
     * @param  list<LegKind>  $kinds
     * @param  array<string, string>  $registrant
     */
    private function lot(int $number, Account $giver, Account $receiver, array $lines, array $kinds, array $registrant): SlipLot
    {
        $giving = $receiving = [];
        foreach ($kinds as $place => $kind) {
            $step = new SlipStep(
                $kind->value,
                match ($kind) {
                    LegKind::Offer => $this->offer($giver, $receiver),
                    LegKind::Registrant => $registrant,
                    default => [],
                },
                in_array($kind, [LegKind::Offer, LegKind::Registrant], true),
                place: $place + 1,
            );
            if ($kind->isGiving()) {
                $giving[] = $step;
            } else {
                $receiving[] = $step;
            }
        }

        return new SlipLot($number, $giver, $lines, $giving, $receiving);
    }

    /** @return array<string, string> exactly what this registrar asks for */
    private function offer(Account $giver, Account $receiver): array
    {
        $values = [];
        $terms = $giver->registrar->handoverTerms();
        $sides = $terms->namesGiver ? ['giving' => $giver, 'receiving' => $receiver] : ['receiving' => $receiver];
        foreach ($sides as $side => $account) {
            foreach ($terms->receiverBy->identifiers() as $identifier) {
                $values["{$side} {$identifier->value}"] =
                    $account->facts()->identifier($identifier) ?? $this->words->say('common.not_recorded');
            }
        }

        return $values;
    }
}
