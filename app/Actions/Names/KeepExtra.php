<?php

declare(strict_types=1);

namespace App\Actions\Names;

use Acre\Core\Movement\ExtraKind;
use Acre\Core\Time\Instant;
use App\Actions\Standings\MakeStandings;
use App\Models\Extra;
use App\Models\Name;
use App\Models\Registration;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What is bought with a name is recorded, until when and whether it goes on by itself, or has ended. */
final readonly class KeepExtra
{
    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /** One of a kind at a time: what was recorded of it before is corrected. */
    public function handle(User $user, Name $name, ExtraKind $kind, ?Instant $ends, bool $renews): void
    {
        $this->database->transaction(function () use ($user, $name, $kind, $ends, $renews): void {
            $registration = $this->registration($name);
            Extra::query()->updateOrCreate(
                ['registration_id' => $registration->id, 'kind' => $kind, 'ended_on' => null],
                ['ends_on' => $ends, 'renews' => $renews],
            );
            $this->written($user, $name, 'extra_kept', $kind);
        });
    }

    public function end(User $user, Name $name, ExtraKind $kind): void
    {
        $this->database->transaction(function () use ($user, $name, $kind): void {
            $ended = Extra::query()
                ->where('registration_id', $this->registration($name)->id)
                ->where('kind', $kind)
                ->whereNull('ended_on')
                ->update(['ended_on' => $this->clock->now()->isoSecond()]);
            if ($ended > 0) {
                $this->written($user, $name, 'extra_ended', $kind);
            }
        });
    }

    private function registration(Name $name): Registration
    {
        Name::query()->whereKey($name->id)->lockForUpdate()->firstOrFail();

        return Registration::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->firstOrFail();
    }

    private function written(User $user, Name $name, string $event, ExtraKind $kind): void
    {
        $this->standings->of([$name->id]);
        $this->log->write($event, 'name', $name->id, ['kind' => $kind->value], $user->id);
    }
}
