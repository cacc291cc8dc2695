<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Contact\HolderKind;
use Acre\Core\Contact\TakesMail;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\Privacy;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Movement\Account;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Name\DomainName;
use Acre\Core\Price\Rate;
use Acre\Core\Registrant\Guard;
use Acre\Core\Time\Instant;
use App\Models\LineState;
use App\Queries\Contacts\StillTold;
use App\Queries\Money\PriceBook;
use App\Support\Row;
use Illuminate\Database\Connection;

/** The case files of names that are held or watched, nine queries for however many. */
final readonly class CaseFiles
{
    public function __construct(
        private Connection $database,
        private StillTold $told,
        private PriceBook $prices,
        private int $askLead,
    ) {
    }

    /**
     * Names that nobody holds or watches are left out.
     *
     * @param  list<int>  $nameIds
     * @param  Instant  $now  by trade time: which prices hold
     * @return array<int, HeldCase|WatchedCase> by name id, in the order asked for
     */
    public function of(array $nameIds, Instant $now): array
    {
        if ($nameIds === []) {
            return [];
        }
        $in = '{'.implode(',', $nameIds).'}';
        $rows = Row::all(
            $this->database->select(
                <<<'SQL'
                SELECT n.id, n.ascii, n.suffix, r.id AS registration_id, r.created_on, r.created_is_day, r.ends_on, r.ends_is_day,
                r.moved_on, r.moved_is_day,
                    r.statuses, r.deleted_since, r.lock, r.intent, r.reference, r.disclosure, r.shown, r.servers,
                    r.own_renewal, r.own_currency, r.registrant_changed_on, h.missing_since, h.account_id, c.id AS client_id,
                    c.name AS client_name,
                    -- Each looked up by itself: of names that a list has just brought no statistics say how few they are.
                    (SELECT o.is_ok FROM observing o WHERE o.name_id = n.id) AS is_ok
                FROM names n
                JOIN registrations r ON r.name_id = n.id AND upper_inf(r.span)
                JOIN holdings h ON h.name_id = n.id AND upper_inf(h.span)
                JOIN clients c ON c.id = h.client_id
                WHERE n.id = ANY (?::bigint[])
                SQL
                ,
                [$in],
            ),
        );
        $places = $this->places($rows);
        $prices = $this->prices($places, $now);
        [$extras, $privacy] = $this->extras($in, $now);
        $waiting = $this->waiting($in);
        $words = $this->words($in);
        $drifts = $this->drifts($in);
        $guards = $this->guards($in);
        [$begun, $prepared] = $this->unended($in);
        $found = [];
        foreach ($rows as $row) {
            $id = $row->int('id');
            $place = $places[$row->int('account_id')];
            $found[$id] = $this->file(
                $row,
                $place,
                $prices[$place->account->registrar][$row->text('suffix')] ?? [],
                $extras[$id] ?? [],
                $words[$id] ?? [],
                $waiting[$id] ?? null,
                $drifts[$id] ?? [],
                $guards[$id] ?? null,
                $privacy[$id] ?? null,
                $begun[$id] ?? null,
                $prepared[$id] ?? [],
            );
        }
        $missing = array_values(array_diff($nameIds, array_keys($found)));
        $found += $missing === [] ? [] : $this->watched('{'.implode(',', $missing).'}', $words);
        $ordered = [];
        foreach ($nameIds as $id) {
            if (isset($found[$id])) {
                $ordered[$id] = $found[$id];
            }
        }

        return $ordered;
    }

    /**
     * Those alone that lie in our accounts.
     *
     * @param  list<int>  $nameIds
     * @return array<int, HeldCase> by name id, in the order asked for
     */
    public function held(array $nameIds, Instant $now): array
    {
        return array_filter($this->of($nameIds, $now), fn (RollCase $file): bool => $file instanceof HeldCase);
    }

    public function named(DomainName $name, Instant $now): CaseFile
    {
        $id = $this->database->scalar('SELECT id FROM names WHERE ascii = ?', [$name->ascii]);

        return is_int($id) ? $this->of([$id], $now)[$id] ?? new UnheldCase($name) : new UnheldCase($name);
    }

    /**
     * @param  array<string, Money>  $prices
     * @param  list<ExtraKind>  $extras
     * @param  list<int>  $words
     * @param  list<OpenDrift>  $drifts
     * @param  list<int>  $prepared
     */
    private function file(
        Row $row,
        AccountTerms $place,
        array $prices,
        array $extras,
        array $words,
        ?Waiting $waiting,
        array $drifts,
        ?Guard $guard,
        ?Privacy $privacy,
        ?int $begun,
        array $prepared,
    ): HeldCase {
        $statuses = array_map(
            fn (mixed $status): ?Status => is_string($status) ? Status::tryFrom($status) : null,
            array_values($row->json('statuses')),
        );

        return new HeldCase(
            $row->int('id'),
            $row->int('registration_id'),
            new NameFacts(
                DomainName::of($row->text('ascii')),
                $row->instant('created_on', 'created_is_day'),
                $row->instant('ends_on', 'ends_is_day'),
                $row->instant('moved_on', 'moved_is_day'),
                array_values(array_filter($statuses)),
                Lock::from($row->text('lock')),
                Intent::from($row->text('intent')),
                $row->instant('missing_since')?->toDay(),
                $row->instant('registrant_changed_on'),
                $row->instant('deleted_since'),
                ...[...OpenDrift::laterEnd($drifts), OpenDrift::seenOutside($drifts), $row->bool('is_ok')],
            ),
            $place->lateTerms(
                $this->askLead,
                $row->textOrNull('own_renewal') === null
                    ? $prices['renew'] ?? null
                    : Money::of($row->text('own_renewal'), $row->text('own_currency')),
                $prices['late'] ?? null,
                $prices['restore'] ?? null,
            ),
            $place->terms,
            $place->account,
            $row->int('client_id'),
            $row->text('client_name'),
            $guard,
            $row->textOrNull('reference') ?? '',
            // Whose service is over is read again, in which fields nobody has seen yet.
            $row->text('disclosure') === Disclosure::Replaced->value && $privacy !== null && ! in_array(ExtraKind::Privacy, $extras, true)
                ? Disclosure::NotKnown
                : Disclosure::from($row->text('disclosure')),
            $row->textOrNull('shown') === null ? null : Pattern::read($row->json('shown')),
            $place->steps,
            $place->holdDeclinable,
            array_values(array_filter($row->json('servers'), is_string(...))),
            $words,
            $place->acceptDays,
            $place->lotSize,
            $extras,
            $waiting,
            $drifts,
            $privacy,
            begun: $begun,
            prepared: $prepared,
            weVerify: $place->weVerify,
        );
    }

    /**
     * @param  array<int, list<int>>  $words  by name
     * @return array<int, WatchedCase>
     */
    private function watched(string $in, array $words): array
    {
        $found = [];
        $rows = $this->database->select(
            'SELECT w.*, n.ascii, c.name AS client_name FROM watchings w JOIN names n ON n.id = w.name_id
                JOIN clients c ON c.id = w.client_id WHERE w.name_id = ANY (?::bigint[])',
            [$in],
        );
        foreach (Row::all($rows) as $row) {
            $id = $row->int('name_id');
            $statuses = array_map(
                fn (mixed $status): ?Status => is_string($status) ? Status::tryFrom($status) : null,
                array_values($row->json('statuses')),
            );
            $found[$id] = new WatchedCase(
                $id,
                new NameFacts(
                    DomainName::of($row->text('ascii')),
                    $row->instant('created_on'),
                    $row->instant('ends_on'),
                    $row->instant('moved_on'),
                    array_values(array_filter($statuses)),
                    deletedSince: $row->instant('deleted_since'),
                ),
                new LateTerms(askLead: $this->askLead),
                $row->int('client_id'),
                $row->text('client_name'),
                $row->text('registrant'),
                array_values(array_filter($row->json('servers'), is_string(...))),
                $words[$id] ?? [],
                $row->text('registrar'),
                $row->text('why'),
                $row->instant('since') ?? Instant::second(0),
            );
        }

        return $found;
    }

    /**
     * The accounts that the names lie in, each read once however many names it has.
     *
     * @param  list<Row>  $rows
     * @return array<int, AccountTerms> by account id
     */
    private function places(array $rows): array
    {
        $accounts = array_unique(array_map(fn (Row $row): int => $row->int('account_id'), $rows));
        $places = [];
        foreach (Row::all($this->database->select(AccountTerms::QUERY, ['{'.implode(',', $accounts).'}'])) as $row) {
            $places[$row->int('account_id')] = AccountTerms::of($row);
        }

        return $places;
    }

    /**
     * What is paid in the end for each action in force, by registrar and suffix.
     *
     * @param  array<int, AccountTerms>  $places
     * @return array<int, array<string, array<string, Money>>>
     */
    private function prices(array $places, Instant $now): array
    {
        $registrars = array_unique(array_map(fn (AccountTerms $place): int => $place->account->registrar, $places));

        return array_map(
            fn (array $suffixes): array => array_map(
                fn (array $rates): array => array_map(fn (Rate $rate): Money => $rate->gross(), $rates),
                $suffixes,
            ),
            $this->prices->of($registrars, $now),
        );
    }

    /**
     * @return array{array<int, list<ExtraKind>>, array<int, Privacy>} what was bought and has not ended, and privacy services whether they
     *     have or not, by name
     */
    private function extras(string $in, Instant $now): array
    {
        $found = $privacy = [];
        $rows = $this->database->select(
            // The registrations first (OFFSET 0): few extras look to the planner like a reason to read every registration beside them.
            'SELECT r.name_id, e.kind, e.ends_on, e.renews FROM (SELECT id, name_id FROM registrations
                WHERE name_id = ANY (?::bigint[]) AND upper_inf(span) OFFSET 0) r
             JOIN extras e ON e.registration_id = r.id WHERE e.ended_on IS NULL ORDER BY e.id',
            [$in],
        );
        foreach (Row::all($rows) as $row) {
            $kind = ExtraKind::from($row->text('kind'));
            $service =
                $kind === ExtraKind::Privacy
                    ? ($privacy[$row->int('name_id')] = new Privacy($row->instant('ends_on')?->toDay(), $row->bool('renews')))
                    : null;
            if ($service?->isOverAt($now) !== true) {
                $found[$row->int('name_id')][] = $kind;
            }
        }

        return [$found, $privacy];
    }

    /** @return array<int, list<int>> */
    private function words(string $in): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select('SELECT name_id, word_id FROM name_words WHERE name_id = ANY (?::bigint[]) ORDER BY word_id', [
                    $in,
                ]),
            ) as $row
        ) {
            $found[$row->int('name_id')][] = $row->int('word_id');
        }

        return $found;
    }

    /** @return array<int, Guard> */
    private function guards(string $in): array
    {
        $found = [];
        $rows = $this->database->select(
            "SELECT x.name_id, x.contact_id, x.kind, x.called, x.address, x.site, x.takes_mail, x.client_id, x.told_id, x.version_id,
                s.intent, g.size,
                b.verified_on, b.verified_by, b.forwards_to, r.registrant_changed_on,
                CASE WHEN b.verified_on IS NULL THEN (SELECT min(l.written_on) FROM letters l
                WHERE l.mailbox_id = b.id AND l.kind = 'verification' AND l.state = 'sent'
                AND NOT EXISTS (SELECT 1 FROM objections o WHERE o.mailbox_id = b.id AND o.said_on >= l.written_on)) END AS asked_on,
                (SELECT CASE WHEN l.state IN ('returned', 'refused') THEN coalesce(l.answer, '') END FROM letters l
                WHERE lower(l.mailbox) = lower(x.address) AND l.state NOT IN ('kept', 'called_off') ORDER BY l.id DESC LIMIT 1) AS bounced
             FROM registrants x JOIN registrations r ON r.name_id = x.name_id AND upper_inf(r.span)
             LEFT JOIN mailboxes b ON b.id = x.mailbox_id LEFT JOIN names n ON n.ascii = x.site
             LEFT JOIN registrations s ON s.name_id = n.id AND upper_inf(s.span) LEFT JOIN ring_members g ON g.name_id = x.name_id
             WHERE x.name_id = ANY (?::bigint[])",
            [$in],
        );
        $rows = Row::all($rows);
        $outdated = $this->told->outdated(
            array_map(
                fn (Row $row): array => [$row->intOrNull('told_id') ?? $row->int('version_id'), $row->int('version_id')],
                $rows,
            ),
        );
        foreach ($rows as $place => $row) {
            $intent = $row->textOrNull('intent');
            $found[$row->int('name_id')] = new Guard(
                $row->int('contact_id'),
                HolderKind::from($row->text('kind')),
                $row->text('called'),
                $row->textOrNull('address'),
                ($row->textOrNull('site') ?? '') === '' ? null : $row->text('site'),
                TakesMail::from($row->textOrNull('takes_mail') ?? 'unknown'),
                $intent === null ? null : Intent::from($intent),
                $row->intOrNull('size') ?? 0,
                $row->intOrNull('client_id') !== null,
                $row->instant('verified_on'),
                $row->instant('registrant_changed_on'),
                $row->textOrNull('bounced'),
                $outdated[$place] ? $row->int('told_id') : null,
                $row->instant('asked_on'),
                $row->textOrNull('forwards_to'),
                $row->textOrNull('verified_by') === 'registrar',
            );
        }

        return $found;
    }

    /** @return array<int, list<OpenDrift>> */
    private function drifts(string $in): array
    {
        $found = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT id, name_id, finding, said, certainty, first_seen, last_seen, since FROM drifts
                        WHERE state = 'open' AND name_id = ANY (?::bigint[]) ORDER BY cost, id",
                    [$in],
                ),
            ) as $row
        ) {
            $found[$row->int('name_id')][] = OpenDrift::of($row);
        }

        return $found;
    }

    /**
     * @return array{array<int, int>, array<int, list<int>>} by name: the oldest docket that has begun something, and those that wait to be
     *     settled
     */
    private function unended(string $in): array
    {
        $begun = $prepared = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT name_id, docket_id, state FROM docket_lines
                        WHERE state IN ('begun', 'prepared') AND name_id = ANY (?::bigint[]) ORDER BY docket_id",
                    [$in],
                ),
            ) as $row
        ) {
            if ($row->text('state') === LineState::Begun->value) {
                $begun[$row->int('name_id')] ??= $row->int('docket_id');
            } else {
                $prepared[$row->int('name_id')][] = $row->int('docket_id');
            }
        }

        return [$begun, $prepared];
    }

    /** @return array<int, Waiting> */
    private function waiting(string $in): array
    {
        $found = [];
        $rows = $this->database->select(
            'SELECT name_id, docket_id, coalesce(expected_by, opened_on) AS by FROM movements
                WHERE closed_on IS NULL AND name_id = ANY (?::bigint[])',
            [$in],
        );
        foreach (Row::all($rows) as $row) {
            $by = $row->instant('by');
            if ($by !== null) {
                $found[$row->int('name_id')] = new Waiting($row->int('docket_id'), $by->toDay());
            }
        }

        return $found;
    }
}
