<?php

declare(strict_types=1);

namespace App\Http\Notes;

use App\Http\OldInput;
use App\Models\Account;
use App\Models\Client;
use App\Models\Name;
use App\Models\Note;
use Illuminate\Contracts\Filesystem\Factory as Storage;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Notes and files on a name, an account or a client. */
final readonly class NoteController
{
    public function __construct(private Storage $storage)
    {
    }

    public function onName(Name $name, NoteRequest $request): RedirectResponse
    {
        return $this->store(['name_id' => $name->id], $request);
    }

    public function onAccount(Account $account, NoteRequest $request): RedirectResponse
    {
        return $this->store(['account_id' => $account->id], $request);
    }

    public function onClient(Client $client, NoteRequest $request): RedirectResponse
    {
        return $this->store(['client_id' => $client->id], $request);
    }

    /** Always as a download: what somebody sent is never shown as a page of ours. */
    public function file(Note $note): StreamedResponse
    {
        $stream = $note->path === null ? null : $this->storage->disk()->readStream($note->path);

        return $stream === null
            ? abort(404)
            : response()->streamDownload(fn () => fpassthru($stream), $note->file ?? 'file', [
                'Content-Type' => 'application/octet-stream',
                'X-Content-Type-Options' => 'nosniff',
            ]);
    }

    public function destroy(Note $note): RedirectResponse
    {
        $note->delete();
        if ($note->path !== null) {
            $this->storage->disk()->delete($note->path);
        }

        return back()->withFragment('notes')->with('told', __('notes.gone'));
    }

    /** @param  array<string, int>  $subject */
    private function store(array $subject, NoteRequest $request): RedirectResponse
    {
        $sent = $request->sent();
        $path = $sent?->store('notes');
        if ($path === false) {
            return back()
                ->withInput(OldInput::of($request))
                ->withErrors(['file' => __('imports.not_sent')]);
        }
        Note::query()->create([
            ...$subject,
            'user_id' => $request->person()->id,
            'text' => trim($request->word('note')),
            'path' => $path,
            'file' => $sent === null ? null : mb_substr(mb_scrub(basename($sent->getClientOriginalName())), 0, 200),
            'size' => $sent?->getSize(),
        ]);

        return back()->withFragment('notes');
    }
}
