<?php

declare(strict_types=1);

namespace App\Http\Log;

use Acre\Wire\Stamp\StampQuery;
use App\Actions\Proofs\StoreHead;
use App\Http\SignedInRequest;
use App\Models\User;
use App\Queries\Log\ReadLog;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The log, to be searched by whoever runs the house. */
final readonly class LogController
{
    public function __construct(private ReadLog $log, private StoreHead $head)
    {
    }

    public function index(SignedInRequest $request): View
    {
        $id = fn (string $key): ?int => preg_match('/^\d{1,15}$/D', $request->word($key)) === 1 ? (int) $request->word($key) : null;
        $event = preg_match('/^[a-z_]{1,40}$/D', $request->word('event')) === 1 ? $request->word('event') : '';
        $text = mb_substr(trim($request->word('q')), 0, 100);
        [$rows, $next] = $this->log->page($id('person'), $event, $text, $id('before'));

        $kept = $this->head->kept();
        $faults = $this->head->faults($kept);

        return view('log.show', [
            'rows' => $rows,
            'next' => $next,
            'person' => $id('person'),
            'event' => $event,
            'text' => $text,
            'people' => User::query()
                ->orderBy('name')
                ->get(['id', 'name']),
            'events' => $this->log->events(),
            'faults' => $faults,
            'sha256' => hash('sha256', $kept ?? ''),
            'head' => $kept === null || $faults !== [] ? null : $this->head->read($kept),
        ]);
    }

    /** The head as the page showed it; who comes later is shown the newer one. */
    public function receipt(string $sha256): Response|RedirectResponse
    {
        $kept = $this->head->kept();

        return $kept !== null && hash('sha256', $kept) === $sha256
            ? $this->file($kept, 'text/plain; charset=utf-8', "acre-receipt-{$sha256}.txt")
            : redirect()->route('log')->with('told', __('log.receipt_renewed'));
    }

    public function stampRequest(string $sha256): Response
    {
        return $this->file(StampQuery::of($sha256), StampQuery::TYPE, "acre-receipt-{$sha256}.tsq");
    }

    private function file(string $bytes, string $type, string $name): Response
    {
        return new Response($bytes, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }
}
