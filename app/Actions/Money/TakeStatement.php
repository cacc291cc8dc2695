<?php

declare(strict_types=1);

namespace App\Actions\Money;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use App\Models\Account;
use App\Models\User;
use App\Support\HouseLog;
use App\Support\Row;
use Illuminate\Database\Connection;

/**
 * Enters a registrar's statement in the ledger: what stands there already is told for the same, and entered only once, however often it is
 * brought in.
 */
final readonly class TakeStatement
{
    private const BATCH = 500;

    /** Days: a line is the same as an entry of the same name and sum within a week. */
    public const WITHIN = 7;

    public function __construct(private Connection $database, private HouseLog $log)
    {
    }

    /**
     * @param  User|null  $user  null: its registrar has told it
     * @return array{int, int} how many lines are new, and how many stood in the ledger already
     */
    public function handle(?User $user, Account $account, Statement $statement): array
    {
        return $this->database->transaction(function () use ($user, $account, $statement): array {
            Account::query()->lockForUpdate()->findOrFail($account->id);
            $before = $this->count($account->id);
            foreach (array_chunk($statement->lines, self::BATCH) as $lines) {
                $this->some($user, $account->id, $lines);
            }
            $new = $this->count($account->id) - $before;
            $this->log->write('statement_taken', 'account', $account->id, ['lines' => count($statement->lines), 'new' => $new], $user?->id);

            return [$new, count($statement->lines) - $new];
        });
    }

    /** @param  list<StatementLine>  $lines */
    private function some(?User $user, int $accountId, array $lines): void
    {
        $lines = $this->unknown($accountId, $lines);
        if ($lines === []) {
            return;
        }
        $names = $this->names($lines);
        $known = $this->entered($accountId, $lines);
        $matched = $new = [];
        foreach ($lines as $line) {
            $nameId = $names[$line->name ?? ''] ?? null;
            $key = self::key($nameId, $line->amount->decimal(), $line->amount->currency);
            $same = self::nearest($known[$key] ?? [], $line->on->epoch);
            if ($same === null) {
                $new[] = [$line, $nameId];
            } else {
                $matched[] = ['account_id' => $accountId, 'reference' => $line->reference, 'ledger_id' => $known[$key][$same]->int('id')];
                unset($known[$key][$same]);
            }
        }
        $this->database->table('statement_lines')->insert([...$matched, ...$this->enter($user, $accountId, $new)]);
    }

    /**
     * Lines that were not brought in before.
     *
     * @param  list<StatementLine>  $lines
     * @return list<StatementLine>
     */
    private function unknown(int $accountId, array $lines): array
    {
        $before = $this->database
            ->table('statement_lines')
            ->where('account_id', $accountId)
            ->whereIn('reference', array_map(fn (StatementLine $line): string => $line->reference, $lines))
            ->pluck('reference')
            ->flip();

        return array_values(array_filter($lines, fn (StatementLine $line): bool => ! $before->has($line->reference)));
    }

    /**
     * @param  list<StatementLine>  $lines
     * @return array<string, int> ids of names that we know, by A-labels
     */
    private function names(array $lines): array
    {
        $asked = array_values(array_filter(array_map(fn (StatementLine $line): ?string => $line->name, $lines), is_string(...)));
        $found = [];
        foreach (Row::all($this->database->table('names')->whereIn('ascii', $asked)->get(['id', 'ascii'])) as $row) {
            $found[$row->text('ascii')] = $row->int('id');
        }

        return $found;
    }

    /**
     * Entries around these days that no line of a statement is told for yet.
     *
     * @param  list<StatementLine>  $lines
     * @return array<string, array<int, Row>> by name and sum
     */
    private function entered(int $accountId, array $lines): array
    {
        $days = array_map(fn (StatementLine $line): int => $line->on->epoch, $lines);
        $found = [];
        foreach (
            Row::all($this->database->select(
                "SELECT l.id, l.name_id, l.amount, l.currency, l.charged_on FROM ledger l
                    WHERE l.account_id = ? AND l.source <> 'statement' AND l.charged_on BETWEEN ?::timestamptz AND ?::timestamptz
                    AND NOT EXISTS (SELECT FROM statement_lines t WHERE t.ledger_id = l.id) ORDER BY l.charged_on, l.id",
                [
                    $accountId,
                    Instant::second(min([...$days, PHP_INT_MAX]))->plusDays(-self::WITHIN)->isoSecond(),
                    Instant::second(max([...$days, 0]))->plusDays(self::WITHIN)->isoSecond(),
                ],
            )) as $row
        ) {
            $amount = Money::of($row->text('amount'), $row->text('currency'));
            $found[self::key($row->intOrNull('name_id'), $amount->decimal(), $amount->currency)][] = $row;
        }

        return $found;
    }

    /**
     * @param  list<array{StatementLine, int|null}>  $new  with its name's id
     * @return list<array{account_id: int, reference: string, ledger_id: int}>
     */
    private function enter(?User $user, int $accountId, array $new): array
    {
        $entered = [];
        foreach ($new as [$line, $nameId]) {
            $id = $this->database->table('ledger')->insertGetId([
                'account_id' => $accountId,
                'name_id' => $nameId,
                'kind' => $line->kind(),
                'amount' => $line->amount->decimal(),
                'currency' => $line->amount->currency,
                'charged_on' => $line->on->isoSecond(),
                'source' => 'statement',
                'reference' => $line->reference,
                // A name that is none of ours stands in its words.
                'words' => mb_substr($nameId === null && $line->name !== null && ! str_contains($line->words, $line->name)
                    ? "{$line->name} {$line->words}"
                    : $line->words, 0, 500),
                'entered_by' => $user?->id,
            ]);
            $entered[] = ['account_id' => $accountId, 'reference' => $line->reference, 'ledger_id' => $id];
        }

        return $entered;
    }

    /**
     * @param  array<int, Row>  $known
     * @return int|null which of them; null: none is near enough
     */
    private static function nearest(array $known, int $epoch): ?int
    {
        $best = null;
        $least = self::WITHIN * 86_400 + 1;
        foreach ($known as $place => $row) {
            $away = abs(($row->instant('charged_on')->epoch ?? 0) - $epoch);
            if ($away < $least) {
                [$best, $least] = [$place, $away];
            }
        }

        return $best;
    }

    private static function key(?int $nameId, string $amount, string $currency): string
    {
        return "{$nameId} {$amount} {$currency}";
    }

    private function count(int $accountId): int
    {
        return $this->database->table('ledger')->where('account_id', $accountId)->count();
    }
}
