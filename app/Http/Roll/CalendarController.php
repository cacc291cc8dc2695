<?php

declare(strict_types=1);

namespace App\Http\Roll;

use App\Http\SignedInRequest;
use App\Models\CalendarAddress;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** The private addresses that one's own calendar programs read. */
final readonly class CalendarController
{
    public function index(SignedInRequest $request): View
    {
        return view('roll.calendars', [
            'calendars' => CalendarAddress::query()->where('user_id', $request->person()->id)->orderByDesc('id')->get(),
        ]);
    }

    public function destroy(CalendarAddress $calendar): RedirectResponse
    {
        $calendar->delete();

        return to_route('calendars')->with('told', __('roll.calendars.revoked'));
    }
}
