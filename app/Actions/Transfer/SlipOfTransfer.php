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
        $tags = array_filter($gaining->registrar->behind, fn (string $one): bool => preg_match('/\A[A-Z][A-Z0-9-]{1,15}\z/', $one) === 1);

        return new Slip(
            $gaining,
            $this->lots($docket, array_values($tags)[0] ?? null, ! $this->orders->takesCommands($gaining->id), false),
            showsBoth: false,
        );
    }

    public function away(Docket $docket, AwayTerms $terms): Slip
    {
        return new Slip(null, $this->lots($docket, $terms->tag, false, true));
    }

    /**
     * @param  bool  $isAway  whether names leave us: what is ticked then is that they have gone
     * @return list<SlipLot>
     */
    private function lots(Docket $docket, ?string $tag, bool $byHandThere, bool $isAway): array
    {
        $open = $this->openLegs($docket);
        $lines = DocketLine::query()
            ->where('docket_id', $docket->id)
            ->where('state', LineState::Begun)
            ->with(['name', 'givingAccount.registrar'])
            ->orderBy('lot')
            ->orderBy('position')
            ->get();
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
                $this->steps($giving, $tag),
                $this->steps($receiving, $tag, count($giving)),
                ends: $isAway || $receiving !== [] || in_array(LegKind::Tag->value, $giving, true),
            );
        }

        return $lots;
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
    private function steps(array $kinds, ?string $tag, int $before = 0): array
    {
        $steps = [];
        foreach ($kinds as $place => $kind) {
            $leg = LegKind::from($kind);
            $steps[] = new SlipStep(
                $kind,
                $leg === LegKind::Tag
                    ? [$this->words->say('dockets.show.tag') => $tag ?? $this->words->say('common.not_recorded')]
                    : [],
                in_array($leg, [LegKind::Code, LegKind::Tag, LegKind::Order, LegKind::Answer], true),
                place: $before + $place + 1,
            );
        }

        return $steps;
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
