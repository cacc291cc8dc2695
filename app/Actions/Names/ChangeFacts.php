<?php

declare(strict_types=1);

namespace App\Actions\Names;

use App\Actions\Standings\MakeStandings;
use App\Models\Name;
use App\Models\Registration;
use App\Models\User;
use App\Support\ChangedMeanwhile;
use App\Support\Changes;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Writes down what a person knows of a name: each fact with where it came from, and the standing made again. */
final readonly class ChangeFacts
{
    public function __construct(private Connection $database, private MakeStandings $standings, private HouseLog $log, private TradeClock $clock)
    {
    }

    /**
     * @param  array<string, mixed>  $facts  columns of the registration
     * @param  int  $version  the one that the form was made from
     *
     * @throws ChangedMeanwhile when somebody else has saved since
     */
    public function handle(User $user, Name $name, array $facts, int $version): void
    {
        $this->database->transaction(function () use ($user, $name, $facts, $version): void {
            $registration = Registration::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->lockForUpdate()->firstOrFail();
            $before = $registration->getRawOriginal();
            $changed = Changes::save($registration, $facts, $version);
            if ($changed === []) {
                return;
            }
            $source = ['from' => 'typed', 'at' => $this->clock->today()->iso(), 'by' => $user->id];
            $registration->update(['sources' => [...$registration->sources, ...array_fill_keys(array_keys($changed), $source)]]);
            $this->standings->of([$name->id]);
            $this->log->write('facts_changed', 'name', $name->id, ['fields' => array_keys($changed), 'before' => json_encode(array_intersect_key($before, $changed), JSON_THROW_ON_ERROR), 'after' => json_encode($changed, JSON_THROW_ON_ERROR)], $user->id);
        });
    }
}
