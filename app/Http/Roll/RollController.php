<?php

declare(strict_types=1);

namespace App\Http\Roll;

use Acre\Core\Drawing\Axis;
use Acre\Core\Rulebook\Rulebook;
use App\Models\Client;
use App\Models\Registrar;
use App\Models\SavedView;
use App\Models\User;
use App\Models\Word;
use App\Queries\Roll\ReadRoll;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\FacetWord;
use App\View\Looks;
use App\View\RollRow;
use App\View\Words;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\View\View;

/** The Roll: every name that is held, what is due first. */
final readonly class RollController
{
    /** As many words as a list in the sentence shows, the chosen one first; the search finds the others. */
    private const LISTED = 200;

    public function __construct(private ReadRoll $roll, private TradeClock $clock, private Rulebook $book, private Words $words)
    {
    }

    public function __invoke(RollRequest $request): View
    {
        $filter = $request->filter();
        $today = $this->clock->today();
        $now = $this->clock->now();
        $views = $this->views($request->person());
        $view = $views->find($request->word('view'));
        $looks = $view instanceof SavedView ? Looks::read($view->sentence['looks']) : Looks::of($request->person());
        $page = $this->roll->page($filter, $today, config()->integer('house.roll_page'));
        $axis = Axis::ofTheRoll($today);
        $labels = Word::labels();

        return view('roll.index', [
            'filter' => $filter,
            'page' => $page,
            'axis' => $axis,
            'today' => $today,
            'looks' => $looks,
            'labels' => $labels,
            'views' => $views,
            'view' => $view,
            'facets' => FacetWord::of($filter, $labels, $this->words),
            'rows' => array_map(fn (Row $row): RollRow => RollRow::of($row, $axis, $this->book, $now, $this->words, $looks->written(), $labels), $page->rows),
            'clients' => Client::query()->orderByRaw('id = ? DESC', [$filter->client ?? 0])->orderBy('name')->limit(self::LISTED)->get(['id', 'name']),
            'registrars' => Registrar::query()->with(['accounts' => fn ($accounts) => $accounts->orderByRaw('accounts.id = ? DESC', [$filter->account ?? 0])->orderBy('number')->limit(self::LISTED)])->orderBy('name')->limit(self::LISTED)->get(['id', 'name']),
        ]);
    }

    /** @return Collection<int, SavedView> one's own and those that others share */
    private function views(User $user): Collection
    {
        return SavedView::query()->where('user_id', $user->id)->orWhere('shared', true)->with('user')->orderByRaw('lower(name)')->limit(self::LISTED)->get();
    }
}
