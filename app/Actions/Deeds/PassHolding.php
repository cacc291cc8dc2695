<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use App\Models\Holding;
use App\Queries\Names\HeldCase;
use App\Support\Dates;
use Illuminate\Database\Connection;

/** Ends who holds a name and where, and begins the next, without a gap, or none. The name must be locked. */
final readonly class PassHolding
{
    public function __construct(private Connection $database)
    {
    }

    /** Nobody here holds it any more, and what hung on that ends with it. */
    public function end(HeldCase $file, Instant $on): void
    {
        foreach (['holdings', 'registrations', 'roles'] as $table) {
            // What began in the same second is left a second after it began.
            $this->database->update(
                "UPDATE {$table} SET span = tstzrange(lower(span), greatest(?::timestamptz, lower(span) + interval '1 second'))
                    WHERE name_id = ? AND upper_inf(span)",
                [$on->isoSecond(), $file->nameId],
            );
        }
    }

    /** @throws DeedError when it can't have passed then, because it came only later */
    public function handle(HeldCase $file, int $accountId, int $clientId, Instant $on, int $docketId): void
    {
        // As nearly every one passes, in one statement: it began before, ends on that day, and the next begins.
        if ($this->pass($file, $accountId, $clientId, $on, $docketId)) {
            return;
        }
        $since = Holding::query()->where('name_id', $file->nameId)->whereRaw('upper_inf(span)')->firstOrFail()->span->from ?? $on;
        // A holding of the same day is left a second after it began; one of an earlier day can't be.
        if (! $on->toDay()->agreesWith($since->toDay())) {
            throw DeedError::beforeItBegan($file->facts->name->unicode, Dates::exact($since));
        }
        $this->pass($file, $accountId, $clientId, $since->plusSeconds(1), $docketId);
    }

    /** @return bool false: it began only then, or later */
    private function pass(HeldCase $file, int $accountId, int $clientId, Instant $on, int $docketId): bool
    {
        return $this->database->affectingStatement(
            'WITH ended AS (
                UPDATE holdings SET span = tstzrange(lower(span), ?::timestamptz), updated_at = clock_timestamp()
                WHERE name_id = ? AND upper_inf(span) AND (lower_inf(span) OR lower(span) < ?::timestamptz) RETURNING name_id
             )
             INSERT INTO holdings (name_id, registration_id, account_id, client_id, span, docket_id, created_at, updated_at)
             SELECT name_id, ?, ?, ?, tstzrange(?::timestamptz, NULL), ?, clock_timestamp(), clock_timestamp() FROM ended',
            [
                $on->isoSecond(),
                $file->nameId,
                $on->isoSecond(),
                $file->registrationId,
                $accountId,
                $clientId,
                $on->isoSecond(),
                $docketId,
            ],
        ) === 1;
    }
}
