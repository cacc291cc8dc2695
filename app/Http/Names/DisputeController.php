<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Actions\Names\KeepDispute;
use App\Models\Name;
use App\View\Words;
use Illuminate\Http\RedirectResponse;

/** What is disputed about a name. */
final readonly class DisputeController
{
    public function __construct(private KeepDispute $keep, private Words $words)
    {
    }

    public function store(Name $name, DisputeRequest $request): RedirectResponse
    {
        $this->keep->handle($request->person(), $name, $request->kind(), $request->since(), $request->remarks());

        return $this->back($name);
    }

    public function destroy(Name $name, DisputeRequest $request): RedirectResponse
    {
        $this->keep->end($request->person(), $name, $request->kind());

        return $this->back($name);
    }

    private function back(Name $name): RedirectResponse
    {
        return to_route('names.show', $name)->withFragment('behind')->with('told', $this->words->say('contacts.custody.written'));
    }
}
