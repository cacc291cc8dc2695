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
    public function __construct(private Connection $database, private Storage $storage, private InspectList $look, private SaveRow $save)
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
        $known =
            $registrar === ''
                ? $of['registrar_id']
                : Registrar::query()
                    ->whereRaw('lower(name) = lower(?)', [$registrar])
                    ->value('id');
        try {
            $looked = $this->look->handle($this->storage->disk()->path($of['path']), new ListOptions(), is_int($known) ? $known : 0);
        } catch (ListError $e) {
            $this->storage->disk()->delete($of['path']);
            throw $e;
        }

        return $this->database->transaction(function () use ($user, $of, $registrar, $account, $known, $looked): Import {
            $made = [];
            if (! is_int($known)) {
                $known = $this->save->handle($user, new Registrar(), ['name' => $registrar], null)->id;
                $made['registrars'] = [$known];
            }
            if ($account !== '') {
                [$of['account_id'], $isMade] = $this->account($user, $known, $account);
                $made += $isMade ? ['accounts' => [$of['account_id']]] : [];
            }

            return Import::query()->create([
                ...$of,
                'user_id' => $user->id,
                'registrar_id' => $known,
                'state' => ImportState::Uploaded,
                ...$looked,
                ...$made === [] ? [] : ['made' => $made],
            ]);
        });
    }

    /** Rows that name no account are of this one, which is added as the house's own where it isn't known. */
    public function atAccount(User $user, Import $import, string $number): void
    {
        [$id, $isMade] = $this->account($user, $import->registrar_id, $number);
        $import->update(
            ['account_id' => $id] + ($isMade ? ['made' => ['accounts' => [...$import->made['accounts'] ?? [], $id]] + $import->made] : []),
        );
    }

    /** @return array{int, bool} its id, and whether it was not known before */
    private function account(User $user, int $registrarId, string $number): array
    {
        $known = Account::query()
            ->where('registrar_id', $registrarId)
            ->whereRaw('lower(number) = lower(?)', [$number])
            ->value('id');

        return is_int($known)
            ? [$known, false]
            : [
                $this->save->handle($user, new Account(), ['registrar_id' => $registrarId, 'number' => $number, 'access' => 'ours'], null)
                    ->id,
                true,
            ];
    }
}
