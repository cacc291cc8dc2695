<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListOptions;
use App\Actions\SaveRow;
use App\Models\Account;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Registrar;
use App\Models\User;
use Illuminate\Contracts\Filesystem\Factory as Storage;
use Illuminate\Database\Connection;

/** Takes a file that somebody sent, looks into it, and adds the registrar and account that they named with it. */
final readonly class StartImport
{
    public function __construct(private Connection $database, private Storage $storage, private LookIntoList $look, private SaveRow $save)
    {
    }

    /**
     * @param  array{file: string, path: string, registrar_id: int|null, account_id: int|null, client_id: int|null, whole: bool}  $of
     * @param  string  $registrar  the name of one that isn't known yet; empty: it is
     * @param  string  $account  the number of one that isn't known yet; empty: it is, or rows say it
     *
     * @throws ListError when it is no list: then nothing is kept of it
     */
    public function handle(User $user, array $of, string $registrar, string $account): Import
    {
        $known = $registrar === '' ? $of['registrar_id'] : Registrar::query()->whereRaw('lower(name) = lower(?)', [$registrar])->value('id');
        try {
            $looked = $this->look->handle($this->storage->disk()->path($of['path']), new ListOptions, is_int($known) ? $known : 0);
        } catch (ListError $e) {
            $this->storage->disk()->delete($of['path']);
            throw $e;
        }

        return $this->database->transaction(function () use ($user, $of, $registrar, $account, $known, $looked): Import {
            $made = [];
            if (! is_int($known)) {
                $known = $this->save->handle($user, new Registrar, ['name' => $registrar], null)->id;
                $made['registrars'] = [$known];
            }
            $import = Import::query()->create([...$of, 'user_id' => $user->id, 'registrar_id' => $known, 'state' => ImportState::Uploaded, ...$looked, ...($made === [] ? [] : ['made' => $made])]);
            if ($account !== '') {
                $this->atAccount($user, $import, $account);
            }

            return $import;
        });
    }

    /** Rows that name no account are of this one, which is added as the house's own where it isn't known. */
    public function atAccount(User $user, Import $import, string $number): void
    {
        $known = Account::query()->where('registrar_id', $import->registrar_id)->whereRaw('lower(number) = lower(?)', [$number])->value('id');
        if ($known === null) {
            $known = $this->save->handle($user, new Account, ['registrar_id' => $import->registrar_id, 'number' => $number, 'access' => 'ours'], null)->id;
            $import->update(['made' => ['accounts' => [...$import->made['accounts'] ?? [], $known]] + $import->made]);
        }
        $import->update(['account_id' => $known]);
    }
}
