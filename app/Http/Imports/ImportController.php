<?php

declare(strict_types=1);

namespace App\Http\Imports;

use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\Encoding;
use Acre\Wire\Lists\ListError;
use App\Actions\Imports\DiscardImport;
use App\Actions\Imports\ImportField;
use App\Actions\Imports\ImportHabits;
use App\Actions\Imports\InspectList;
use App\Actions\Imports\MatchColumns;
use App\Actions\Imports\MissingFrom;
use App\Actions\Imports\Overridden;
use App\Actions\Imports\ReadImport;
use App\Actions\Imports\StartImport;
use App\Actions\Imports\UndoImport;
use App\Http\OldInput;
use App\Http\SignedInRequest;
use App\Jobs\WorkImport;
use App\Models\Account;
use App\Models\Client;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Registrar;
use App\Support\HouseLog;
use App\View\Words;
use Illuminate\Contracts\Filesystem\Factory as Storage;
use Illuminate\Database\Connection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Bringing names in: a list, its columns, its preview, and then the writing of it in the queue. */
final readonly class ImportController
{
    public function __construct(
        private Connection $database,
        private MatchColumns $match,
        private ReadImport $read,
        private MissingFrom $missing,
        private HouseLog $log,
        private Words $words,
        private ImportHabits $habits,
        private UndoImport $back,
        private StartImport $start,
        private InspectList $look,
        private DiscardImport $discard,
        private Overridden $overridden,
        private Storage $storage,
    ) {
    }

    public function create(): View
    {
        return view('imports.create', [
            'registrars' => Registrar::query()
                ->with(['accounts' => fn ($accounts) => $accounts->with('owner')->orderBy('number')])
                ->orderBy('name')
                ->get(['id', 'name']),
            'clients' => Client::query()
                ->standing()
                ->orderByDesc('is_house')
                ->orderBy('name')
                ->get(['id', 'name', 'is_house']),
            'before' => Import::query()->with('registrar')->orderByDesc('id')->limit(10)->get(),
        ]);
    }

    public function store(UploadRequest $request): RedirectResponse
    {
        $upload = $request->list();
        $path = $upload->store('imports');
        if (! is_string($path)) {
            return back()
                ->withInput(OldInput::of($request))
                ->withErrors(['list' => __('imports.not_sent')]);
        }
        try {
            $import = $this->start->handle(
                $request->person(),
                [
                    'file' => mb_substr(mb_scrub(basename($upload->getClientOriginalName())), 0, 200),
                    'path' => $path,
                    'registrar_id' => $request->filled('registrar') ? $request->integer('registrar') : null,
                    'account_id' => $request->filled('account') ? $request->integer('account') : null,
                    'client_id' => $request->filled('client') ? $request->integer('client') : null,
                    'whole' => $request->boolean('whole'),
                ],
                trim($request->word('new_registrar')),
                trim($request->word('new_account')),
            );
        } catch (ListError $e) {
            return back()
                ->withInput(OldInput::of($request))
                ->withErrors(['list' => $e->getMessage()]);
        }

        return to_route('imports.show', $import);
    }

    public function show(Import $import, Request $request): View
    {
        $asked = $request->query('verdict');
        $verdict = is_string($asked) ? $asked : '';
        $import->load(['registrar', 'account', 'client']);
        $counts = $this->read->counts($import);
        $verdict = isset($counts[$verdict])
            ? $verdict
            : array_key_first(array_filter($counts, fn (int $count): bool => $count > 0)) ?? 'new';

        return match ($import->state) {
            ImportState::Uploaded => view('imports.columns', $this->columns($import)),
            ImportState::Reading, ImportState::Writing, ImportState::Undoing => view('imports.working', [
                'import' => $import,
                'told' => $this->progress($import),
                'far' => self::far($import),
            ]),
            ImportState::Failed => view('imports.failed', ['import' => $import]),
            ImportState::Read, ImportState::Done, ImportState::Undone => view(
                $import->state === ImportState::Read ? 'imports.preview' : 'imports.done',
                [
                    'import' => $import,
                    'counts' => $counts,
                    'verdict' => $verdict,
                    'rows' => $this->database
                        ->table('import_rows')
                        ->where('import_id', $import->id)
                        ->where('verdict', $verdict)
                        ->orderBy('line')
                        ->simplePaginate(100)
                        ->withQueryString(),
                    'clients' => $import->state === ImportState::Read ? $this->missing->clients($import) : [],
                    'accounts' => $import->state === ImportState::Read ? $this->missing->accounts($import) : [],
                    'touched' => $import->state === ImportState::Done ? $this->back->touched($import) : [],
                    'overridden' => $import->state === ImportState::Read ? $this->overridden->count($import) : 0,
                    'words' => $this->words,
                ],
            ),
        };
    }

    /** Columns again: what was read is forgotten, nothing was written yet. */
    public function edit(Import $import): View
    {
        return view('imports.columns', $this->columns($import));
    }

    /** The file read in another way: another sheet, another encoding, with headings or without. */
    public function reading(Import $import, ReadingRequest $request): RedirectResponse
    {
        try {
            $looked = $this->look->handle($this->storage->disk()->path($import->path), $request->options(), $import->registrar_id);
        } catch (ListError $e) {
            return to_route('imports.edit', $import)->withErrors(['reading' => $e->getMessage()]);
        }
        $this->database->transaction(function () use ($import, $looked): void {
            $locked = Import::query()->lockForUpdate()->findOrFail($import->id);
            if (in_array($locked->state, [ImportState::Uploaded, ImportState::Read], true)) {
                $this->database->table('import_rows')->where('import_id', $import->id)->delete();
                $locked->update(['state' => ImportState::Uploaded, 'rows_seen' => 0, ...$looked]);
            }
        });

        return to_route('imports.edit', $import);
    }

    public function discard(Import $import, SignedInRequest $request): RedirectResponse
    {
        $this->discard->handle($request->person(), $import);

        return to_route('imports.create')->with('told', __('imports.discarded', ['file' => $import->file]));
    }

    public function match(Import $import, ColumnsRequest $request): RedirectResponse
    {
        $this->database->transaction(function () use ($import, $request): void {
            $locked = Import::query()->lockForUpdate()->findOrFail($import->id);
            if (! in_array($locked->state, [ImportState::Uploaded, ImportState::Read], true)) {
                return;
            }
            $this->database->table('import_rows')->where('import_id', $import->id)->delete();
            if ($request->filled('new_account')) {
                $this->start->atAccount($request->person(), $locked, trim($request->word('new_account')));
            } elseif ($request->filled('account')) {
                $locked->update(['account_id' => $request->integer('account')]);
            }
            $locked->update([
                'matched' => [
                    'columns' => $request->columns(),
                    'order' => $request->filled('order') ? $request->string('order')->toString() : DateOrder::YearMonthDay->value,
                ],
                'state' => ImportState::Reading,
                'rows_seen' => 0,
            ]);
            $this->habits->remember(
                $locked,
                count($this->match->orders(array_map(ImportField::from(...), $request->columns()), $import->shape['samples'])) !== 1,
            );
            WorkImport::dispatch($import->id)->afterCommit();
        });

        return to_route('imports.show', $import);
    }

    public function write(Import $import, WriteRequest $request): RedirectResponse
    {
        $because = trim($request->word('because'));
        if ($because === '' && $this->overridden->count($import) > 0) {
            return to_route('imports.show', $import)
                ->withInput(OldInput::of($request))
                ->withErrors(['because' => __('imports.why_needed')]);
        }
        $this->database->transaction(function () use ($import, $request, $because): void {
            $locked = Import::query()->lockForUpdate()->findOrFail($import->id);
            if ($locked->state !== ImportState::Read) {
                return;
            }
            $made = $this->missing->create($request->person(), $locked, $request->texts('clients'), $request->texts('accounts'));
            $counts = $this->read->counts($locked);
            $locked->update([
                'state' => ImportState::Writing,
                'made' => array_merge_recursive($locked->made, $made),
                'because' => $because === '' ? null : $because,
                'rows_written' => 0,
                'rows_total' => $counts['new'] + $counts['changed'] + ($counts['missing'] ?? 0),
            ]);
            $this->log->write(
                'list_written',
                'import',
                $import->id,
                $counts + ($because === '' ? [] : ['because' => $because]),
                $request->person()->id,
            );
            WorkImport::dispatch($import->id)->afterCommit();
            WorkImport::dispatch($import->id)->afterCommit();
        });

        return to_route('imports.show', $import);
    }

    public function takeBack(Import $import): RedirectResponse
    {
        $this->database->transaction(function () use ($import): void {
            $locked = Import::query()->lockForUpdate()->findOrFail($import->id);
            if ($locked->state !== ImportState::Done || $this->back->touched($locked, 1) !== []) {
                return;
            }
            $locked->update(['state' => ImportState::Undoing, 'rows_total' => $locked->rows_written]);
            $this->log->write('list_taken_back', 'import', $import->id, ['lines' => $locked->rows_written]);
            WorkImport::dispatch($import->id)->afterCommit();
        });

        return to_route('imports.show', $import);
    }

    public function state(Import $import): JsonResponse
    {
        return new JsonResponse([
            'waiting' => $import->state->isWorking() ? 1 : 0,
            'told' => $this->progress($import),
            'far' => self::far($import),
        ]);
    }

    /** @return float|null from 0 to 1; null: nobody knows how long the list is */
    private static function far(Import $import): ?float
    {
        $written = $import->rows_total === 0 ? 0.0 : min(1.0, $import->rows_written / $import->rows_total);

        return match ($import->state) {
            ImportState::Writing => $written,
            ImportState::Undoing => 1.0 - $written,
            default => null,
        };
    }

    private function progress(Import $import): string
    {
        return match ($import->state) {
            ImportState::Writing => $this->words->say('imports.progress.writing', [
                'seen' => number_format($import->rows_written),
                'total' => number_format($import->rows_total),
                'left' => number_format(max(0, $import->rows_total - $import->rows_written)),
            ]),
            ImportState::Undoing => $this->words->say('imports.progress.undoing', [
                'left' => number_format($import->rows_written),
                'total' => number_format($import->rows_total),
            ]),
            default => $this->words->say('imports.progress.reading', ['seen' => number_format($import->rows_seen)]),
        };
    }

    /** @return array<string, mixed> */
    private function columns(Import $import): array
    {
        $fields = array_map(ImportField::from(...), $import->matched['columns'] ?? []);

        return [
            'import' => $import,
            'fields' => ImportField::cases(),
            'matched' => $import->matched['columns'] ?? [],
            'orders' => $this->match->orders($fields, $import->shape['samples']),
            'encodings' => Encoding::choices(),
            'accounts' => Account::query()->with('owner')->where('registrar_id', $import->registrar_id)->orderBy('number')->get(),
        ];
    }
}
