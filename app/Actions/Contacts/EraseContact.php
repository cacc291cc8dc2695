<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Time\Instant;
use App\Actions\Proofs\Chain;
use App\Models\Contact;
use App\Models\ContactVersion;
use App\Models\ProofKind;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * Erases what is known of a person who asks for it: every version, the mailbox where nothing else has it, the letters to it,
 * and what lists had said. Log, dockets and proofs name contacts by number, and stay whole.
 */
final readonly class EraseContact
{
    public const ERASED = 'erased';

    public function __construct(
        private Connection $database,
        private KeepLikenesses $likenesses,
        private Chain $chain,
        private TradeClock $clock,
        private HouseLog $log,
    ) {
    }

    /**
     * @return int of how many names they are something today: as long as there is one, the law that lets a person ask lets the house refuse
     */
    public function stands(int $contactId): int
    {
        return Row::of(
            $this->database->selectOne('SELECT count(DISTINCT name_id) AS names FROM roles WHERE contact_id = ? AND upper_inf(span)', [
                $contactId,
            ]),
        )->int('names');
    }

    /**
     * @param  string  $words  how it was asked for
     * @return array<string, int>|null what went, by kind; null: they stand behind names, or are erased already
     */
    public function handle(User $user, Contact $contact, Instant $askedOn, string $words): ?array
    {
        return $this->database->transaction(function () use ($user, $contact, $askedOn, $words): ?array {
            Contact::query()->lockForUpdate()->findOrFail($contact->id);
            if ($this->stands($contact->id) > 0 || $this->database->table('erasures')->where('contact_id', $contact->id)->exists()) {
                return null;
            }
            // What became part of it is the same person.
            $ids = array_values(
                array_filter(
                    Contact::query()->where('merged_into', $contact->id)->orWhere('id', $contact->id)->pluck('id')->all(),
                    is_int(...),
                ),
            );
            $versions = ContactVersion::query()->whereIn('contact_id', $ids)->with('mailbox')->orderBy('id')->get();
            $digest = hash('sha256', random_bytes(32).json_encode($versions->toArray(), JSON_THROW_ON_ERROR));
            $mailboxes = array_values(array_unique(array_filter($versions->pluck('mailbox_id')->all(), is_int(...))));
            $called = array_values(
                array_unique(array_filter($versions->pluck('called')->all(), fn (mixed $text): bool => is_string($text) && $text !== '')),
            );
            $likenesses = $versions->map(fn (ContactVersion $version): string => $version->likeness)->all();
            $counts = ['versions' => $this->versions($ids), ...$this->lists($called, $mailboxes), ...$this->mailboxes($mailboxes)];
            $this->database->table('erasures')->insert([
                'contact_id' => $contact->id,
                'asked_on' => $askedOn->isoSecond(),
                'erased_on' => $this->clock->now()->isoSecond(),
                'words' => $words,
                'counts' => json_encode($counts, JSON_THROW_ON_ERROR),
                'digest' => $digest,
                'user_id' => $user->id,
            ]);
            $this->likenesses->of(array_values($likenesses));
            $this->chain->append(ProofKind::Erasure, $contact->id);
            $this->log->write('erased', 'contact', $contact->id, $counts, $user->id);

            return $counts;
        });
    }

    /** @param  list<int>  $ids */
    private function versions(array $ids): int
    {
        return $this->database->update(
            "UPDATE contact_versions SET organisation = NULL, person = ?, street = '[]', town = NULL, region = NULL, postcode = NULL,
                country = NULL, voice = NULL, mailbox_id = NULL, local = NULL, likeness = '' WHERE contact_id = ANY (?::bigint[])",
            [self::ERASED, '{'.implode(',', $ids).'}'],
        );
    }

    /**
     * What lists had said of them, before and after.
     *
     * @param  list<string>  $called
     * @param  list<int>  $mailboxIds
     * @return array{list_lines: int}
     */
    private function lists(array $called, array $mailboxIds): array
    {
        $addresses = $this->database->table('mailboxes')->whereIn('id', $mailboxIds)->pluck('address')->all();
        $values = json_encode([...$called, ...$addresses], JSON_THROW_ON_ERROR);

        return [
            'list_lines' => $this->database->update(
                "UPDATE import_rows SET facts = facts - 'registrant' - 'mailbox',
                changes = (SELECT coalesce(jsonb_agg(c), '[]') FROM jsonb_array_elements(changes) c
                WHERE c->>0 NOT IN ('registrant', 'mailbox'))
             WHERE facts->>'registrant' IN (SELECT json_array_elements_text(?::json))
             OR facts->>'mailbox' IN (SELECT json_array_elements_text(?::json))
                OR EXISTS (SELECT 1 FROM jsonb_array_elements(changes) c
                WHERE c->>0 IN ('registrant', 'mailbox') AND (c->>1 IN (SELECT json_array_elements_text(?::json))
                OR c->>2 IN (SELECT json_array_elements_text(?::json))))",
                [$values, $values, $values, $values],
            ),
        ];
    }

    /**
     * Those that nothing else has any more, with the letters to them.
     *
     * @param  list<int>  $ids
     * @return array{mailboxes: int, letters: int}
     */
    private function mailboxes(array $ids): array
    {
        $gone = array_map(
            fn (Row $row): int => $row->int('id'),
            Row::all(
                $this->database->select(
                    'SELECT m.id FROM mailboxes m WHERE m.id = ANY (?::bigint[])
                        AND NOT EXISTS (SELECT 1 FROM contact_versions v WHERE v.mailbox_id = m.id)
             AND NOT EXISTS (SELECT 1 FROM accounts a WHERE lower(a.mailbox) = lower(m.address))
             AND NOT EXISTS (SELECT 1 FROM clients c WHERE lower(c.mailbox) = lower(m.address)) FOR UPDATE',
                    ['{'.implode(',', $ids).'}'],
                ),
            ),
        );
        $in = '{'.implode(',', $gone).'}';
        $letters = $this->database->update(
            "UPDATE letters l SET mailbox = ?, subject = ?, body = '', answer = NULL FROM mailboxes m
                WHERE m.id = ANY (?::bigint[]) AND lower(l.mailbox) = lower(m.address)",
            [self::ERASED, self::ERASED, $in],
        );
        $this->database->update(
            'UPDATE links k SET mailbox = ?, withdrawn_at = coalesce(withdrawn_at, clock_timestamp()) FROM mailboxes m
                WHERE m.id = ANY (?::bigint[]) AND lower(k.mailbox) = lower(m.address)',
            [self::ERASED, $in],
        );
        $this->database->update(
            'UPDATE confirmations c SET mailbox = ?, words = NULL FROM mailboxes m
                WHERE m.id = ANY (?::bigint[]) AND lower(c.mailbox) = lower(m.address)',
            [self::ERASED, $in],
        );
        $this->database->delete('DELETE FROM objections WHERE mailbox_id = ANY (?::bigint[])', [$in]);
        $this->database->update(
            "UPDATE mailboxes SET address = 'erased-' || id || '@erased.invalid', site = '', takes_mail = 'unknown', verified_on = NULL,
                verified_by = NULL, verified_words = NULL, verified_user_id = NULL, forwards_to = NULL WHERE id = ANY (?::bigint[])",
            [$in],
        );

        return ['mailboxes' => count($gone), 'letters' => $letters];
    }
}
