<?php

declare(strict_types=1);

namespace App\Actions\Names;

use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Contacts\RecordRegistrants;
use App\Actions\Imports\ImportedNames;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\Client;
use App\Models\Holding;
use App\Models\Name;
use App\Models\Registration;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Database\Connection;

/** One name is put on the Roll by hand, as a list would bring it. */
final readonly class AddName
{
    public function __construct(
        private Connection $database,
        private RecordRegistrants $registrants,
        private MakeStandings $standings,
        private Dispatcher $events,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /**
     * @param  array<string, mixed>  $facts  columns of the registration, and `registrant` and `mailbox`
     *
     * @throws OnTheRoll when it is held already
     */
    public function handle(User $user, DomainName $domain, Account $account, Client $client, array $facts): Name
    {
        return $this->database->transaction(function () use ($user, $domain, $account, $client, $facts): Name {
            $this->database->statement(
                'INSERT INTO names (ascii, unicode, suffix, created_at, updated_at) VALUES (?, ?, ?, now(), now())
                    ON CONFLICT (ascii) DO NOTHING',
                [$domain->ascii, $domain->unicode, $domain->suffix()],
            );
            $name = Name::query()->where('ascii', $domain->ascii)->lockForUpdate()->firstOrFail();
            // Once a watched name is held, it is no longer watched.
            if (Registration::query()->where('name_id', $name->id)->whereRaw('upper_inf(span)')->exists()) {
                throw new OnTheRoll($name);
            }
            $now = $this->clock->now();
            $created = $facts['created_on'] ?? null;
            $said = array_filter($facts, fn (mixed $fact): bool => $fact !== null && $fact !== '' && $fact !== []);
            $registration = Registration::query()->create([
                ...array_diff_key($facts, ['registrant' => 1, 'mailbox' => 1]),
                'name_id' => $name->id,
                'span' => Span::since($created instanceof Instant && ! $created->isAfter($now) ? $created : $now),
                'sources' => array_fill_keys(array_keys($said), [
                    'from' => 'typed',
                    'at' => $this->clock->today()->iso(),
                    'by' => $user->id,
                ]),
            ]);
            // It is known to be there since it was added; what was before is not known.
            Holding::query()->create([
                'name_id' => $name->id,
                'registration_id' => $registration->id,
                'account_id' => $account->id,
                'client_id' => $client->id,
                'span' => Span::since($now),
            ]);
            $this->registrants->of([$name->id => array_intersect_key($said, ['registrant' => 1, 'mailbox' => 1])], 'typed', $user->id);
            $this->standings->of([$name->id]);
            $this->events->dispatch(new ImportedNames([$name->id]));
            $this->log->write('added', 'name', $name->id, ['account' => $account->id, 'client' => $client->id], $user->id);

            return $name;
        });
    }
}
