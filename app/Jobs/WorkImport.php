<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Imports\ReadImport;
use App\Actions\Imports\UndoImport;
use App\Actions\Imports\WriteImport;
use App\Actions\Setbacks\SetAside;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\SetbackKind;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Query\Builder;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Reads a list, writes it or takes it back, whichever its state says. Killed, it is sent again and goes on. */
final class WorkImport implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    public int $backoff = 2;

    public int $timeout = 900;

    public function __construct(public readonly int $importId)
    {
    }

    public function handle(ReadImport $read, WriteImport $write, UndoImport $back, SetAside $aside): void
    {
        $import = Import::query()->findOrFail($this->importId);
        // Lines are read and taken back in their order, by one; they are written by two.
        $seats = $import->state === ImportState::Writing ? [3, 4] : [3];
        foreach ($seats as $seat) {
            /** @var object{held: bool}|null $lock */
            $lock = DB::selectOne('SELECT pg_try_advisory_lock(?, ?) AS held', [$seat, $this->importId]);
            if ($lock === null || ! $lock->held) {
                continue;
            }
            try {
                $import->refresh();
                if (! in_array($import->state, ImportState::WORKING, true)) {
                    return;
                }
                $isDone = $aside->attempt(
                    SetbackKind::Import,
                    $import->id,
                    fn () => match ($import->state) {
                        ImportState::Reading => $read->handle($import),
                        ImportState::Writing => $write->handle($import),
                        default => $back->handle($import),
                    },
                );
                self::say($import->id, ! $isDone);
            } finally {
                DB::select('SELECT pg_advisory_unlock(?, ?)', [$seat, $this->importId]);
            }

            return;
        }
    }

    public function failed(?Throwable $why): void
    {
        self::say($this->importId, true);
    }

    /** On its page: whether it stopped, and goes on by itself. */
    private static function say(int $id, bool $stopped): void
    {
        $said = __('imports.died');
        Import::query()
            ->whereKey($id)
            ->where('state', '!=', ImportState::Failed)
            ->update(['failure' => $stopped ? (is_string($said) ? $said : 'died') : null]);
    }

    /** Lists that should be worked on and whose seats nobody holds: their job waits, or was lost with its worker. */
    public static function sweep(): void
    {
        Import::query()
            ->whereIn('state', ImportState::WORKING)
            ->whereNotExists(
                fn (Builder $lock) => $lock
                    ->from('pg_locks')
                    ->where('locktype', 'advisory')
                    ->whereIn('classid', [3, 4])
                    ->whereColumn('objid', 'imports.id')
                    ->whereRaw('database = (SELECT oid FROM pg_database WHERE datname = current_database())'),
            )
            ->toBase()
            ->pluck('id')
            ->each(fn (mixed $id) => self::dispatch(is_int($id) ? $id : 0));
    }
}
