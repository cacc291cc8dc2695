<?php

declare(strict_types=1);

namespace App\Actions\Clients;

use App\Actions\Standings\MakeStandings;
use App\Models\Client;
use App\Models\DocketState;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/**
 * Two clients that are one: what was held for the other, then and now, was held for the one that is kept. The other's name stays as
 * another spelling, so that the next list that uses it makes no second client.
 */
final readonly class MergeClients
{
    public function __construct(private Connection $database, private MakeStandings $standings, private HouseLog $log)
    {
    }

    /** @return bool false: one of them is part of another by now, or the other is the house itself */
    public function handle(User $user, Client $kept, Client $other): bool
    {
        $done = $this->database->transaction(function () use ($user, $kept, $other): bool {
            // In the order in which all lock: dockets, names, the rest.
            $this->database->select("SELECT id FROM dockets WHERE state IN (?, ?) AND terms ->> 'client' = ? ORDER BY id FOR UPDATE", [
                DocketState::Prepared->value,
                DocketState::Settled->value,
                (string) $other->id,
            ]);
            $this->database->select(
                'SELECT id FROM names WHERE id IN (SELECT name_id FROM holdings WHERE client_id = ? UNION SELECT name_id FROM watchings
                    WHERE client_id = ?) ORDER BY id FOR UPDATE',
                [$other->id, $other->id],
            );
            $locked = Client::query()
                ->whereKey([$kept->id, $other->id])
                ->standing()
                ->orderBy('id')
                ->lockForUpdate()
                ->get()
                ->keyBy('id');
            $kept = $locked->get($kept->id);
            $other = $locked->get($other->id);
            if ($kept === null || $other === null || $kept->is($other) || $other->is_house) {
                return false;
            }
            $this->standings->stale('client_id', $other->id);
            foreach (
                [
                    'holdings' => 'client_id',
                    'accounts' => 'owner_id',
                    'contacts' => 'client_id',
                    'watchings' => 'client_id',
                    'notes' => 'client_id',
                    'imports' => 'client_id',
                ] as $table => $column
            ) {
                $this->database
                    ->table($table)
                    ->where($column, $other->id)
                    ->update([$column => $kept->id]);
            }
            // What is still to come, and what people look at again, means the one that is kept.
            $this->database->update(
                "UPDATE dockets SET terms = jsonb_set(terms, '{client}', to_jsonb(?::bigint))
                    WHERE state IN (?, ?) AND terms ->> 'client' = ?",
                [$kept->id, DocketState::Prepared->value, DocketState::Settled->value, (string) $other->id],
            );
            foreach (['views' => '{words,client}', 'calendar_addresses' => '{client}'] as $table => $path) {
                $this->database->update(
                    "UPDATE {$table} SET sentence = jsonb_set(sentence, ?::text[], to_jsonb(?::bigint)) WHERE sentence #>> ?::text[] = ?",
                    [$path, $kept->id, $path, (string) $other->id],
                );
            }
            $this->database->update('UPDATE clients SET merged_into = ?, updated_at = now() WHERE merged_into = ?', [
                $kept->id,
                $other->id,
            ]);
            $other->forceFill(['merged_into' => $kept->id])->save();
            $kept
                ->fill([
                    'mailbox' => $kept->mailbox ?? $other->mailbox,
                    'pattern_id' => $kept->pattern_id ?? $other->pattern_id,
                    'remarks' => self::joined($kept->remarks, $other->remarks),
                ])
                ->forceFill(['version' => $kept->version + 1])
                ->save();
            $this->log->write('merged', 'client', $kept->id, ['other' => $other->id, 'name' => $other->name], $user->id);

            return true;
        });
        $this->standings->soon('client_id', $other->id);

        return $done;
    }

    private static function joined(?string $one, ?string $other): ?string
    {
        return $other === null ? $one : ($one === null ? $other : mb_substr("{$one}\n\n{$other}", 0, 4_000));
    }
}
