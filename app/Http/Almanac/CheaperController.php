<?php

declare(strict_types=1);

namespace App\Http\Almanac;

use App\Actions\Names\GatherNames;
use App\Models\Account;
use App\Queries\Almanac\ReadCheaper;
use App\Queries\Money\ExchangeRates;
use App\Support\HouseLog;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Where names would be cheaper, and by how much; from there to a plan is one press. */
final readonly class CheaperController
{
    private const YEARS = [1, 2, 3, 5, 10];

    public function __construct(private ReadCheaper $read, private TradeClock $clock)
    {
    }

    public function show(AlmanacRequest $request, ExchangeRates $rates, HouseSettings $house): View
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
            'rates' => $rates->all(),
            'currency' => $house->currency(),
        ]);
    }

    /** What was written before stays: each comparison says of which day its rate is. */
    public function rate(ExchangeRequest $request, Connection $database, HouseLog $log): RedirectResponse
    {
        $rate = [];
        foreach (['currency', 'to_currency', 'rate', 'on_day'] as $key) {
            $rate[$key] = $request->word($key);
        }
        $database->transaction(function () use ($database, $log, $rate, $request): void {
            $database->table('exchange_rates')->insert($rate + ['entered_by' => $request->person()->id]);
            $log->write('exchange_rate', 'house', null, $rate, $request->person()->id);
        });

        return redirect(route('almanac.cheaper', ['of' => $request->word('of') === '' ? 'all' : $request->word('of')]).'#rates')
            ->with('told', __('almanac.cheaper.rate_kept'));
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
