<?php

declare(strict_types=1);

namespace App\Actions\Contacts;

use Acre\Core\Contact\Mailbox;
use App\Support\Row;
use Illuminate\Database\Connection;

/** A row for each mailbox, once, however it is capitalised; and the name that its host lies in. */
final readonly class KeepMailboxes
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param  list<string>  $addresses  as they are written; what can't be a mailbox is kept as it was brought in
     * @return array<string, int> ids by address in small letters
     */
    public function of(array $addresses): array
    {
        $wanted = [];
        foreach ($addresses as $address) {
            $wanted[mb_strtolower($address)] ??= ['address' => $address, 'site' => self::site($address)];
        }
        if ($wanted === []) {
            return [];
        }
        // Until a contact has them, or the transaction is over, nobody forgets them.
        $this->database->select("SELECT pg_advisory_xact_lock_shared(hashtext('mailboxes'))");
        // In one order, so that two who write the same wait for each other and never in a ring.
        ksort($wanted);
        $ids = $this->known(array_map(strval(...), array_keys($wanted)));
        $new = array_diff_key($wanted, $ids);
        if ($new !== []) {
            $this->database->statement(
                'INSERT INTO mailboxes (address, site) SELECT address, site FROM json_to_recordset(?::json) AS n(address text, site text)
                    ON CONFLICT (lower(address)) DO NOTHING',
                [json_encode(array_values($new), JSON_THROW_ON_ERROR)],
            );
            $ids += $this->known(array_map(strval(...), array_keys($new)));
        }

        return $ids;
    }

    /**
     * Forgets those that nothing refers to. In a transaction of its own: it waits for all who keep some.
     *
     * @param  list<int>  $ids
     */
    public function forget(array $ids): void
    {
        $refers = implode(
            '',
            array_map(fn (string $table): string => " AND NOT EXISTS (SELECT FROM {$table} x WHERE x.mailbox_id = m.id)", [
                'contact_versions',
                'objections',
                'letters',
                'links',
            ]),
        );
        $this->database->transaction(function () use ($ids, $refers): void {
            $this->database->select("SELECT pg_advisory_xact_lock(hashtext('mailboxes'))");
            $this->database->delete("DELETE FROM mailboxes m WHERE m.id = ANY (?::bigint[]){$refers}", ['{'.implode(',', $ids).'}']);
        });
    }

    /** Works out the name of those that have come without it. */
    public function place(): void
    {
        do {
            $rows = Row::all($this->database->select('SELECT id, address FROM mailboxes WHERE site IS NULL ORDER BY id LIMIT 1000'));
            $this->database->update(
                'UPDATE mailboxes m SET site = s.site FROM json_to_recordset(?::json) AS s(id bigint, site text) WHERE m.id = s.id',
                [
                    json_encode(
                        array_map(fn (Row $row): array => ['id' => $row->int('id'), 'site' => self::site($row->text('address'))], $rows),
                        JSON_THROW_ON_ERROR,
                    ),
                ],
            );
        } while (count($rows) === 1_000);
    }

    private static function site(string $address): string
    {
        return Mailbox::tryOf($address)?->site()->ascii ?? '';
    }

    /**
     * @param  list<string>  $addresses
     * @return array<string, int>
     */
    private function known(array $addresses): array
    {
        $ids = [];
        foreach (
            Row::all(
                $this->database->select(
                    'SELECT id, lower(address) AS address FROM mailboxes
                        WHERE lower(address) IN (SELECT json_array_elements_text(?::json))',
                    [json_encode($addresses, JSON_THROW_ON_ERROR)],
                ),
            ) as $row
        ) {
            $ids[$row->text('address')] = $row->int('id');
        }

        return $ids;
    }
}
