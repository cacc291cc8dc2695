<?php

declare(strict_types=1);

namespace App\Http\Outside;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Rulebook\Rulebook;
use App\Actions\Names\WatchNames;
use App\Actions\Outside\Observe;
use App\Http\OldInput;
use App\Http\SignedInRequest;
use App\Jobs\AskOutside;
use App\Models\Client;
use App\Models\Drift;
use App\Models\DriftState;
use App\Models\Holding;
use App\Models\Name;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Queries\Outside\LastSeen;
use App\Support\TradeClock;
use App\View\RecordPage;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\View\View;

/** The public record of any name, held or not: what the outside said last, and asking it again. */
final readonly class RecordController
{
    public function __construct(
        private LastSeen $seen,
        private CaseFiles $files,
        private Rulebook $book,
        private TradeClock $clock,
        private Words $words,
    ) {
    }

    public function index(RecordsRequest $request): View
    {
        $asked = $request->names();

        return view('outside.records', [
            'asked' => $asked,
            'rows' => $asked->names === [] ? [] : $this->rows($asked->names),
            'words' => $this->words,
        ]);
    }

    public function show(string $name): View
    {
        $domain = self::domain($name);
        $known = $domain === null ? null : Name::query()->where('ascii', $domain->ascii)->first();
        if ($domain === null) {
            abort(404);
        }
        $file = $this->files->named($domain, $this->clock->now());

        $drifts = Drift::query()
            ->where('name_id', $known->id ?? 0)
            ->whereIn('state', [DriftState::Open, DriftState::Left])
            ->orderBy('cost')
            ->orderBy('id')
            ->get();

        return view('outside.record', [
            'domain' => $domain,
            'page' => new RecordPage($file, $known === null ? [] : $this->seen->of($known->id, $domain->ascii), $drifts, $this->words),
            'standing' => ! $file instanceof HeldCase ? null : $file->standing($this->book, $this->clock->now()),
            'now' => $this->clock->now(),
            'drifts' => $drifts,
            'troubles' => $known === null ? [] : $this->seen->troubles($known->id),
            'settled' => $known === null
                    ? collect()
                    : Drift::query()
                        ->where('name_id', $known->id)
                        ->whereIn('state', [DriftState::Taken, DriftState::Gone])
                        ->orderByDesc('settled_at')
                        ->limit(10)
                        ->get(),
            'clients' => $file instanceof HeldCase ? [] : Client::names(),
            'past' => $known === null || $file instanceof HeldCase
                    ? null
                    : Holding::query()
                        ->with(['account.registrar', 'client'])
                        ->where('name_id', $known->id)
                        ->orderByRaw('upper(span) DESC')
                        ->first(),
            'words' => $this->words,
        ]);
    }

    /** One name is asked about at once; of a list, each when a worker is free. */
    public function ask(RecordsRequest $request, Observe $observe): RedirectResponse
    {
        $asked = $request->names();
        if ($asked->names === []) {
            return back()
                ->withInput(OldInput::of($request))
                ->withErrors([
                    'names' => $asked->wrong === []
                            ? $this->words->say('sheaf.gather_first')
                            : $this->words->say('outside.record.wrong', ['names' => implode(', ', $asked->wrong)]),
                ]);
        }
        $ids = array_map(
            fn (DomainName $name): int => Name::query()->firstOrCreate(
                ['ascii' => $name->ascii],
                ['unicode' => $name->unicode, 'suffix' => $name->suffix()],
            )->id,
            $asked->names,
        );
        if (count($ids) === 1) {
            $observe->of($ids);

            return to_route('record.show', $asked->names[0]->ascii);
        }
        foreach (array_chunk($ids, 10) as $some) {
            AskOutside::dispatch($some);
        }

        return to_route('record.index', [
            'names' => implode(' ', array_map(fn (DomainName $name): string => $name->unicode, $asked->names)),
        ])->with(
            'told',
            trim(
                $this->words->count('outside.record.asked', count($ids)).
                    '. '.
                    ($asked->wrong === [] ? '' : $this->words->say('outside.record.wrong', ['names' => implode(', ', $asked->wrong)])),
            ),
        );
    }

    public function watch(string $name, WatchRequest $request, WatchNames $watch): RedirectResponse
    {
        $domain = self::domain($name) ?? abort(404);
        $known = Name::query()->firstOrCreate(['ascii' => $domain->ascii], ['unicode' => $domain->unicode, 'suffix' => $domain->suffix()]);
        $done = $watch->watch($request->person(), $known, $request->client(), $request->word('why'));

        return to_route('record.show', $domain->ascii)->with(
            'told',
            $this->words->say($done ? 'outside.watched.begun' : 'outside.watched.held', ['name' => $domain->unicode]),
        );
    }

    public function unwatch(string $name, SignedInRequest $request, WatchNames $watch): RedirectResponse
    {
        $known = Name::query()
            ->where('ascii', self::domain($name)->ascii ?? '')
            ->firstOrFail();
        $watch->stop($request->person(), $known);

        return to_route('record.show', $known->ascii)->with(
            'told',
            $this->words->say('outside.watched.ended', ['name' => $known->unicode]),
        );
    }

    /** As it came, and as text whatever it says that it is. */
    public function raw(string $name, int $observation): Response
    {
        $known = Name::query()
            ->where('ascii', self::domain($name)->ascii ?? '')
            ->firstOrFail();
        $observed = $this->seen->raw($known->id, $observation) ?? abort(404);

        return response($observed->raw, 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'X-Content-Type-Options' => 'nosniff',
            'Content-Disposition' => 'inline',
            'Content-Security-Policy' => "default-src 'none'; sandbox",
        ]);
    }

    /**
     * @param  list<DomainName>  $names
     * @return list<RecordRow>
     */
    private function rows(array $names): array
    {
        $known = Name::query()->whereIn('ascii', array_map(fn (DomainName $name): string => $name->ascii, $names))->get()->keyBy('ascii');

        return array_map(function (DomainName $domain) use ($known): RecordRow {
            $name = $known->get($domain->ascii);

            return new RecordRow(
                $domain,
                $name === null ? [] : $this->seen->of($name->id, $domain->ascii),
                $name === null ? [] : $this->seen->troubles($name->id),
            );
        }, $names);
    }

    private static function domain(string $text): ?DomainName
    {
        try {
            $domain = DomainName::of($text);
        } catch (NameError) {
            return null;
        }

        return $domain->isRegistrable() ? $domain : null;
    }
}
