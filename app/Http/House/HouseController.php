<?php

declare(strict_types=1);

namespace App\Http\House;

use App\Support\HouseLog;
use App\Support\HouseSettings;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** What the house sets for itself. */
final readonly class HouseController
{
    public function __construct(private HouseSettings $house, private HouseLog $log, private Connection $database)
    {
    }

    public function edit(): View
    {
        return view('house.form', ['house' => $this->house]);
    }

    public function update(HouseRequest $request): RedirectResponse
    {
        $settings = $request->settings();
        $this->database->transaction(function () use ($settings, $request): void {
            $before = ['currency' => $this->house->currency(), 'letterhead' => implode("\n", $this->house->letterhead()), 'four_eyes' => $this->house->fourEyes()];
            $this->house->set($settings);
            $this->log->write('house_set', 'house', null, ['before' => json_encode($before, JSON_THROW_ON_ERROR), 'after' => json_encode($settings, JSON_THROW_ON_ERROR)], $request->person()->id);
        });

        return to_route('house')->with('told', __('forms.saved', ['what' => 'What the house sets']));
    }
}
