<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use App\Actions\Standings\MakeStandings;
use App\Jobs\FindRings;
use App\Models\Contact;
use App\Models\Guarded;
use App\Models\User;
use App\Support\HouseLog;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Connection;

/** Two that are one: what the other did for names, then and now, was done by the one that is kept; its versions stay readable. */
final readonly class MergeContacts
{
    public function __construct(
        private Connection $database,
        private MakeStandings $standings,
        private KeepLikenesses $likenesses,
        private HouseLog $log,
    ) {
    }

    /**
     * @param  list<int>  $others  those that are already part of another are left alone
     * @return int how many became part of it
     *
     * @throws AuthorizationException when letters to one of them would go to another mailbox, and they may not change that
     */
    public function handle(User $user, Contact $kept, array $others): int
    {
        $count = $this->database->transaction(function () use ($user, $kept, $others): int {
            $locked = Contact::query()
                ->whereKey([$kept->id, ...$others])
                ->whereNull('merged_into')
                ->orderBy('id')
                ->lockForUpdate()
                ->get()
                ->keyBy('id');
            if (! $locked->has($kept->id)) {
                return 0;
            }
            $ids = array_values(array_diff($locked->modelKeys(), [$kept->id]));
            $locked->load('today.mailbox');
            $mailbox = fn (int $id): ?string => $locked->find($id)?->today->mailbox?->address;
            if (array_filter($ids, fn (int $id): bool => Guarded::mailbox($user, $mailbox($id), $mailbox($kept->id))) !== []) {
                throw new AuthorizationException((string) __('forms.guarded'));
            }
            foreach ($ids as $id) {
                $this->standings->staleByContact($id);
                // Where both had a role for a name at one time, it was one role, from the first day of either to the last.
                $this->database->statement(
                    'WITH shared AS (SELECT DISTINCT o.registration_id, o.role FROM roles o
                        JOIN roles k ON k.registration_id = o.registration_id AND k.role = o.role AND k.span && o.span
                        WHERE o.contact_id = ? AND k.contact_id = ?),
                        gone AS (DELETE FROM roles r USING shared b WHERE r.registration_id = b.registration_id AND r.role = b.role
                        AND r.contact_id IN (?, ?) RETURNING r.*)
                     INSERT INTO roles (name_id, registration_id, contact_id, role, span) SELECT name_id, registration_id, ?, role,
                     unnest(range_agg(span)) FROM gone GROUP BY name_id, registration_id, role',
                    [$id, $kept->id, $id, $kept->id, $kept->id],
                );
                // Their registrars still have the other's data, until somebody tells them.
                $this->database->update(
                    "UPDATE roles SET told_version_id = ? WHERE contact_id = ? AND role = 'registrant' AND upper_inf(span)
                        AND told_version_id IS NULL",
                    [$locked->find($id)?->today->id, $id],
                );
                $this->database->update('UPDATE roles SET contact_id = ? WHERE contact_id = ?', [$kept->id, $id]);
                $this->database->update('UPDATE contacts SET merged_into = ?, updated_at = now() WHERE id = ? OR merged_into = ?', [
                    $kept->id,
                    $id,
                    $id,
                ]);
                $this->log->write('merged', 'contact', $kept->id, ['other' => $id], $user->id);
            }
            $this->likenesses->of(
                array_map(fn (Contact $contact): string => $contact->today->likeness, array_values($locked->all())),
            );
            $this->database->afterCommit(fn () => FindRings::dispatch());

            return count($ids);
        });
        $this->standings->due(batches: 2);

        return $count;
    }
}
