<?php

declare(strict_types=1);

namespace App\Http\Deeds;

use App\Actions\Deeds\Costs;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\HasPage;
use App\Actions\Deeds\Illustrated;
use App\Actions\Deeds\LineCost;
use App\Actions\Names\GatherNames;
use App\Models\Name;
use App\Queries\Deeds\JudgeNames;
use App\Queries\Deeds\Verdicts;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;
use Illuminate\View\View;

/** The page of a deed that is made of its terms: what they make of each name, and the button that does it. */
final readonly class DeedController
{
    /** So many names are shown one by one before the rest is only counted. */
    private const ROWS = 300;

    /** So many are named before it is known what is to be done with them. */
    private const NAMED = 12;

    public function __construct(
        private Deeds $deeds,
        private GatherNames $gather,
        private JudgeNames $judge,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function show(string $deed, DeedRequest $request): View|RedirectResponse
    {
        $contract = $this->deed($deed);
        $ids = $request->names($this->gather);
        if ($ids === null || $ids === []) {
            return to_route('sheaf.show')->withErrors(['names' => __('sheaf.gather_first')]);
        }
        $terms = $contract->terms($request->all());
        $now = $this->clock->now();
        $verdicts = $terms === null
            ? null
            : new Verdicts($this->judge->handle($contract, $ids, $terms, $now), $request->without());
        $said = $terms === null ? [] : $contract->said($terms);

        return view('deeds.show', [
            'deed' => $deed,
            'contract' => $contract,
            'request' => $request,
            'terms' => $terms,
            'said' => $said,
            'count' => count($ids),
            'about' => Name::query()->whereIn('id', array_slice($ids, 0, self::NAMED))->orderBy('ascii')->pluck('unicode')->all(),
            'verdicts' => $verdicts,
            'rows' => $verdicts?->rows($request->query('rows') === 'all' ? PHP_INT_MAX : self::ROWS) ?? [],
            'address' => fn (array $change): string => route('deeds.show', [$deed, ...$request->which(), ...$said, ...$change]),
            'token' => old('token', (string) Str::uuid()),
            'shown' => StoreDeedRequest::shows(
                $verdicts?->clearIds() ?? [],
                $terms === null || $verdicts === null ? [] : self::costs($contract, $verdicts, $terms),
            ),
            'choices' => $contract->choices(),
            'picture' => $contract instanceof Illustrated && $terms !== null && $verdicts !== null
                    ? $contract->picture($verdicts->held(), $terms, $now)
                    : null,
            'words' => $this->words,
        ]);
    }

    public function store(string $deed, StoreDeedRequest $request, CarryDeed $carry): RedirectResponse
    {
        $contract = $this->deed($deed);
        $terms = $contract->terms($request->all());
        $back = route('deeds.show', [$deed, ...$request->which(), ...$terms === null ? [] : $contract->said($terms)]);
        if ($terms === null) {
            return redirect($back)->withErrors(['deed' => __('deeds.errors.no_terms')]);
        }
        try {
            return to_route('dockets.show', $carry->handle($request, $request->shown(), $deed, $terms, $request->shownCosts()));
        } catch (DeedError $e) {
            return redirect($back)->withErrors(['deed' => $e->getMessage()]);
        }
    }

    /**
     * What the page says that each name costs.
     *
     * @param  array<string, mixed>  $terms
     * @return array<int, string> by name
     */
    private static function costs(HasPage $deed, Verdicts $verdicts, array $terms): array
    {
        $costs = [];
        if (! $deed instanceof Costs) {
            return [];
        }
        foreach ($verdicts->clear as $one) {
            $costs[$one->file->nameId] = $one->file instanceof HeldCase ? LineCost::text($deed->costs($one->file, $terms)) : '';
        }

        return $costs;
    }

    private function deed(string $key): HasPage
    {
        $deed = $this->deeds->find($key);

        return $deed instanceof HasPage ? $deed : abort(404);
    }
}
