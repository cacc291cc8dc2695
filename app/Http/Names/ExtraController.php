<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Actions\Names\KeepExtra;
use App\Models\Name;
use App\View\Words;
use Illuminate\Http\RedirectResponse;

/** What is bought with a name. */
final readonly class ExtraController
{
    public function __construct(private KeepExtra $keep, private Words $words)
    {
    }

    public function store(Name $name, ExtraRequest $request): RedirectResponse
    {
        $this->keep->handle($request->person(), $name, $request->kind(), $request->ends(), $request->boolean('extra_renews'));

        return $this->back($name);
    }

    public function destroy(Name $name, ExtraRequest $request): RedirectResponse
    {
        $this->keep->end($request->person(), $name, $request->kind());

        return $this->back($name);
    }

    private function back(Name $name): RedirectResponse
    {
        return to_route('names.show', $name)->withFragment('behind')->with('told', $this->words->say('contacts.custody.written'));
    }
}
