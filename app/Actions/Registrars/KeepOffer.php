<?php

declare(strict_types=1);

namespace App\Actions\Registrars;

use App\Actions\Standings\MakeStandings;
use App\Models\Offer;
use App\Models\Registrar;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Records what a registrar offers, and that it no longer does. */
final readonly class KeepOffer
{
    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private HouseLog $log,
        private TradeClock $clock,
    ) {
    }

    /** @param  array<string, mixed>  $offer  its columns */
    public function enter(User $user, Registrar $registrar, array $offer): void
    {
        $this->change($user, $registrar->id, 'offer_entered', function () use ($user, $registrar, $offer): Offer {
            return Offer::query()->create(['registrar_id' => $registrar->id, 'entered_by' => $user->id] + $offer);
        });
    }

    public function withdraw(User $user, Offer $offer): void
    {
        $this->change($user, $offer->registrar_id, 'offer_withdrawn', function () use ($offer): Offer {
            $offer->update(['withdrawn_at' => $this->clock->now()->isoSecond()]);

            return $offer;
        });
    }

    /** @param  callable(): Offer  $do */
    private function change(User $user, int $registrarId, string $event, callable $do): void
    {
        $this->database->transaction(function () use ($user, $registrarId, $event, $do): void {
            $offer = $do();
            $this->standings->stale('registrar_id', $registrarId);
            $this->log->write($event, 'registrar', $registrarId, ['offer' => $offer->id, 'action' => $offer->action], $user->id);
        });
        $this->standings->soon('registrar_id', $registrarId);
    }
}
