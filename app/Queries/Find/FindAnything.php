<?php

declare(strict_types=1);

namespace App\Queries\Find;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use App\Models\Account;
use App\Models\Client;
use App\Models\Docket;
use App\Models\Registrar;
use App\Queries\Accounts\FindAccounts;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;

/** Names, accounts, clients, registrars and dockets that answer to what was typed in the mast; misspelt, if need be. */
final readonly class FindAnything
{
    /** From so many letters on a part is looked for anywhere; below, only at the beginning. */
    private const LETTERS = 3;

    private const LIMIT = 8;

    /** As many as are gathered before the best of them are shown. */
    private const GATHERED = 200;

    /** How alike a misspelt word must be, from 0 to 1: the house's own choice. */
    private const ALIKE = 0.4;

    public function __construct(private Connection $database, private FindAccounts $accounts)
    {
    }

    /**
     * @return array<string, list<Found>> by kind: names or, if it seems misspelt, names alike; accounts, clients, registrars, dockets;
     *     those with something in them
     */
    public function matching(string $text): array
    {
        $text = trim(mb_substr(mb_scrub($text), 0, 200));
        if ($text === '') {
            return [];
        }

        $needle = $this->needle($text);
        $names = $this->names($needle);

        return array_filter(
            [
                'names' => $names,
                'alike' => $names === [] ? $this->alike($needle) : [],
                'accounts' => $this->accounts($text),
                'clients' => $this->clients($text),
                'registrars' => $this->registrars($text),
                'dockets' => $this->dockets($text),
            ],
            fn (array $found): bool => $found !== [],
        );
    }

    /** The one name that was typed in full, if it is held. */
    public function exactly(string $text): ?string
    {
        try {
            $ascii = DomainName::of($text)->registrable()->ascii;
        } catch (NameError) {
            return null;
        }

        return $this->database->table('standings')->where('ascii', $ascii)->exists() ? $ascii : null;
    }

    /** @return list<Found> names that begin so, then those that hold it anywhere, or that something behind them does */
    private function names(string $needle): array
    {
        $beyond = $needle."\u{10FFFF}";
        $rows = $this->rows(
            fn (Builder $query): Builder => $query
                ->whereBetween('ascii', [$needle, $beyond])
                ->orderBy('ascii')
                ->limit(self::LIMIT),
        );
        if (count($rows) < self::LIMIT) {
            $rows += $this->rows(
                fn (Builder $query): Builder => $query
                    ->whereRaw('unicode <> ascii')
                    ->whereBetween('unicode', [$needle, $beyond])
                    ->orderBy('unicode')
                    ->limit(self::LIMIT),
            );
        }
        if (count($rows) < self::LIMIT && mb_strlen($needle) >= self::LETTERS) {
            $rows += $this->rows(
                fn (Builder $query): Builder => $this->database
                    ->query()
                    ->fromSub($query->where('sought', 'like', '%'.addcslashes($needle, '%_\\').'%')->limit(self::GATHERED), 'found')
                    ->orderByRaw('position(? in unicode) = 0', [$needle])
                    ->orderBy('ascii')
                    ->limit(self::LIMIT),
            );
        }

        return $this->told(array_slice($rows, 0, self::LIMIT), $needle);
    }

    /** @return list<Found> what comes close to a word that nothing holds */
    private function alike(string $needle): array
    {
        if (mb_strlen($needle) < self::LETTERS) {
            return [];
        }

        return $this->database->transaction(function () use ($needle): array {
            $this->database->statement('SET LOCAL pg_trgm.word_similarity_threshold = '.self::ALIKE);

            return $this->told(
                $this->rows(
                    fn (Builder $query): Builder => $this->database
                        ->query()
                        ->fromSub($query->whereRaw('sought %> ?', [$needle])->limit(self::GATHERED), 'found')
                        ->orderByRaw('word_similarity(?, unicode) DESC', [$needle])
                        ->orderBy('ascii')
                        ->limit(self::LIMIT),
                ),
                $needle,
            );
        });
    }

    /**
     * @param  array<int, Row>  $rows
     * @return list<Found>
     */
    private function told(array $rows, string $needle): array
    {
        return array_values(
            array_map(
                fn (Row $row): Found => new Found(
                    $row->text('unicode'),
                    self::beside(
                        $row->text('client_name'),
                        $row->text('registrar_name').' '.$row->text('account_number'),
                        $this->why($row, $needle),
                    ),
                    route('names.show', $row->text('ascii')),
                    true,
                ),
                $rows,
            ),
        );
    }

    /** What of it answers, where neither the name nor who holds it does. */
    private function why(Row $row, string $needle): string
    {
        foreach (['registrant', 'mailbox', 'reference'] as $column) {
            if (str_contains(mb_strtolower($row->text($column)), $needle)) {
                return $row->text($column);
            }
        }

        return '';
    }

    /**
     * @param  callable(Builder): Builder  $narrow
     * @return array<int, Row> by name id
     */
    private function rows(callable $narrow): array
    {
        $found = [];
        $query = $this->database
            ->table('standings')
            ->select([
                'name_id',
                'ascii',
                'unicode',
                'client_name',
                'registrar_name',
                'account_number',
                'registrant',
                'mailbox',
                'reference',
            ]);
        foreach (Row::all($narrow($query)->get()) as $row) {
            $found[$row->int('name_id')] = $row;
        }

        return $found;
    }

    /** @return list<Found> */
    private function clients(string $text): array
    {
        $found = Client::query()
            ->standing()
            ->whereRaw('lower(name) LIKE ?', [$this->pattern(mb_strtolower($text))])
            ->orderBy('name')
            ->limit(self::LIMIT)
            ->get();
        if ($found->isEmpty() && mb_strlen($text) >= self::LETTERS) {
            $found = Client::query()
                ->standing()
                ->whereRaw('word_similarity(?, lower(name)) >= ?', [mb_strtolower($text), self::ALIKE])
                ->orderByRaw('word_similarity(?, lower(name)) DESC', [mb_strtolower($text)])
                ->limit(self::LIMIT)
                ->get();
        }

        return array_map(
            fn (Client $client): Found => new Found($client->name, $client->mailbox ?? '', route('clients.show', $client)),
            array_values($found->all()),
        );
    }

    /** @return list<Found> */
    private function accounts(string $text): array
    {
        $found = mb_strlen($text) < self::LETTERS ? [] : array_values($this->accounts->matching($text, null, self::LIMIT)->all());

        return array_map(
            fn (Account $account): Found => new Found(
                $account->registrar->name.' '.$account->number,
                self::beside($account->owner->name ?? 'the house’s own', $account->login, $account->mailbox, $account->handle),
                route('accounts.show', $account),
            ),
            $found,
        );
    }

    /** @return list<Found> */
    private function registrars(string $text): array
    {
        $found = Registrar::query()->where('name', 'ilike', $this->pattern($text))->orderBy('name')->limit(self::LIMIT)->get();

        return array_map(
            fn (Registrar $registrar): Found => new Found($registrar->name, '', route('registrars.show', $registrar)),
            array_values($found->all()),
        );
    }

    private static function beside(?string ...$parts): string
    {
        return implode(' · ', array_filter($parts, fn (?string $part): bool => ($part ?? '') !== ''));
    }

    /** @return list<Found> */
    private function dockets(string $text): array
    {
        if (preg_match('/^(?:docket\s*)?(\d{1,15})$/iD', $text, $part) !== 1) {
            return [];
        }

        $docket = Docket::query()->find((int) $part[1]);

        return $docket === null ? [] : [new Found("Docket {$docket->id}", '', route('dockets.show', $docket))];
    }

    private function pattern(string $text): string
    {
        return (mb_strlen($text) >= self::LETTERS ? '%' : '').addcslashes($text, '%_\\').'%';
    }

    /** What was typed, or the name in it when a web address was pasted. */
    private function needle(string $text): string
    {
        try {
            return str_contains($text, '/') ? DomainName::of($text)->unicode : mb_strtolower($text);
        } catch (NameError) {
            return mb_strtolower($text);
        }
    }
}
