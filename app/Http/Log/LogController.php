<?php

declare(strict_types=1);

namespace App\Http\Log;

use App\Http\SignedInRequest;
use App\Models\User;
use App\Queries\Log\ReadLog;
use Illuminate\View\View;

/** The log, to be searched by whoever runs the house. */
final readonly class LogController
{
    public function __construct(private ReadLog $log)
    {
    }

    public function __invoke(SignedInRequest $request): View
    {
        $id = fn (string $key): ?int => preg_match('/^\d{1,15}$/D', $request->word($key)) === 1 ? (int) $request->word($key) : null;
        $event = preg_match('/^[a-z_]{1,40}$/D', $request->word('event')) === 1 ? $request->word('event') : '';
        $text = mb_substr(trim($request->word('q')), 0, 100);
        [$rows, $next] = $this->log->page($id('person'), $event, $text, $id('before'));

        return view('log.show', [
            'rows' => $rows, 'next' => $next, 'person' => $id('person'), 'event' => $event, 'text' => $text,
            'people' => User::query()->orderBy('name')->get(['id', 'name']), 'events' => $this->log->events(),
        ]);
    }
}
