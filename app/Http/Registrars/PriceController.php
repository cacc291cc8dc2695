<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use App\Actions\Registrars\SetPrice;
use App\Models\Registrar;
use Illuminate\Http\RedirectResponse;

/** A new price ends the one before it on the day from which it holds; nothing that was paid once is rewritten. */
final readonly class PriceController
{
    public function store(Registrar $registrar, PriceRequest $request, SetPrice $set): RedirectResponse
    {
        $set->handle($request->person(), $registrar, $request->price(), $request->since());

        return to_route('registrars.show', [$registrar, '#prices'])->with('told', __('forms.saved', ['what' => 'Price']));
    }
}
