<?php

declare(strict_types=1);

namespace App\Http\Received;

use App\Http\OldInput;
use App\Models\Received;
use App\Support\HouseLog;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Contracts\Filesystem\Factory as Storage;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Letters that came: a dispute, a notice, a request for data; with names, a day to answer by, and a file. */
final readonly class ReceivedController
{
    public function __construct(
        private Connection $database,
        private Storage $storage,
        private TradeClock $clock,
        private HouseLog $log,
        private Words $words,
    ) {
    }

    public function index(): View
    {
        return view('received.index', [
            'open' => Received::query()
                ->with('names')
                ->whereNull('answered_on')
                ->orderByRaw('answer_by IS NULL')
                ->orderBy('answer_by')
                ->orderBy('id')
                ->limit(200)
                ->get(),
            'answered' => Received::query()->with('names')->whereNotNull('answered_on')->orderByDesc('answered_on')->limit(50)->get(),
            'today' => $this->clock->today(),
            'words' => $this->words,
        ]);
    }

    public function create(): View
    {
        return view('received.form', ['today' => $this->clock->today()]);
    }

    public function store(ReceivedRequest $request): RedirectResponse
    {
        $sent = $request->sent();
        $path = $sent?->store('received');
        if ($path === false) {
            return back()
                ->withInput(OldInput::of($request))
                ->withErrors(['file' => __('imports.not_sent')]);
        }
        $received = $this->database->transaction(function () use ($request, $sent, $path): Received {
            $received = Received::query()->create([
                ...$request->columns(),
                'user_id' => $request->person()->id,
                'path' => $path,
                'file' => $sent === null ? null : mb_substr(mb_scrub(basename($sent->getClientOriginalName())), 0, 200),
            ]);
            $received->names()->attach($request->nameIds());
            $this->log->writeMany(
                array_map(
                    fn (int $id): array => [
                        'event' => 'letter_received',
                        'subject' => 'name',
                        'subject_id' => $id,
                        'data' => ['received' => $received->id],
                    ],
                    $request->nameIds(),
                ),
                $request->person()->id,
            );

            return $received;
        });

        return to_route('received.index')->with('told', $this->words->say('contacts.received.kept', ['who' => $received->sender]));
    }

    public function answer(Received $received, AnsweredRequest $request): RedirectResponse
    {
        $this->database->transaction(function () use ($received, $request): void {
            $received->update(['answered_on' => $this->clock->now(), 'answer' => trim($request->word('answer'))]);
            $this->log->write('letter_answered', 'received', $received->id, [], $request->person()->id);
        });

        return to_route('received.index')->with('told', $this->words->say('contacts.received.answered', ['who' => $received->sender]));
    }

    /** Always as a download: what somebody sent is never shown as a page of ours. */
    public function file(Received $received): StreamedResponse
    {
        $stream = $received->path === null ? null : $this->storage->disk()->readStream($received->path);

        return $stream === null
            ? abort(404)
            : response()->streamDownload(fn () => fpassthru($stream), $received->file ?? 'file', [
                'Content-Type' => 'application/octet-stream',
                'X-Content-Type-Options' => 'nosniff',
            ]);
    }
}
