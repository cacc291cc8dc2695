<?php

declare(strict_types=1);

namespace App\Http\Rounds;

use App\Http\SignedInRequest;
use App\Outside\Post\Post;
use App\Queries\Rounds\ReadRounds;
use App\Queries\Rounds\Rounds;
use App\Queries\Rounds\SumsDue;
use App\Support\Row;
use App\Support\TradeClock;
use App\View\RoundsInWords;
use App\View\Words;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Rounds as a letter: what it would say today, whether one wants it, and those that were written. */
final readonly class LetterController
{
    public function __construct(
        private ReadRounds $rounds,
        private SumsDue $sums,
        private TradeClock $clock,
        private Words $words,
        private Connection $database,
        private Post $post,
    ) {
    }

    public function show(SignedInRequest $request): View
    {
        $user = $request->person();
        $said = new RoundsInWords($this->rounds->handle($this->clock->today(), $user), $this->words);

        return view('rounds.letter', [
            'subject' => $said->subject(),
            'letter' => $said->letter($this->sums->until($this->clock->today()->plusDays(Rounds::AHEAD))),
            'wanted' => $user->morning,
            'mailbox' => $user->email,
            'byMail' => $this->post->isThere(),
            'before' => Row::all($this->database->table('letters')->where('user_id', $user->id)->orderByDesc('day')->limit(14)->get()),
        ]);
    }

    public function update(SignedInRequest $request): RedirectResponse
    {
        $user = $request->person();
        $user->update(['morning' => $request->boolean('morning')]);

        return to_route('rounds.letter')->with(
            'told',
            $this->words->say($user->morning ? 'rounds.letter.wanted' : 'rounds.letter.unwanted'),
        );
    }
}
