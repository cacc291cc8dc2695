<?php

declare(strict_types=1);

namespace App\Actions\Rounds;

use App\Jobs\SendPost;
use App\Models\User;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\Rounds;
use App\Queries\Rounds\SumsDue;
use App\Support\TradeClock;
use App\View\RoundsInWords;
use App\View\Words;
use Illuminate\Database\Connection;

/** The day's Rounds as a letter to everybody who wants it: one a day, in the letterbox first and then by mail. */
final readonly class WriteMorningLetters
{
    public function __construct(
        private Connection $database,
        private ReadRounds $rounds,
        private SumsDue $sums,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    /** @return int how many were written now; run again on the same day, it sends only what was not sent yet */
    public function handle(): int
    {
        $today = $this->clock->today();
        $written = 0;
        $sums = $this->sums->until($today->plusDays(Rounds::AHEAD));
        foreach (User::query()->where('morning', true)->where('may_sign_in', true)->orderBy('id')->get() as $user) {
            $said = new RoundsInWords($this->rounds->handle($today, $user), $this->words);
            $written += $this->database->table('letters')->insertOrIgnore([
                'user_id' => $user->id,
                'mailbox' => $user->email,
                'subject' => $said->subject(),
                'body' => $said->letter($sums),
                'written_on' => $this->clock->now()->isoSecond(),
                'day' => $today->date(),
            ]);
        }
        SendPost::dispatch();

        return $written;
    }
}
