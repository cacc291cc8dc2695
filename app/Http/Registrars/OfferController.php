<?php

declare(strict_types=1);

namespace App\Http\Registrars;

use App\Actions\Registrars\KeepOffer;
use App\Http\SignedInRequest;
use App\Models\Offer;
use App\Models\Registrar;
use Illuminate\Http\RedirectResponse;

/** What a registrar offers for a while. */
final readonly class OfferController
{
    public function __construct(private KeepOffer $keep)
    {
    }

    public function store(Registrar $registrar, OfferRequest $request): RedirectResponse
    {
        $this->keep->enter($request->person(), $registrar, $request->offer());

        return redirect(route('registrars.show', $registrar).'#offers')->with('told', __('registrars.offers.kept'));
    }

    public function withdraw(Registrar $registrar, Offer $offer, SignedInRequest $request): RedirectResponse
    {
        abort_if($offer->registrar_id !== $registrar->id, 404);
        $this->keep->withdraw($request->person(), $offer);

        return redirect(route('registrars.show', $registrar).'#offers')->with('told', __('registrars.offers.is_withdrawn'));
    }
}
