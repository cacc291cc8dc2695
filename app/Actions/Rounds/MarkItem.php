<?php

declare(strict_types=1);

namespace App\Actions\Rounds;

use Acre\Core\Time\Instant;
use App\Models\User;
use App\Queries\Rounds\ReadRounds;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** What somebody says of a thing in Rounds: done, put off, given to somebody, or none of it any more. */
final readonly class MarkItem
{
    public function __construct(
        private Connection $database,
        private HouseLog $log,
        private TradeClock $clock,
        private ReadRounds $rounds,
    ) {
    }

    /** @param  string  $because  what was done */
    public function done(User $user, string $thing, string $because): void
    {
        $this->put(
            $user,
            $thing,
            ['done_on' => $this->clock->now()->isoSecond(), 'off_until' => null, 'because' => $because, ...$this->what($thing)],
            'thing_done',
        );
    }

    /** @param  string  $because  why; empty: nobody said */
    public function putOff(User $user, string $thing, Instant $until, string $because): void
    {
        $this->put(
            $user,
            $thing,
            ['off_until' => $until->isoSecond(), 'done_on' => null, 'because' => $because, ...$this->what($thing)],
            'thing_put_off',
        );
    }

    public function give(User $user, string $thing, User $to): void
    {
        $this->put($user, $thing, ['given_to' => $to->id], 'thing_given');
    }

    public function back(User $user, string $thing): void
    {
        $this->put($user, $thing, ['done_on' => null, 'off_until' => null], 'thing_back');
    }

    /** @return array{title?: string, says?: string, address?: string} as it reads today: tomorrow it may not be computed any more */
    private function what(string $thing): array
    {
        $item = $this->rounds->find($thing, $this->clock->today());

        if ($item === null) {
            return [];
        }
        $address = parse_url($item->see ?? $item->address);

        return [
            'title' => mb_substr($item->title, 0, 300),
            'says' => mb_substr($item->says, 0, 1_000),
            'address' => mb_substr(($address['path'] ?? '').(isset($address['query']) ? '?'.$address['query'] : ''), 0, 1_000),
        ];
    }

    /** @param  array<string, string|int|null>  $said */
    private function put(User $user, string $thing, array $said, string $event): void
    {
        $this->database->transaction(function () use ($user, $thing, $said, $event): void {
            $now = $this->clock->now()->isoSecond();
            $this->database
                ->table('rounds_marks')
                ->upsert(
                    [['thing' => $thing, 'by_id' => $user->id, 'created_at' => $now, 'updated_at' => $now, ...$said]],
                    ['thing'],
                    ['by_id', 'updated_at', ...array_keys($said)],
                );
            $this->log->write($event, 'thing', null, ['thing' => $thing, ...$said], $user->id);
        });
    }
}
