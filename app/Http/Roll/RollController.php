<?php

declare(strict_types=1);

namespace App\Http\Roll;

use Acre\Core\Drawing\Axis;
use Acre\Core\Rulebook\Rulebook;
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
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** The Roll: every name that is held, what is due first. */
final readonly class RollController
{
    /** As many words as a list in the sentence shows, the chosen one first; the search finds the others. */
    private const LISTED = 60;

    public function __construct(
        private ReadRoll $roll,
        private TradeClock $clock,
        private Rulebook $book,
        private Words $words,
        private Connection $database,
    ) {
    }

    public function __invoke(RollRequest $request): View|RedirectResponse
    {
        $filter = $request->filter();
        $today = $this->clock->today();
        $now = $this->clock->now();
        $views = $this->views($request->person());
        $view = $views->find($request->word('view'));
        $looks = $view instanceof SavedView ? Looks::read($view->sentence['looks']) : Looks::of($request->person());
        $page = $this->roll->page($filter, $today, config()->integer('house.roll_page'));
        $merged =
            $page->count === 0 && $filter->client !== null
                ? $this->database->table('clients')->where('id', $filter->client)->value('merged_into')
                : null;
        if (is_int($merged)) {
            // An address from before two clients became one.
            return redirect($filter->address(['client' => $merged]));
        }
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
            'rows' => array_map(
                fn (Row $row): RollRow => RollRow::of($row, $axis, $this->book, $now, $this->words, $looks->written(), $labels),
                $page->rows,
            ),
            'clients' => $this->listed('clients', ['id', 'name'], $filter->client),
            'registrars' => $this->listed('registrars', ['id', 'name'], $filter->registrar),
            'accounts' => $this->listed('accounts', ['id', 'number', 'registrar_id'], $filter->account),
            'listed' => self::LISTED,
            'words' => $this->words,
        ]);
    }

    /** @return Collection<int, SavedView> one's own and those that others share */
    private function views(User $user): Collection
    {
        return SavedView::query()
            ->where('user_id', $user->id)
            ->orWhere('shared', true)
            ->with('user')
            ->orderByRaw('lower(name)')
            ->limit(self::LISTED)
            ->get();
    }

    /**
     * What a list in the sentence offers, the chosen one first; a row's second column is what it is called.
     *
     * @param  list<string>  $columns
     * @return list<Row>
     */
    private function listed(string $table, array $columns, ?int $chosen): array
    {
        $first = $chosen === null ? [] : Row::all($this->database->table($table)->where('id', $chosen)->get($columns));
        $others = $this->database
            ->table($table)
            ->where('id', '<>', $chosen ?? 0)
            ->when($table === 'clients', fn (Builder $clients) => $clients->whereNull('merged_into'))
            ->orderByRaw("lower({$columns[1]})")
            ->limit(self::LISTED - count($first))
            ->get($columns);

        return [...$first, ...Row::all($others)];
    }
}
