<?php

declare(strict_types=1);

namespace App\Actions\Transfer;

use Acre\Core\Contact\TakesMail;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Money\Money;
use Acre\Core\Price\Rate;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Transfer\Approver;
use Acre\Core\Transfer\ArrivalsSeen;
use Acre\Core\Transfer\CodeKnown;
use Acre\Core\Transfer\Dispute;
use Acre\Core\Transfer\Gaining;
use Acre\Core\Transfer\Losing;
use Acre\Core\Transfer\ServersKnown;
use Acre\Core\Transfer\Transfer;
use App\Models\Account;
use App\Queries\Money\PriceBook;
use App\Queries\Movements\SeenArrivals;
use App\Queries\Names\HeldCase;
use App\Queries\Servers\OwnServers;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Makes the transfers of names that the core judges, from what the tables say; read at once for many names. */
final class JudgeTransfers
{
    /** @var array<int, Row> by name: its code, its kept zone, its DS, what is disputed */
    private array $known = [];

    /** @var array<string, Rate|null> of a transfer by suffix; null: only other actions have one */
    private array $prices = [];

    /** @var array<int, array<string, ArrivalsSeen>> by registrar and suffix */
    private array $seen = [];

    public function __construct(
        private readonly Connection $database,
        private readonly OwnServers $own,
        private readonly SeenArrivals $arrivals,
        private readonly PriceBook $book,
        private readonly Rulebook $rules,
    ) {
    }

    /**
     * @param  list<HeldCase>  $files
     * @param  Account|null  $gaining  null: none of ours
     */
    public function readAhead(array $files, ?Account $gaining, Instant $now): void
    {
        $names = '{'.implode(',', array_map(fn (HeldCase $file): int => $file->nameId, $files)).'}';
        $registrars = array_unique(array_map(fn (HeldCase $file): int => $file->account->registrar, $files));
        $this->known = $this->prices = [];
        foreach (
            Row::all($this->database->select(
                "SELECT n.id, a.got_on, a.fits, (SELECT max(c.taken_at) FROM zone_copies c WHERE c.name_id = n.id) AS kept_at,
                    d.delegates <> '[]' AS is_signed,
                    (SELECT string_agg(o.kind, ',' ORDER BY o.kind) FROM disputes o
                        WHERE o.name_id = n.id AND o.ended_on IS NULL) AS disputed
                 FROM unnest(?::bigint[]) AS n(id) LEFT JOIN auth_codes a ON a.name_id = n.id
                 LEFT JOIN delegates_seen d ON d.name_id = n.id",
                [$names],
            )) as $row
        ) {
            $this->known[$row->int('id')] = $row;
        }
        $this->own->readAhead(array_values($registrars));
        $this->seen = $this->arrivals->from($registrars, $now);
        if ($gaining !== null) {
            $this->prices = array_map(
                fn (array $rates): ?Rate => $rates['transfer'] ?? null,
                $this->book->of([$gaining->registrar_id], $now)[$gaining->registrar_id] ?? [],
            );
        }
    }

    /** What it costs at the gaining registrar, with tax; null: not known. */
    public function price(HeldCase $file): ?Money
    {
        return ($this->prices[$file->facts->name->suffix()] ?? null)?->gross();
    }

    /** The same before tax, as registries count it. */
    public function fee(HeldCase $file): ?Money
    {
        return ($this->prices[$file->facts->name->suffix()] ?? null)?->net();
    }

    /** The side where a name that was read ahead is to go, in an account of ours. */
    public function gaining(HeldCase $file, Account $account, bool $renews): Gaining
    {
        $registrar = $account->registrar;
        $tags = array_filter($registrar->behind, fn (string $one): bool => preg_match('/\A[A-Z][A-Z0-9-]{1,15}\z/', $one) === 1);

        return new Gaining(
            $registrar->name,
            // A registrar whose price list is known takes what stands there.
            $this->prices === [] ? null : array_key_exists($file->facts->name->suffix(), $this->prices),
            $registrar->takes_keys,
            $registrar->own_servers_only,
            $registrar->transfers_by_letter,
            $this->price($file),
            renewsItself: $renews,
            // Registries write tags in capitals (common practice).
            tag: array_values($tags)[0] ?? null,
        );
    }

    /** Of a name that was read ahead. */
    public function of(HeldCase $file, Gaining $gaining, Instant $now): Transfer
    {
        $known = $this->known[$file->nameId] ?? null;
        $codeSince = $known?->instant('got_on');

        return new Transfer(
            $file->life($this->rules, $now),
            new Losing(
                $file->account->registrarName,
                $file->account->ours,
                $file->facts->intent === Intent::ByItself ? true : null,
                $file->extras,
            ),
            $gaining,
            $codeSince === null ? CodeKnown::none() : CodeKnown::since($codeSince, $known?->boolOrNull('fits')),
            $this->approver($file),
            new ServersKnown(
                $this->own->are($file->account->registrar, $file->servers),
                $known?->instant('kept_at'),
                $known?->boolOrNull('is_signed'),
            ),
            self::disputes($known?->textOrNull('disputed')),
            underWay: $file->waiting,
            seenOutside: $file->seenOutside(),
            seen: $this->seen[$file->account->registrar][$file->facts->name->suffix()] ?? null,
        );
    }

    /** @return list<Dispute> */
    private static function disputes(?string $kinds): array
    {
        return $kinds === null ? [] : array_map(Dispute::from(...), explode(',', $kinds));
    }

    private function approver(HeldCase $file): Approver
    {
        $guard = $file->guard;

        return new Approver(
            $guard?->mailbox,
            $guard === null ? TakesMail::Unknown : $guard->takesMail,
            $guard?->forwardsTo !== null,
            $guard?->site === $file->facts->name->ascii,
            $file->disclosure === Disclosure::Replaced,
        );
    }
}
