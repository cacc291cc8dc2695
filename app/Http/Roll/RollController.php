<?php

declare(strict_types=1);

namespace App\Http\Roll;

use Acre\Core\Drawing\Axis;
use Acre\Core\Rulebook\Rulebook;
use App\Models\Client;
use App\Models\Registrar;
use App\Queries\Roll\ReadRoll;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\RollRow;
use App\View\Words;
use Illuminate\View\View;

/** The Roll: every name that is held, what is due first. */
final readonly class RollController
{
    /** As many words as a list in the sentence shows; the search finds the others. */
    private const LISTED = 200;

    public function __construct(private ReadRoll $roll, private TradeClock $clock, private Rulebook $book, private Words $words)
    {
    }

    public function __invoke(RollRequest $request): View
    {
        $filter = $request->filter();
        $today = $this->clock->today();
        $page = $this->roll->page($filter, $today, config()->integer('house.roll_page'));
        $axis = Axis::ofTheRoll($today);

        return view('roll.index', [
            'filter' => $filter,
            'page' => $page,
            'axis' => $axis,
            'today' => $today,
            'rows' => array_map(fn (Row $row): RollRow => RollRow::of($row, $axis, $this->book, $this->clock->now(), $this->words), $page->rows),
            'clients' => Client::query()->orderBy('name')->limit(self::LISTED)->get(['id', 'name']),
            'registrars' => Registrar::query()->with(['accounts' => fn ($accounts) => $accounts->orderBy('number')->limit(self::LISTED)])->orderBy('name')->limit(self::LISTED)->get(['id', 'name']),
        ]);
    }
}
