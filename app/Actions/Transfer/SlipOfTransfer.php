<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Movement\LegKind;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Queries\Dockets\Slip;
use App\Queries\Dockets\SlipLot;
use App\Queries\Dockets\SlipStep;
use App\Support\Row;
use App\View\Words;
use Illuminate\Database\Connection;

/** What people do by hand for transfers: at the losing registrar, at the gaining one, or at both; what takes commands is told instead. */
final readonly class SlipOfTransfer
{
    private const RECEIVING = ['order', 'arrive'];

    public function __construct(private Connection $database, private GateOrders $orders, private Words $words)
    {
    }

    public function of(Docket $docket, Account $gaining): Slip
    {
        $open = $this->openLegs($docket);
        $lines = DocketLine::query()
            ->where('docket_id', $docket->id)
            ->where('state', LineState::Begun)
            ->with(['name', 'givingAccount.registrar'])
            ->orderBy('lot')
            ->orderBy('position')
            ->get();
        $byHandThere = ! $this->orders->takesCommands($gaining->id);
        $groups = [];
        foreach ($lines as $line) {
            $account = $line->givingAccount;
            $kinds = $account === null ? [] : $open[$line->name_id] ?? [];
            $byHandHere = $account?->access === 'ours' && ! $this->orders->takesCommands($account->id);
            $giving = array_values(array_filter($kinds, fn (string $kind): bool => $this->isGivingByHand($kind, $byHandHere)));
            $receiving = $byHandThere ? array_values(array_intersect($kinds, self::RECEIVING)) : [];
            if ($account !== null && ($giving !== [] || $receiving !== [])) {
                // Names that want the same steps go together.
                $key = "{$line->lot} ".implode(' ', [...$giving, '|', ...$receiving]);
                $groups[$key] ??= [$account, [], $giving, $receiving];
                $groups[$key][1][] = $line;
            }
        }
        $lots = [];
        foreach (array_values($groups) as $number => [$account, $together, $giving, $receiving]) {
            $lots[] = new SlipLot(
                $number + 1,
                $account,
                $together,
                $this->steps($giving, $gaining),
                $this->steps($receiving, $gaining, count($giving)),
            );
        }

        return new Slip($gaining, $lots, showsBoth: false);
    }

    /** A tag is set by whoever has the account there; the rest is ours only where the account is. */
    private function isGivingByHand(string $kind, bool $isByHand): bool
    {
        $leg = LegKind::from($kind);

        return $leg === LegKind::Tag || ($isByHand && $leg->isGiving());
    }

    /**
     * @param  list<string>  $kinds
     * @param  int  $before  steps of the other side that stand before them
     * @return list<SlipStep>
     */
    private function steps(array $kinds, Account $gaining, int $before = 0): array
    {
        $steps = [];
        foreach ($kinds as $place => $kind) {
            $leg = LegKind::from($kind);
            $steps[] = new SlipStep(
                $kind,
                $leg === LegKind::Tag ? [$this->words->say('dockets.show.tag') => $this->tag($gaining)] : [],
                in_array($leg, [LegKind::Code, LegKind::Tag, LegKind::Order], true),
                place: $before + $place + 1,
            );
        }

        return $steps;
    }

    /** Registries write tags in capitals (common practice); which of the names behind it is one nobody else says. */
    private function tag(Account $gaining): string
    {
        $tags = array_filter($gaining->registrar->behind, fn (string $one): bool => preg_match('/\A[A-Z0-9-]{2,16}\z/', $one) === 1);

        return array_values($tags)[0] ?? $this->words->say('common.not_recorded');
    }

    /** @return array<int, list<string>> the kinds of legs that are open, by name, in order */
    private function openLegs(Docket $docket): array
    {
        $open = [];
        foreach (
            Row::all($this->database->select(
                'SELECT m.name_id, g.kind FROM movements m JOIN legs g ON g.movement_id = m.id
                 WHERE m.docket_id = ? AND m.closed_on IS NULL AND g.done_on IS NULL ORDER BY g.position',
                [$docket->id],
            )) as $row
        ) {
            $open[$row->int('name_id')][] = $row->text('kind');
        }

        return $open;
    }
}
