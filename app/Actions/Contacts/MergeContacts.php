<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use App\Actions\Standings\MakeStandings;
use App\Jobs\FindRings;
use App\Models\Contact;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Database\Connection;

/** Two that are one: what the other did for names, then and now, was done by the one that is kept; its versions stay readable. */
final readonly class MergeContacts
{
    public function __construct(private Connection $database, private MakeStandings $standings, private HouseLog $log)
    {
    }

    /**
     * @param  list<int>  $others  those that are already part of another are left alone
     * @return int how many became part of it
     */
    public function handle(User $user, Contact $kept, array $others): int
    {
        $count = $this->database->transaction(function () use ($user, $kept, $others): int {
            $locked = Contact::query()->whereKey([$kept->id, ...$others])->whereNull('merged_into')->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            if (! $locked->has($kept->id)) {
                return 0;
            }
            $ids = array_values(array_diff($locked->modelKeys(), [$kept->id]));
            foreach ($ids as $id) {
                $this->standings->staleByContact($id);
                // Where both had a role for a name at one time, one of them is enough.
                $this->database->delete('DELETE FROM roles o USING roles k WHERE o.contact_id = ? AND k.contact_id = ? AND k.name_id = o.name_id AND k.role = o.role AND k.span && o.span', [$id, $kept->id]);
                $this->database->update('UPDATE roles SET contact_id = ? WHERE contact_id = ?', [$kept->id, $id]);
                $this->database->update('UPDATE contacts SET merged_into = ?, updated_at = now() WHERE id = ? OR merged_into = ?', [$kept->id, $id, $id]);
                $this->log->write('merged', 'contact', $kept->id, ['other' => $id], $user->id);
            }
            $this->database->afterCommit(fn () => FindRings::dispatch());

            return count($ids);
        });
        $this->standings->due(batches: 2);

        return $count;
    }
}
