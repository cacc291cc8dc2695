<?php

declare(strict_types=1);

namespace App\Http\Names;

use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Standing\Standing;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Core\Time\TimeError;
use App\Actions\Names\ChangeFacts;
use App\Actions\Names\ReasonNeeded;
use App\Http\SignedInRequest;
use App\Models\AuthCode;
use App\Models\Client;
use App\Models\Name;
use App\Models\Pattern;
use App\Queries\Contacts\ReadContacts;
use App\Queries\Hosting\ReadSites;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\Changes;
use App\Queries\Names\HeldCase;
use App\Queries\Names\History;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use App\View\ComingDays;
use App\View\FolioDrawing;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** The folio: one name's own page. */
final readonly class NameController
{
    public function __construct(
        private CaseFiles $files,
        private Rulebook $book,
        private TradeClock $clock,
        private History $history,
        private HouseSettings $house,
        private ReadContacts $contacts,
        private ReadSites $sites,
        private Words $words,
    ) {
    }

    public function show(Name $name, Request $request): View|RedirectResponse
    {
        $now = $this->clock->now();
        $file = $this->files->of([$name->id], $now)[$name->id] ?? null;
        // What is watched, or was held once, has its record for a page.
        if (! $file instanceof HeldCase) {
            return to_route('record.show', $name->ascii);
        }
        $life = $file->life($this->book, $now);
        $chain = $this->history->chain($name->id);
        $name->load(['registration.extras', 'words', 'disputes', 'renewSetting']);
        $on = $this->asked($request);
        $verification = $file->verification($life);
        $verifyBy = $verification?->by;
        $standing = $file->standing($this->book, $now);

        return view('names.show', [
            'name' => $name,
            'file' => $file,
            'life' => $life,
            'standing' => $standing,
            'price' => $this->price($standing),
            'coming' => ComingDays::of($life, $verification, $this->words),
            'handover' => $file->handoverTo(null, $now->toDay()->plusDays($file->acceptDays), $this->book, $now)->judge(),
            'chain' => $chain,
            'on' => $on,
            'heldOn' => $on === null ? [] : $chain->during(Span::of($on->toDay(), $on->toDay()->plusDays(1))),
            'registrantsOn' => $on === null ? [] : $this->history->registrantsOn($name->id, $on),
            'roles' => $this->history->roles($name->id),
            'contacts' => $this->contacts->knownBy($file->clientId),
            'happened' => $this->history->happened($name->id),
            'drawings' => [
                FolioDrawing::of($life, $chain, $file->waiting, $this->words, 1206, $verifyBy),
                FolioDrawing::of($life, $chain, $file->waiting, $this->words, 330, $verifyBy),
            ],
            'registration' => $name->registration,
            'patterns' => Pattern::query()->pluck('name', 'id')->all(),
            'pattern' => Client::query()->whereKey($file->clientId)->value('pattern_id') ?? $this->house->pattern(),
            'sites' => $this->sites->ofName($name),
            'code' => AuthCode::query()->find($name->id),
            'words' => $this->words,
        ]);
    }

    /** What keeping it costs today, and in other years. */
    private function price(Standing $standing): string
    {
        [$today, $yearly] = [$standing->sum, $standing->lifecycle->terms->renew];

        return match (true) {
            $standing->lifecycle->phase->isLate() && $today !== null
                && ($yearly === null || ! $today->equals($yearly)) => $this->words->say(
                    'names.price.late',
                    [
                        'sum' => $today->text(),
                        'yearly' => $yearly === null ? '' : $this->words->say('names.price.then', ['sum' => $yearly->text()]),
                    ],
                ),
            $yearly !== null => $this->words->say('names.price.yearly', ['sum' => $yearly->text()]),
            default => $this->words->say('names.price.none'),
        };
    }

    /** Who changed what of it, when and why. */
    public function history(Name $name, Changes $changes, SignedInRequest $request): View
    {
        return view('names.history', [
            'name' => $name,
            'page' => $changes->page(
                $name->id,
                ctype_digit($request->word('before')) && strlen($request->word('before')) < 19 ? (int) $request->word('before') : null,
            ),
            'words' => $this->words,
        ]);
    }

    public function edit(Name $name): View
    {
        return view('names.edit', ['name' => $name, 'registration' => $name->registration ?? abort(404)]);
    }

    public function update(Name $name, FactsRequest $request, ChangeFacts $change): RedirectResponse
    {
        try {
            $change->handle($request->person(), $name, $request->facts(), $request->integer('version'), $request->word('because'));
        } catch (ReasonNeeded $e) {
            throw ValidationException::withMessages([
                'because' => __('names.history.why_needed', [
                    'what' => implode(
                        ', ',
                        array_map(fn (string $field): string => $this->words->sayOr("names.field.{$field}", $field), $e->fields),
                    ),
                ]),
            ]);
        }

        return to_route('names.show', $name)->with('told', __('names.changed', ['name' => $name->unicode]));
    }

    private function asked(Request $request): ?Instant
    {
        $given = $request->query('on');
        try {
            return is_string($given) && $given !== '' ? Instant::of($given) : null;
        } catch (TimeError) {
            return null;
        }
    }
}
