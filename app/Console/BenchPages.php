<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Contacts\FindRings;
use App\Http\Roll\RollController;
use App\Http\Roll\RollRequest;
use App\Models\User;
use App\Queries\Almanac\Asked;
use App\Queries\Almanac\ReadAlmanac;
use App\Queries\Almanac\Scope;
use App\Queries\Contacts\Alike;
use App\Queries\Contacts\ContactFilter;
use App\Queries\Contacts\ReadContacts;
use App\Queries\Find\FindAnything;
use App\Queries\Roll\Ending;
use App\Queries\Roll\ReadRoll;
use App\Queries\Roll\RollFilter;
use App\Queries\Roll\Sort;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Verification\ReadBoard;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Console\Command;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ViewErrorBag;

/**
 * Measures pages of one Roll, as it is asked to: says what it can measure, a JSON list in a line; then, for each of their
 * names that it reads, the milliseconds that it took. `acre:bench` has one for each size and asks them in turns, so that
 * a machine that slows down meanwhile slows all of them.
 */
final class BenchPages extends Command
{
    protected $signature = 'acre:bench-pages';

    protected $description = 'Measure pages of the Roll, for acre:bench';

    protected $hidden = true;

    public function handle(
        ReadRoll $roll,
        TradeClock $clock,
        FindAnything $find,
        ReadRounds $rounds,
        ReadBoard $board,
        ReadContacts $contacts,
        Alike $alike,
        FindRings $rings,
        ReadAlmanac $almanac,
    ): int {
        $measures = array_map($this->serving(...), $this->sentences());
        $measures['far down, what is due first'] = $this->serving(new RollFilter(after: $this->farDown()));
        $measures['of that, asking the database'] = fn () => $roll->page(new RollFilter(), $clock->today(), 50);
        $measures['Rounds, reading all of it'] = fn () => $rounds->handle($clock->today(), null);
        foreach (
            ['a part of a name' => 'wren-choi', 'misspelt' => 'wikerby '
                .'bels', 'two letters' => 'ma', 'nothing like it' => 'qzxv jjq'] as $says => $text
        ) {
            $measures["/ for {$says}"] = fn () => $find->matching($text);
        }
        $measures['the board of verification'] = fn () => $board->due();
        $measures['contacts, first page'] = fn () => $contacts->page(new ContactFilter());
        $measures['contacts at risk'] = fn () => $contacts->page(ContactFilter::of(['risk' => 'mailbox_inside']));
        $measures['what is at risk, counted'] = fn () => $contacts->atRisk();
        $measures['nearly the same'] = fn () => $alike->groups();
        $measures['rings, over the whole Roll'] = fn () => $rings->handle();
        $account = Row::of(DB::table('standings')->orderBy('name_id')->first())->int('account_id');
        foreach (['one account' => Scope::account($account), 'everything' => Scope::all()] as $says => $scope) {
            $measures["the Almanac, {$says}"] = fn () => $almanac->handle(new Asked($scope, false, true, 12, $clock->now()));
        }
        $this->line(json_encode(array_keys($measures), JSON_THROW_ON_ERROR));
        while (($asked = fgets(STDIN)) !== false) {
            $start = hrtime(true);
            $measures[trim($asked)]();
            $this->line(json_encode([(hrtime(true) - $start) / 1e6], JSON_THROW_ON_ERROR));
        }

        return self::SUCCESS;
    }

    /** @return array<string, RollFilter> */
    private function sentences(): array
    {
        $first = Row::of(DB::table('standings')->orderBy('name_id')->first());
        $sentences = [];
        foreach (Sort::cases() as $sort) {
            $sentences["by {$sort->value}"] = new RollFilter(sort: $sort);
            $sentences["by {$sort->value}, one client"] = new RollFilter(client: $first->int('client_id'), sort: $sort);
        }

        return [
            ...$sentences,
            'one account' => new RollFilter(account: $first->int('account_id')),
            'ending within 30 days' => new RollFilter(ending: Ending::Month),
            'under one suffix' => new RollFilter(facets: ['suffix' => 'org']),
            'the lock off, by name' => new RollFilter(sort: Sort::Name, facets: ['lock' => 'off']),
            'in grace' => new RollFilter(facets: ['phase' => 'grace']),
            'a text that few have' => new RollFilter(text: 'wren-choir'),
            'a text that nobody has' => new RollFilter(text: 'nobody-has-this'),
        ];
    }

    private function farDown(): string
    {
        $row = Row::of(
            DB::table('standings')
                ->where('later', true)
                ->orderByDesc('next_at')
                ->where('next_at', '<', 'infinity')
                ->orderByDesc('name_id')
                ->offset(400)
                ->first(),
        );

        return '1~'.$row->text('next_at').'~'.$row->int('name_id');
    }

    /** A page from its address to its last byte, without the web server and the framework's own start. */
    private function serving(RollFilter $filter): callable
    {
        $user = User::query()->firstOrFail();
        Auth::setUser($user);
        View::share('errors', new ViewErrorBag());
        $request = RollRequest::create($filter->address($filter->after === null ? [] : ['after' => $filter->after]));
        $request->setUserResolver(fn (): User => $user);

        return function () use ($request): string {
            $page = app(RollController::class)($request);

            return $page instanceof RedirectResponse ? '' : $page->render();
        };
    }
}
