<?php

declare(strict_types=1);

namespace App\Http\Plans;

use Acre\Core\Time\Instant;
use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\Deeds;
use App\Actions\Names\GatherNames;
use App\Actions\Plans\CompareRegistrars;
use App\Actions\Plans\MakePlan;
use App\Actions\Plans\MovePlanned;
use App\Actions\Plans\PlanTerms;
use App\Actions\Plans\SavePlan;
use App\Actions\Plans\StartLot;
use App\Actions\Plans\WatchPlans;
use App\Actions\Transfer\TransferNames;
use App\Http\SignedInRequest;
use App\Models\Migration;
use App\Models\Name;
use App\Queries\Plans\ReadPlan;
use App\Support\TradeClock;
use App\View\PlanDrawing;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;
use Illuminate\View\View;

/** Migrations: planned, looked at, and let go day by day. */
final readonly class PlanController
{
    /** Names that are drawn one by one, and that a table shows. */
    private const DRAWN = 10;

    private const SHOWN = 300;

    public function __construct(
        private ReadPlan $plans,
        private Deeds $deeds,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function index(): View
    {
        $plans = Migration::query()->with(['account.registrar', 'maker'])->orderByDesc('id')->cursorPaginate(50);

        return view('plans.index', [
            'plans' => $plans,
            'progress' => array_column(
                array_map(fn (Migration $one): array => [$one->id, $this->plans->progress($one->id)], $plans->items()),
                1,
                0,
            ),
            'words' => $this->words,
        ]);
    }

    /** What would be planned; nothing is recorded. */
    public function create(PlanRequest $request, GatherNames $gather, MakePlan $make, CompareRegistrars $compare): View|RedirectResponse
    {
        $ids = $request->names($gather);
        if ($ids === null || $ids === []) {
            return to_route('sheaf.show')->withErrors(['names' => __('sheaf.gather_first')]);
        }
        $terms = PlanTerms::chosen($request->query(), $this->clock->today());
        $made = $terms === null ? null : $make->of($ids, $terms);
        $names = array_values($made->names ?? []);

        return view('plans.create', [
            'request' => $request,
            'count' => count($ids),
            'terms' => $terms,
            'choices' => $this->accounts(),
            'made' => $made,
            'compared' => $made === null ? $compare->handle($ids, $request->query()) : [],
            'names' => $names,
            'drawing' => $made === null ? null : PlanDrawing::of(
                array_map(count(...), $made->plan->byDay()),
                $request->query('rows') === 'all' ? array_slice($names, 0, self::SHOWN) : array_slice($names, 0, self::DRAWN),
                $this->clock->now(),
            ),
            'token' => (string) Str::uuid(),
            'today' => $this->clock->today(),
            'words' => $this->words,
        ]);
    }

    public function store(PlanRequest $request, GatherNames $gather, SavePlan $save): RedirectResponse
    {
        $ids = $request->names($gather) ?? [];
        $terms = PlanTerms::chosen($request->all(), $this->clock->today());
        $token = $request->word('token');
        if ($terms === null || $ids === [] || ! Str::isUuid($token)) {
            return to_route('plans.create', $request->which())->withErrors(['plan' => __('plans.errors.incomplete')]);
        }

        return to_route('plans.show', $save->handle($request->person(), $token, $ids, $terms));
    }

    public function show(Migration $plan): View
    {
        $progress = $this->plans->progress($plan->id);
        [$spent, $toSpend] = $this->plans->money($plan->id);
        $byDay = $this->plans->byDay($plan->id);

        return view('plans.show', [
            'plan' => $plan->load(['account.registrar', 'maker']),
            'terms' => PlanTerms::unpack($plan->terms),
            'progress' => $progress,
            'spent' => $spent,
            'toSpend' => $toSpend,
            'rows' => $this->plans->rows($plan->id, self::SHOWN),
            'today' => $this->clock->today(),
            'drawing' => PlanDrawing::of($byDay, [], $this->clock->now()),
            'words' => $this->words,
        ]);
    }

    /** A Steward says yes to those whose day has come. */
    public function start(SignedInRequest $request, Migration $plan, StartLot $start): RedirectResponse
    {
        try {
            return to_route('dockets.show', $start->handle($request->person(), $plan));
        } catch (DeedError $e) {
            return to_route('plans.show', $plan)->withErrors(['plan' => $e->getMessage()]);
        }
    }

    public function goOn(SignedInRequest $request, Migration $plan, WatchPlans $watch): RedirectResponse
    {
        $watch->goOn($request->person(), $plan);

        return to_route('plans.show', $plan);
    }

    public function callOff(SignedInRequest $request, Migration $plan, WatchPlans $watch): RedirectResponse
    {
        $watch->callOff($request->person(), $plan);

        return to_route('plans.show', $plan);
    }

    /** Those that have not gone, planned anew from what is known today. */
    public function anew(SignedInRequest $request, Migration $plan, SavePlan $save): RedirectResponse
    {
        $save->anew($request->person(), $plan);

        return to_route('plans.show', $plan)->with('told', __('plans.planned_anew'));
    }

    /** One name on another day, by hand; what that means is judged at once. */
    public function move(SignedInRequest $request, Migration $plan, Name $name, MovePlanned $move): RedirectResponse
    {
        $day = preg_match('/\A\d{4}-\d\d-\d\d\z/', $request->word('day')) === 1 ? Instant::of($request->word('day')) : null;
        try {
            $move->handle($request->person(), $plan, $name->id, $day);
        } catch (DeedError $e) {
            return to_route('plans.show', $plan)->withErrors(['plan' => $e->getMessage()]);
        }

        return to_route('plans.show', $plan);
    }

    /** @return array<int|string, string> */
    private function accounts(): array
    {
        $deed = $this->deeds->named(TransferNames::key());

        return $deed instanceof TransferNames ? $deed->choices() : [];
    }
}
