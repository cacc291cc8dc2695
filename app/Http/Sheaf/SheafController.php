<?php

declare(strict_types=1);

namespace App\Http\Sheaf;

use App\Actions\Names\GatherNames;
use App\Actions\Names\ReadPastedNames;
use App\Http\Roll\RollRequest;
use App\Queries\Roll\ReadRoll;
use App\Queries\Roll\Sort;
use App\Support\Row;
use App\View\CurrentSheaf;
use App\View\RollInWords;
use App\View\Words;
use Illuminate\Database\Connection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Putting names into one's sheaf and taking them out. */
final readonly class SheafController
{
    /** As many as its page lists; the deeds' pages show them all. */
    private const SHOWN = 500;

    public function __construct(
        private GatherNames $gather,
        private CurrentSheaf $sheaf,
        private Connection $database,
        private RollInWords $sentence,
        private Words $words,
    ) {
    }

    public function show(SheafRequest $request): View
    {
        $sheaf = $this->sheaf->get();

        return view('sheaf.show', [
            'sheaf' => $sheaf,
            'sentences' => $this->gather->sentences($request->person()),
            'says' => $this->sentence,
            'rows' => Row::all(
                ReadRoll::inOrder(
                    $this->database->table('standings')->whereIn('name_id', array_slice($sheaf->ids, 0, self::SHOWN)),
                    Sort::Next->order(),
                )->get(),
            ),
            'words' => $this->words,
        ]);
    }

    /** A pasted list, with any separators. */
    public function paste(PasteRequest $request, ReadPastedNames $read): RedirectResponse
    {
        $pasted = $read->handle($request->word('names'));
        $left = $this->gather->add($request->person(), $pasted->known);
        $told = array_filter(
            [
                trans_choice('sheaf.pasted', count($pasted->known) - $left),
                $left > 0 ? $this->full($left) : null,
                $pasted->unknown === []
                    ? null
                    : trans_choice('sheaf.unknown', count($pasted->unknown), ['names' => $pasted->unknownShort()]),
            ],
            is_string(...),
        );

        return to_route('sheaf.show')
            ->with('told', implode(' ', $told))
            ->withInput(['names' => implode("\n", $pasted->unknown)]);
    }

    /** Everything that a sentence of the Roll shows. */
    public function all(RollRequest $request): RedirectResponse
    {
        $filter = $request->filter();
        $left = $this->gather->addAll($request->person(), $filter);

        return redirect($filter->address())->with('told', $left > 0 ? $this->full($left) : __('sheaf.all_in'));
    }

    /** Brings the sheaf in step with one of the sentences that its names came from. */
    public function follow(SheafRequest $request, int $sentence): RedirectResponse
    {
        $left = $this->gather->follow($request->person(), $sentence) ?? abort(404);

        return to_route('sheaf.show')->with('told', $left > 0 ? $this->full($left) : __('sheaf.in_step'));
    }

    public function store(SheafRequest $request): RedirectResponse|JsonResponse
    {
        $left = $this->gather->add($request->person(), $request->names());

        return $this->answer($request, $left > 0 ? $this->full($left) : null);
    }

    public function update(SheafRequest $request): RedirectResponse|JsonResponse
    {
        $this->gather->remove($request->person(), $request->names());

        return $this->answer($request, null);
    }

    public function destroy(SheafRequest $request): RedirectResponse
    {
        $this->gather->empty($request->person());

        return back();
    }

    private function full(int $left): string
    {
        return $this->words->count('sheaf.full', $left, ['limit' => number_format(config()->integer('house.selection_limit'))]);
    }

    private function answer(Request $request, ?string $told): RedirectResponse|JsonResponse
    {
        if (! $request->expectsJson()) {
            return $told === null ? back() : back()->with('told', $told);
        }
        $sheaf = $this->sheaf->get();

        return new JsonResponse(['count' => $sheaf->count(), 'told' => $told ?? $sheaf->told()]);
    }
}
