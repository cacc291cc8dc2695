<?php

declare(strict_types=1);

namespace App\Queries\Accounts;

use App\Models\Account;
use Illuminate\Database\Eloquent\Collection;

/** Accounts by any part of number, login, mailbox, handle, owner or registrar. */
final readonly class FindAccounts
{
    /**
     * Every word that was typed must be found somewhere.
     *
     * @param  int|null  $registrarId  only at this registrar
     * @return Collection<int, Account> with registrar and owner
     */
    public function matching(string $text, ?int $registrarId, int $limit): Collection
    {
        $query = Account::query()
            ->with(['registrar', 'owner'])
            ->leftJoin('clients', 'clients.id', '=', 'accounts.owner_id')
            ->join('registrars', 'registrars.id', '=', 'accounts.registrar_id')
            ->orderBy('registrars.name')
            ->orderBy('accounts.number')
            ->limit($limit)
            ->select('accounts.*');
        if ($registrarId !== null) {
            $query->where('accounts.registrar_id', $registrarId);
        }
        $words = preg_split('/\s+/u', mb_strtolower(mb_scrub($text)), -1, PREG_SPLIT_NO_EMPTY);
        foreach (array_slice($words === false ? [] : $words, 0, 6) as $word) {
            $query->whereRaw(
                "lower(accounts.number || ' ' || coalesce(accounts.login, '') || ' ' || coalesce(accounts.mailbox,
                    '') || ' ' || coalesce(accounts.handle, '') || ' ' || coalesce(clients.name, '') || ' ' || registrars.name) LIKE ?",
                ['%'.addcslashes($word, '%_\\').'%'],
            );
        }

        return $query->get();
    }
}
