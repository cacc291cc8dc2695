<?php

declare(strict_types=1);

namespace App\Http\Rounds;

use App\Actions\Rounds\MarkItem;
use App\Http\SignedInRequest;
use App\Models\Holding;
use App\Models\User;
use App\Queries\Rounds\DealtWith;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\Rounds;
use App\Queries\Rounds\SumsDue;
use App\Support\Dates;
use App\Support\TradeClock;
use App\View\RoundsInWords;
use App\View\WeeksDrawing;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** The first page: what is due, dearest to miss first. */
final readonly class RoundsController
{
    /** Things of one section that are listed at first. */
    private const SECTION = 20;

    public function __construct(
        private ReadRounds $rounds,
        private DealtWith $dealt,
        private SumsDue $sums,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function show(SignedInRequest $request): View
    {
        $mine = $request->query('whose') === 'mine' ? $request->person() : null;
        $rounds = $this->rounds->handle($this->clock->today(), $mine);

        return view('rounds.show', [
            'rounds' => $rounds,
            'holds' => $rounds->items !== [] || Holding::query()->exists(),
            'all' => $request->boolean('all'),
            'most' => self::SECTION,
            'mine' => $mine !== null,
            'told' => new RoundsInWords($rounds, $this->words),
            'sums' => $this->sums->until($rounds->today->plusDays(Rounds::AHEAD)),
            'drawing' => WeeksDrawing::of($rounds->today, $rounds->items),
            'people' => User::query()
                ->where('may_sign_in', true)
                ->orderBy('name')
                ->get(['id', 'name']),
            'words' => $this->words,
        ]);
    }

    /** What people said is done or put off: who, when, why, and whether the facts agree. */
    public function dealtWith(SignedInRequest $request): View
    {
        return view('rounds.dealt', [
            'page' => $this->dealt->page($this->clock->today(), $request->word('after')),
            'today' => $this->clock->today(),
            'words' => $this->words,
        ]);
    }

    public function mark(MarkRequest $request, MarkItem $mark): RedirectResponse
    {
        $thing = $request->string('thing')->toString();
        $person = $request->person();
        $told = match ($request->string('how')->toString()) {
            'done' => $this->words->say('rounds.marked.done'),
            'off' => $this->words->say('rounds.marked.off', ['day' => Dates::full($request->until())]),
            'given' => $this->words->say('rounds.marked.given', ['who' => $request->givenTo()->name]),
            default => $this->words->say('rounds.marked.back'),
        };
        match ($request->string('how')->toString()) {
            'done' => $mark->done($person, $thing, $request->word('because')),
            'off' => $mark->putOff($person, $thing, $request->until(), $request->word('because')),
            'given' => $mark->give($person, $thing, $request->givenTo()),
            default => $mark->back($person, $thing),
        };

        return back()
            ->with('told', $told)
            ->with('undo', in_array($request->string('how')->toString(), ['done', 'off'], true) ? $thing : null);
    }
}
