<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\MovementFinding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\PassHolding;
use App\Actions\Deeds\Undoable;
use App\Models\Account;
use App\Models\Client;
use App\Models\DocketLine;
use App\Queries\Names\HeldCase;

/** Whose names are: held from now on for another client, in the account where they are. */
final class GiveToClient extends DeedInBooks implements Undoable
{
    /** @var array<int, Client> */
    private array $clients = [];

    /** @var array<int, Account> */
    private array $accounts = [];

    public function __construct(private readonly PassHolding $pass)
    {
    }

    public static function key(): string
    {
        return 'give_to_client';
    }

    public function choices(): array
    {
        return Client::names();
    }

    public function terms(array $said): ?array
    {
        $client = $said['client'] ?? null;

        return is_numeric($client) && Client::query()->whereKey((int) $client)->exists() ? ['client' => (int) $client] : null;
    }

    public function said(array $terms): array
    {
        return ['client' => $this->client($terms)->id];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $client = $this->client($terms);
        $findings = [];
        if ($file->clientId === $client->id) {
            $findings[] = Finding::of(BookFinding::AlreadySo, Effect::Stops);
        }
        if ($file->waiting !== null) {
            // The handover says whose it is when it ends.
            $findings[] = Finding::of(
                MovementFinding::UnderWay,
                Effect::Stops,
                null,
                docket: $file->waiting->docket,
                by: $file->waiting->by,
            );
        }
        $account = $this->accounts[$file->account->id] ??= Account::query()->with('owner')->findOrFail($file->account->id);
        if ($account->owner !== null && $account->owner->id !== $client->id) {
            $findings[] = Finding::of(
                BookFinding::StaysInAccount,
                Effect::Worth,
                null,
                account: $account->number,
                owner: $account->owner->name,
            );
        }

        return Readiness::of($findings, []);
    }

    protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array
    {
        $this->pass->handle($file, $file->account->id, $this->client($terms)->id, $now, $line->docket_id);

        return ['client' => $file->clientId];
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return $file->clientId === ($line->docket->terms['client'] ?? null);
    }

    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        $this->pass->handle($file, $file->account->id, $this->client($line->was ?? [])->id, $now, $by->docket_id);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return ['before' => ['client' => $file->clientName], 'after' => ['client' => $this->client($terms)->name]];
    }

    protected function inWords(array $terms): array
    {
        return ['client' => $this->client($terms)->name];
    }

    /** @param  array<string, mixed>  $terms */
    private function client(array $terms): Client
    {
        $id = is_int($terms['client'] ?? null) ? $terms['client'] : 0;

        return $this->clients[$id] ??= Client::query()->findOrFail($id);
    }
}
