<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Actions\Links\IssueLink;
use App\Actions\Links\LinkOf;
use App\Jobs\SendPost;
use App\Models\Letter;
use App\Models\LinkPurpose;
use App\Models\Secret;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;

/** Writes to somebody of the house the link by which they set their own password; the previous one is no longer valid. */
final readonly class WritePasswordLetter
{
    /** Seconds for which somebody who was let in may wait, and somebody who forgot: the second is asked for by whoever types a mailbox. */
    private const INVITED = 604_800;

    private const FORGOTTEN = 3_600;

    public function __construct(
        private Connection $database,
        private IssueLink $links,
        private HouseSettings $house,
        private TradeClock $clock,
        private Words $words,
        private HouseLog $log,
    ) {
    }

    /** Somebody is let in. */
    public function invite(User $user, User $by): void
    {
        $this->write($user, 'invitation', self::INVITED, $by->id);
    }

    /** Somebody says at the door that they forgot theirs. What they are told there is the same whether there is such a person or not. */
    public function forgotten(string $mailbox): void
    {
        $user = User::atMailbox($mailbox);
        if ($user !== null && $user->may_sign_in) {
            $this->write($user, 'password', self::FORGOTTEN, $user->id);
        }
    }

    /** @param  'invitation'|'password'  $kind */
    private function write(User $user, string $kind, int $seconds, int $byId): void
    {
        $this->database->transaction(function () use ($user, $kind, $seconds, $byId): void {
            User::query()->lockForUpdate()->findOrFail($user->id);
            $link = $this->links->handle(LinkPurpose::SetPassword, $user->email, LinkOf::user($user->id), $seconds);
            $secret = Secret::query()->create(['kind' => 'link', 'about' => "person {$user->id}", 'value' => $link]);
            $now = $this->clock->now();
            Letter::query()->create([
                'kind' => $kind,
                'user_id' => $user->id,
                'mailbox' => $user->email,
                'written_on' => $now,
                'day' => $now->date(),
                'about' => "secret {$secret->id}",
                'secret_id' => $secret->id,
                'subject' => $this->words->say("people.letter.{$kind}.subject", ['house' => $this->house->name()]),
                'body' => $this->words->say("people.letter.{$kind}.body", [
                    'house' => $this->house->name(),
                    'name' => $user->name,
                    'link' => Letter::LINK,
                ]),
            ]);
            $this->log->write($kind === 'invitation' ? 'invited' : 'password_asked', 'person', $user->id, [], $byId);
            $this->database->afterCommit(fn () => SendPost::dispatch());
        });
    }
}
