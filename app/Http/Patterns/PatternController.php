<?php

declare(strict_types=1);

namespace App\Http\Patterns;

use App\Actions\SaveRow;
use App\Models\Pattern;
use App\Support\HouseSettings;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Patterns of disclosure: choices of fields by names of the house's own. */
final readonly class PatternController
{
    public function __construct(private Connection $database, private SaveRow $save)
    {
    }

    public function index(HouseSettings $house): View
    {
        return view('patterns.index', [
            'patterns' => Pattern::query()->orderBy('name')->limit(500)->get(),
            'house' => $house->pattern(),
            'follow' => $this->database
                ->table('registrations')
                ->whereNotNull('pattern_id')
                ->whereRaw('upper_inf(span)')
                ->groupBy('pattern_id')
                ->selectRaw('pattern_id, count(*) AS names')
                ->pluck('names', 'pattern_id')
                ->all(),
        ]);
    }

    public function create(): View
    {
        return view('patterns.form', ['pattern' => new Pattern()]);
    }

    public function store(PatternRequest $request): RedirectResponse
    {
        $pattern = $this->save->handle($request->person(), new Pattern(), $request->columns(), null);

        return to_route('patterns.index')->with('told', __('forms.saved', ['what' => $pattern->name]));
    }

    public function edit(Pattern $pattern): View
    {
        return view('patterns.form', ['pattern' => $pattern]);
    }

    /** What names show follows at the next deed: nothing outside changes with the pattern. */
    public function update(Pattern $pattern, PatternRequest $request): RedirectResponse
    {
        $this->save->handle($request->person(), $pattern, $request->columns(), $request->integer('version'));

        return to_route('patterns.index')->with('told', __('forms.saved', ['what' => $request->word('name')]));
    }
}
