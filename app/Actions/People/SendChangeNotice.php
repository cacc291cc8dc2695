<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Jobs\SendPost;
use App\Models\Letter;
use App\Models\User;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** Writes to somebody of the house that their way in has changed, so that they hear of it when it wasn't them (OWASP ASVS 4.0.3, 2.2.3). */
final readonly class SendChangeNotice
{
    public function __construct(
        private Connection $database,
        private HouseSettings $house,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    /** @param  'password'|'second_on'|'second_off'|'mailbox'  $what */
    public function handle(User $user, string $what, ?string $mailbox = null): void
    {
        $now = $this->clock->now();
        $house = $this->house->name();
        Letter::query()->create([
            'kind' => 'way_in',
            'user_id' => $user->id,
            'mailbox' => $mailbox ?? $user->email,
            'written_on' => $now,
            'day' => $now->date(),
            'about' => $what,
            'subject' => $this->words->say("people.letter.way_in.subject.{$what}", ['house' => $house]),
            'body' => $this->words->say('people.letter.way_in.body', [
                'house' => $house,
                'name' => $user->name,
                'what' => $this->words->say("people.letter.way_in.what.{$what}", ['house' => $house, 'mailbox' => $user->email]),
            ]),
        ]);
        $this->database->afterCommit(fn () => SendPost::dispatch());
    }
}
