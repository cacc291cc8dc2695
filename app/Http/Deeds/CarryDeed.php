<?php

declare(strict_types=1);

namespace App\Http\Deeds;

use App\Actions\Deeds\DeedError;
use App\Actions\Deeds\PrepareDocket;
use App\Actions\Deeds\SettleDocket;
use App\Actions\Names\GatherNames;
use App\Models\Docket;
use App\Models\Name;
use App\Models\Right;
use Illuminate\Support\Facades\Gate;

/** What the button of every deed's page does: prepare, settle where that was pressed, and empty the sheaf of what went. */
final readonly class CarryDeed
{
    public function __construct(private GatherNames $gather, private PrepareDocket $prepare, private SettleDocket $settle)
    {
    }

    /**
     * @param  list<int>  $shown  the names that the page said could go
     * @param  array<string, mixed>  $terms
     * @param  array<int, string>|null  $shownCosts  what it said that they cost; null: nothing
     *
     * @throws DeedError when nothing can go, or more would than was shown
     */
    public function handle(DeedRequest $request, array $shown, string $deed, array $terms, ?array $shownCosts = null): Docket
    {
        $ids = $request->names($this->gather) ?? [];
        Name::query()->whereIn('id', $ids)->get()->each(fn (Name $name) => Gate::authorize('change', $name));
        $settles = $request->string('act')->toString() === 'settle';
        if ($settles) {
            Gate::authorize(Right::Settle->value);
        }
        $docket = $this->prepare->handle(
            $request->person(),
            $request->string('token')->toString(),
            $deed,
            $request->without() === [] ? $ids : array_values(array_intersect($ids, $shown)),
            $terms,
            $shown,
            $shownCosts,
        );
        if ($settles && Gate::allows('settle', $docket)) {
            $this->settle->handle($request->person(), $docket);
        }
        if ($request->word('of') === 'sheaf') {
            $this->gather->remove($request->person(), $shown);
        }

        return $docket;
    }
}
