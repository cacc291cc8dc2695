<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Models\SetbackKind;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Contracts\Filesystem\Factory as Storage;
use Illuminate\Database\Connection;

/** Discards a list of which nothing was written: its rows, its file, and what was added because it was named with it. */
final readonly class DiscardImport
{
    public function __construct(private Connection $database, private Storage $storage, private MadeByList $made, private HouseLog $log)
    {
    }

    public function handle(User $user, Import $import): void
    {
        $this->database->transaction(function () use ($user, $import): void {
            $locked = Import::query()->lockForUpdate()->find($import->id);
            if ($locked === null || ! $locked->state->isUnwritten()) {
                return;
            }
            $this->log->write('list_discarded', 'import', $locked->id, ['file' => $locked->file], $user->id);
            $this->database->table('import_rows')->where('import_id', $locked->id)->delete();
            $this->database->table('setbacks')->where('kind', SetbackKind::Import->value)->where('subject_id', $locked->id)->delete();
            $locked->delete();
            $this->made->unmake($locked);
            // Last: a list without its file can't be read.
            $this->database->afterCommit(fn () => $this->storage->disk()->delete($locked->path));
        });
    }
}
