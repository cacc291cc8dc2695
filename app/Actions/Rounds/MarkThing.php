<?php

declare(strict_types=1);

namespace App\Actions\Rounds;

use Acre\Core\Time\Instant;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What somebody says of a thing in Rounds: done, put off, given to somebody, or none of it any more. */
final readonly class MarkThing
{
    public function __construct(private Connection $database, private HouseLog $log, private TradeClock $clock)
    {
    }

    public function done(User $user, string $thing): void
    {
        $this->put($user, $thing, ['done_on' => $this->clock->now()->isoSecond()], 'thing_done');
    }

    public function putOff(User $user, string $thing, Instant $until): void
    {
        $this->put($user, $thing, ['off_until' => $until->isoSecond()], 'thing_put_off');
    }

    public function give(User $user, string $thing, User $to): void
    {
        $this->put($user, $thing, ['given_to' => $to->id], 'thing_given');
    }

    public function back(User $user, string $thing): void
    {
        $this->put($user, $thing, ['done_on' => null, 'off_until' => null], 'thing_back');
    }

    /** @param  array<string, string|int|null>  $said */
    private function put(User $user, string $thing, array $said, string $event): void
    {
        $this->database->transaction(function () use ($user, $thing, $said, $event): void {
            $now = $this->clock->now()->isoSecond();
            $this->database->table('rounds_marks')->upsert([['thing' => $thing, 'by_id' => $user->id, 'created_at' => $now, 'updated_at' => $now, ...$said]], ['thing'], ['by_id', 'updated_at', ...array_keys($said)]);
            $this->log->write($event, 'thing', null, ['thing' => $thing, ...$said], $user->id);
        });
    }
}
