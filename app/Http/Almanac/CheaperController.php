<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use App\Actions\Names\GatherNames;
use App\Models\Account;
use App\Queries\Almanac\ReadCheaper;
use App\Support\TradeClock;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Where names would be cheaper, and by how much; from there to a plan is one press. */
final readonly class CheaperController
{
    private const YEARS = [1, 2, 3, 5, 10];

    public function __construct(private ReadCheaper $read, private TradeClock $clock)
    {
    }

    public function show(AlmanacRequest $request): View
    {
        $scope = $request->asked()->scope;
        $years = self::years($request);

        return view('almanac.cheaper', [
            'scope' => $scope,
            'about' => AboutScope::of($scope),
            'years' => $years,
            'choices' => self::YEARS,
            'found' => $this->read->handle($scope, $years, $this->clock->now()),
            'today' => $this->clock->today(),
        ]);
    }

    public function plan(AlmanacRequest $request, Account $account, GatherNames $gather): RedirectResponse
    {
        $scope = $request->asked()->scope;
        $years = self::years($request);
        $names = $this->read->names($scope, $account, $years, $this->clock->now());
        $back = ['of' => $scope->text(), 'years' => $years];

        return $names === []
            ? to_route('almanac.cheaper', $back)->withErrors(['names' => __('almanac.cheaper.none_now')])
            : to_route('plans.create', ['of' => $gather->list($request->person(), $names), 'account' => $account->id]);
    }

    private static function years(AlmanacRequest $request): int
    {
        return in_array((int) $request->word('years'), self::YEARS, true) ? (int) $request->word('years') : 3;
    }
}
