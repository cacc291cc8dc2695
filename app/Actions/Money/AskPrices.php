<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Actions\Standings\MakeStandings;
use App\Models\Account;
use App\Models\Registration;
use App\Outside\Reach\NotReached;
use App\Outside\Registrar\AskedPrice;
use App\Outside\Registrar\Registrar;
use App\Outside\Registrar\Registrars;
use App\Queries\Money\PriceBook;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/**
 * What a year of names costs, as their registrar itself says (RFC 8748): of those that end soon once a month, of all others when their turn
 * comes. What it calls dearer than others gets a price of its own; what it doesn't is held against its list.
 */
final readonly class AskPrices
{
    /** Days before its end on which a name is asked for first: our own choice, like the others here. */
    private const AHEAD = 75;

    /** Days after which it is asked for again. */
    private const AGAIN = 30;

    /** Names in one question, and questions in one go. */
    private const AT_ONCE = 20;

    private const QUESTIONS = 5;

    /** Questions without an answer, after which a registrar is left alone: each may take as long as a connection is waited for. */
    private const SILENT = 3;

    public function __construct(
        private Connection $database,
        private Registrars $registrars,
        private PriceBook $book,
        private MakeStandings $standings,
        private TradeClock $clock,
    ) {
    }

    public function handle(int $accountId): void
    {
        $account = Account::query()->with('registrar')->find($accountId);
        $registrar = $account === null ? null : $this->registrars->of($account);
        if ($account === null || $registrar === null) {
            return;
        }
        for ($questions = 0; $questions < self::QUESTIONS; $questions++) {
            $due = $this->due($accountId);
            if ($due === []) {
                return;
            }
            try {
                $this->ask($account, $registrar, $due);
            } catch (NotReached) {
                return;
            }
        }
    }

    /**
     * @param  non-empty-list<Row>  $due
     *
     * @throws NotReached when it answers nothing
     */
    private function ask(Account $account, Registrar $registrar, array $due): void
    {
        try {
            $prices = $registrar->prices($account, array_map(fn (Row $row): string => $row->text('ascii'), $due));
            $this->database->transaction(fn () => $this->keep($account, $due, $prices ?? []));
        } catch (NotReached $e) {
            if (! $e->isOfOneQuestion || count($due) === 1) {
                throw $e;
            }
            $this->askEach($account, $registrar, $due);
        }
    }

    /**
     * One of them it can't be asked about: the others are asked without it, and it has had its turn like them.
     *
     * @param  list<Row>  $due
     *
     * @throws NotReached when it answers nothing
     */
    private function askEach(Account $account, Registrar $registrar, array $due): void
    {
        $odd = [];
        foreach ($due as $row) {
            try {
                $this->ask($account, $registrar, [$row]);
            } catch (NotReached $e) {
                $odd[] = $row;
                if (! $e->isOfOneQuestion || count($odd) === self::SILENT) {
                    throw $e;
                }
            }
        }
        $this->database->transaction(fn () => $this->keep($account, $odd, []));
    }

    /** @return list<Row> name_id, ascii, suffix */
    private function due(int $accountId): array
    {
        $today = $this->clock->today();

        return Row::all($this->database->select(
            "SELECT s.name_id, s.ascii, s.suffix FROM standings s
                LEFT JOIN asked_prices p ON p.name_id = s.name_id AND p.account_id = s.account_id
                WHERE s.account_id = ? AND s.phase IN ('in_term', 'grace') AND s.ends_on < ?::timestamptz
                    AND (p.asked_on IS NULL OR p.asked_on <= ?::date)
                ORDER BY s.ends_on, s.name_id LIMIT ?",
            [$accountId, $today->plusDays(self::AHEAD)->isoSecond(), $today->plusDays(-self::AGAIN)->date(), self::AT_ONCE],
        ));
    }

    /**
     * @param  list<Row>  $due
     * @param  array<string, AskedPrice>  $prices
     */
    private function keep(Account $account, array $due, array $prices): void
    {
        $now = $this->clock->now();
        $listed = $this->book->of([$account->registrar_id], $now)[$account->registrar_id] ?? [];
        $changed = [];
        foreach ($due as $row) {
            $price = $prices[$row->text('ascii')] ?? null;
            $this->database->insert(
                'INSERT INTO asked_prices (name_id, account_id, suffix, renew, currency, is_standard, asked_on)
                    VALUES (?, ?, ?, ?, ?, ?, ?)
                    ON CONFLICT (name_id) DO UPDATE SET account_id = excluded.account_id, suffix = excluded.suffix,
                        renew = excluded.renew, currency = excluded.currency, is_standard = excluded.is_standard,
                        asked_on = excluded.asked_on',
                [
                    $row->int('name_id'),
                    $account->id,
                    $row->text('suffix'),
                    $price?->renew->decimal(),
                    $price?->renew->currency,
                    $price?->isStandard,
                    $now->date(),
                ],
            );
            if ($price !== null) {
                $tax = ($listed[$row->text('suffix')]['renew'] ?? null)->taxPercent ?? '0';
                $own = $price->isStandard ? null : $price->renew->withTax($tax);
                $changed = [...$changed, ...$this->own($row->int('name_id'), $own, $now)];
            }
        }
        if ($changed !== []) {
            $this->standings->of($changed);
        }
    }

    /**
     * What people entered themselves stays as they did.
     *
     * @param  Money|null  $own  with tax; null: none but that of the list
     * @return list<int> the name, if that changed something
     */
    private function own(int $nameId, ?Money $own, Instant $now): array
    {
        $registration = Registration::query()
            ->where('name_id', $nameId)
            ->whereRaw('upper_inf(span)')
            ->lockForUpdate()
            ->first();
        $isTold = ($registration->sources['own_renewal']['from'] ?? null) === 'registrar';
        $is = $registration?->own_renewal === null ? null : Money::of($registration->own_renewal, (string) $registration->own_currency);
        if ($registration === null || ($is !== null && ! $isTold) || ($own === null ? $is === null : $is?->equals($own) === true)) {
            return [];
        }
        $registration->own_renewal = $own?->decimal();
        $registration->own_currency = $own?->currency;
        $registration->version++;
        $registration->sources = [
            ...$registration->sources,
            'own_renewal' => ['from' => 'registrar', 'at' => $now->isoSecond()],
        ];
        $registration->save();

        return [$nameId];
    }
}
