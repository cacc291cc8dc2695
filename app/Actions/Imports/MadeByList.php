<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\QueryException;

/** Registrars, accounts and clients that were added because a list named them, taken away where nothing has come to hang on them since. */
final readonly class MadeByList
{
    public function __construct(private Connection $database)
    {
    }

    public function unmake(Import $import): void
    {
        // An account stands at its registrar, and a list names both until it is gone.
        foreach (['accounts' => 'account_id', 'clients' => 'client_id', 'registrars' => null] as $table => $column) {
            foreach ($import->made[$table] ?? [] as $id) {
                if ($column !== null && $import->getAttribute($column) === $id) {
                    $import->update([$column => null]);
                }
                $this->one($table, $column, $id);
            }
        }
    }

    /** @param  string|null  $column  by which notes are of it, which would go with it */
    private function one(string $table, ?string $column, int $id): void
    {
        try {
            $this->database->transaction(
                fn () => $this->database
                    ->table($table)
                    ->where('id', $id)
                    ->where('version', 1)
                    ->unless(
                        $column === null,
                        fn (Builder $own) => $own->whereNotExists(fn (Builder $note) => $note->from('notes')->where((string) $column, $id)),
                    )
                    ->delete(),
            );
        } catch (QueryException) {
            // Something refers to it by now: it stays.
        }
    }
}
