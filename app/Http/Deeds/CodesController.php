<?php

declare(strict_types=1);

namespace App\Http\Deeds;

use App\Actions\Transfer\GiveCodes;
use App\View\Words;
use Illuminate\Http\RedirectResponse;

/** Auth codes from a pasted list, kept encrypted; what was typed is shown on no page again. */
final readonly class CodesController
{
    /** Refused lines that are told one by one. */
    private const TOLD = 50;

    public function __construct(private GiveCodes $give, private Words $words)
    {
    }

    public function store(CodesRequest $request): RedirectResponse
    {
        [$kept, $refused] = $this->give->handle($request->person(), $request->word('codes'));

        return back()
            ->with('told', $this->words->count('deeds.codes.kept', $kept))
            ->with('refused_codes', array_map(
                fn (array $one): string => $this->words->say("deeds.codes.refused.{$one[1]}", ['line' => (string) $one[0]]),
                array_slice($refused, 0, self::TOLD),
            ));
    }
}
