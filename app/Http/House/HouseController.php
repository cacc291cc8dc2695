<?php

declare(strict_types=1);

namespace App\Http\House;

use App\Models\Client;
use App\Models\Pattern;
use App\Support\DateStyle;
use App\Support\HouseLog;
use App\Support\HouseSettings;
use App\Support\Served;
use App\Support\TradeClock;
use BackedEnum;
use DateTimeZone;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** What the house sets for itself. */
final readonly class HouseController
{
    public function __construct(
        private HouseSettings $house,
        private HouseLog $log,
        private Connection $database,
        private TradeClock $clock,
    ) {
    }

    public function edit(): View
    {
        return view('house.form', [
            'house' => $this->house,
            'itself' => Client::query()->where('is_house', true)->first(),
            'served' => self::choices(Served::cases(), fn (Served $one): string => $one->many()),
            'dates' => self::choices(
                DateStyle::cases(),
                fn (DateStyle $one): string => gmdate($one->format(), $this->clock->today()->epoch),
            ),
            'patterns' => ['' => 'none set'] + Pattern::query()->orderBy('name')->limit(500)->pluck('name', 'id')->all(),
            'zones' => array_combine(DateTimeZone::listIdentifiers(), DateTimeZone::listIdentifiers()),
        ]);
    }

    public function update(HouseRequest $request): RedirectResponse
    {
        $settings = $request->settings();
        $this->database->transaction(function () use ($settings, $request): void {
            $before = $this->house->stand();
            $this->house->set($settings);
            $this->log->write(
                'house_set',
                'house',
                null,
                ['before' => json_encode($before, JSON_THROW_ON_ERROR), 'after' => json_encode($settings, JSON_THROW_ON_ERROR)],
                $request->person()->id,
            );
        });

        return to_route('house')->with('told', __('forms.saved', ['what' => __('settings.title')]));
    }

    /**
     * @template T of BackedEnum
     *
     * @param  list<T>  $cases
     * @param  callable(T): string  $say
     * @return array<string, string>
     */
    private static function choices(array $cases, callable $say): array
    {
        $choices = [];
        foreach ($cases as $case) {
            $choices[(string) $case->value] = $say($case);
        }

        return $choices;
    }
}
