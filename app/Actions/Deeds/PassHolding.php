<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
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
        $held = Holding::query()->where('name_id', $file->nameId)->whereRaw('upper_inf(span)')->firstOrFail();
        $since = $held->span->from;
        if ($since !== null && $on->epoch <= $since->epoch) {
            // A holding of the same day is left a second after it began; one of an earlier day can't be.
            if (! $on->toDay()->agreesWith($since->toDay())) {
                throw DeedError::beforeItBegan($file->facts->name->unicode, Dates::exact($since));
            }
            $on = $since->plusSeconds(1);
        }
        $held->update(['span' => Span::of($since, $on)]);
        Holding::query()->create([
            'name_id' => $file->nameId,
            'registration_id' => $file->registrationId,
            'account_id' => $accountId,
            'client_id' => $clientId,
            'span' => Span::since($on),
            'docket_id' => $docketId,
        ]);
    }
}
