<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\Contact as ContactValue;
use Acre\Core\Registrant\MaterialChange;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use App\Actions\Standings\MakeStandings;
use App\Jobs\AskRegistrants;
use App\Jobs\FindRings as FindRingsJob;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\Guarded;
use App\Models\User;
use App\Support\ChangedMeanwhile;
use App\Support\HouseLog;
use App\Support\TradeClock;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\Connection;

/**
 * Writes a contact down, new or as another version; the names that it stands behind are told of it. What it says stands in its versions
 * only, never in the log.
 */
final readonly class SaveContact
{
    public function __construct(
        private Connection $database,
        private KeepMailboxes $mailboxes,
        private MakeStandings $standings,
        private KeepLikenesses $likenesses,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /** @param  string  $source  `typed`, `card` or `record` */
    public function create(User $user, ContactValue $value, ?int $clientId, string $source = 'typed'): Contact
    {
        return $this->database->transaction(function () use ($user, $value, $clientId, $source): Contact {
            $contact = Contact::query()->create(['client_id' => $clientId, 'kind' => $value->kind]);
            $this->version($contact, $value, $source, $user, $this->clock->now());
            $this->likenesses->of([$contact->today->likeness]);
            $this->log->write('made', 'contact', $contact->id, [], $user->id);

            return $contact;
        });
    }

    /**
     * @param  int  $version  the one that the form was made from
     * @return bool whether anything changed
     *
     * @throws ChangedMeanwhile when somebody else has saved since
     * @throws AuthorizationException when they may not change where its letters go
     */
    public function change(User $user, Contact $contact, ContactValue $value, ?int $clientId, int $version): bool
    {
        $changed = $this->database->transaction(function () use ($user, $contact, $value, $clientId, $version): bool {
            $locked = Contact::query()->with('today.mailbox')->lockForUpdate()->findOrFail($contact->id);
            $columns = $this->columns($value);
            $before = $locked->today;
            $differs = array_keys(
                array_filter(
                    $columns,
                    fn (mixed $after, string $column): bool => $before->getAttribute($column) !== $after,
                    ARRAY_FILTER_USE_BOTH,
                ),
            );
            $about = array_keys(array_filter(['kind' => $locked->kind !== $value->kind, 'client_id' => $locked->client_id !== $clientId]));
            if ($differs === [] && $about === []) {
                return false;
            }
            if ($locked->version !== $version) {
                throw ChangedMeanwhile::row();
            }
            if (Guarded::mailbox($user, $before->mailbox?->address, $value->mailbox?->address())) {
                throw new AuthorizationException();
            }
            $isMaterial = MaterialChange::is($before->value($locked->kind), $value);
            if (MaterialChange::contradicts($before->value($locked->kind), $value)) {
                // Until they are told, their registrars have what stood here; those that were told something older still have that.
                $this->database->update(
                    "UPDATE roles SET told_version_id = ? WHERE contact_id = ? AND role = 'registrant' AND upper_inf(span)
                        AND told_version_id IS NULL",
                    [$before->id, $locked->id],
                );
            }
            $locked->update(['kind' => $value->kind, 'client_id' => $clientId, 'version' => $version + 1]);
            // Two edits of one second are two versions all the same: a registrar may have been told the first.
            $now =
                $before->span->from === null
                    ? $this->clock->now()
                    : Instant::latest($this->clock->now(), $before->span->from->plusSeconds(1));
            $before->update(['span' => Span::of($before->span->from, $now)]);
            $this->version($locked->refresh(), $value, 'typed', $user, $now);
            if ($isMaterial) {
                $this->database->update(
                    "UPDATE registrations r SET registrant_changed_on = ?::timestamptz FROM roles o
                        WHERE o.registration_id = r.id AND o.contact_id = ? AND o.role = 'registrant' AND upper_inf(o.span)",
                    [$this->clock->now()->isoSecond(), $locked->id],
                );
            }
            $this->standings->staleByContact($locked->id);
            $this->likenesses->of([$before->likeness, $locked->refresh()->today->likeness]);
            $this->log->write(
                'changed',
                'contact',
                $locked->id,
                ['fields' => array_values(array_diff([...$differs, ...$about], ['likeness'])), 'version' => $locked->version],
                $user->id,
            );
            $this->database->afterCommit(fn () => FindRingsJob::dispatch());

            return true;
        });
        // A few now, so that the next page is true; the scheduler takes what is left.
        $this->standings->due(batches: 2);
        if ($changed) {
            AskRegistrants::dispatch();
        }

        return $changed;
    }

    private function version(Contact $contact, ContactValue $value, string $source, User $user, Instant $now): void
    {
        ContactVersion::query()->create([
            ...$this->columns($value),
            'contact_id' => $contact->id,
            'number' => $contact->version,
            'span' => Span::since($now),
            'source' => $source,
            'user_id' => $user->id,
        ]);
    }

    /** @return array<string, mixed> */
    private function columns(ContactValue $value): array
    {
        $address = $value->mailbox?->address();

        return ContactVersion::columns($value, $address === null ? null : $this->mailboxes->of([$address])[mb_strtolower($address)]);
    }
}
