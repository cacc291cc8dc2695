<?php

declare(strict_types=1);

namespace App\Actions\Names;

use App\Actions\Outside\Observe;
use App\Actions\Standings\MakeStandings;
use App\Models\Client;
use App\Models\Name;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Puts a name that is registered elsewhere, or not at all, on the Roll to be looked at; and takes it off again. */
final readonly class WatchNames
{
    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private Observe $observe,
        private HouseLog $log,
        private TradeClock $clock,
    ) {
    }

    /**
     * @param  string  $why  in a few words
     * @return bool false: it is held, and needs no watching
     */
    public function watch(User $user, Name $name, Client $client, string $why): bool
    {
        $done = $this->database->transaction(function () use ($user, $name, $client, $why): bool {
            Name::query()->whereKey($name->id)->lockForUpdate()->firstOrFail();
            if ($this->database->table('holdings')->where('name_id', $name->id)->whereRaw('upper_inf(span)')->exists()) {
                return false;
            }
            $this->database
                ->table('watchings')
                ->upsert(
                    [
                        [
                            'name_id' => $name->id,
                            'client_id' => $client->id,
                            'why' => $why,
                            'since' => $this->clock->now()->isoSecond(),
                            'by_id' => $user->id,
                        ],
                    ],
                    ['name_id'],
                    ['client_id', 'why'],
                );
            $this->standings->of([$name->id]);
            $this->log->write('watched', 'name', $name->id, ['client' => $client->id, 'why' => $why], $user->id);

            return true;
        });
        if ($done) {
            $this->observe->of([$name->id]);
        }

        return $done;
    }

    public function stop(User $user, Name $name): void
    {
        $this->database->transaction(function () use ($user, $name): void {
            if ($this->database->table('watchings')->where('name_id', $name->id)->delete() > 0) {
                $this->database
                    ->table('observing')
                    ->where('name_id', $name->id)
                    ->update(['due_at' => 'infinity']);
                $this->standings->of([$name->id]);
                $this->log->write('watched_no_more', 'name', $name->id, [], $user->id);
            }
        });
    }
}
