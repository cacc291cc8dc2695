<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Wire\Lists\Encoding;
use Acre\Wire\Lists\ListOptions;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A list that is brought in.
 *
 * @property int $id
 * @property int $user_id
 * @property string $file as it was called
 * @property string $path in the storage
 * @property int $registrar_id whose list it is
 * @property int|null $account_id the account of names whose line says none
 * @property int|null $client_id the client of new names whose line says none
 * @property array{headings: list<string>, samples: list<list<string>>, habit?: bool, has_headings?: bool, names_columns?: bool,
 *     sheets?: list<string>, sheet?: string, encoding?: string|null} $shape as read at first; whether the columns were remembered, and how
 *     the file is read
 * @property bool $whole whether it is everything in the account
 * @property array{columns?: list<string>, order?: string} $matched
 * @property array{clients?: list<int>, accounts?: list<int>, registrars?: list<int>} $made what was recorded because it named them
 * @property string|null $because why it is right where it says otherwise than a registry gave
 * @property ImportState $state
 * @property int $rows_total
 * @property int $rows_seen
 * @property int $rows_written
 * @property string|null $failure
 * @property-read Registrar $registrar
 * @property-read Account|null $account
 * @property-read Client|null $client
 */
final class Import extends Model
{
    protected $guarded = ['id'];

    protected $attributes = [
        'account_id' => null,
        'client_id' => null,
        'whole' => false,
        'matched' => '{}',
        'made' => '{}',
        'rows_total' => 0,
        'rows_seen' => 0,
        'rows_written' => 0,
        'failure' => null,
    ];

    protected $casts = ['shape' => 'array', 'whole' => 'boolean', 'matched' => 'array', 'made' => 'array', 'state' => ImportState::class];

    /** @return BelongsTo<Registrar, $this> */
    public function registrar(): BelongsTo
    {
        return $this->belongsTo(Registrar::class);
    }

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<Client, $this> */
    public function client(): BelongsTo
    {
        return $this->belongsTo(Client::class);
    }

    /** How its file is read. */
    public function options(): ListOptions
    {
        $sheet = $this->shape['sheet'] ?? '';

        return new ListOptions(
            $sheet === '' ? null : $sheet,
            $this->shape['has_headings'] ?? null,
            Encoding::tryFrom($this->shape['encoding'] ?? ''),
        );
    }

    /** Whether one of its lines gives a name another registrant's mailbox than is known of it. */
    public function changesMailboxes(): bool
    {
        return $this->getConnection()->scalar(
            "SELECT EXISTS (SELECT FROM import_rows r CROSS JOIN LATERAL json_array_elements(r.changes::json) c
                WHERE r.import_id = ? AND r.verdict = 'changed' AND c->>0 = 'mailbox' AND coalesce(c->>1, '') <> '')",
            [$this->id],
        ) === true;
    }
}
