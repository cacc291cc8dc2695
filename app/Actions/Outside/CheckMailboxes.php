<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Contact\Mailbox;
use Acre\Core\Contact\TakesMail;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use App\Actions\Standings\MakeStandings;
use App\Outside\Dns\Dns;
use App\Support\Row;
use App\Support\TradeClock;
use Illuminate\Database\Connection;

/** Asks name servers whether the hosts of mailboxes take mail at all, each host once a week. */
final readonly class CheckMailboxes
{
    private const DAYS = 7;

    public function __construct(
        private Connection $database,
        private Dns $dns,
        private MakeStandings $standings,
        private TradeClock $clock,
    ) {
    }

    /**
     * Those whose turn it is, never looked at first.
     *
     * @return int of how many hosts it is known now
     */
    public function some(int $most): int
    {
        $now = $this->clock->now();
        $hosts = [];
        foreach (
            Row::all(
                $this->database->select(
                    "SELECT address FROM mailboxes WHERE site <> '' AND (looked_on IS NULL OR looked_on < ?::timestamptz)
                        ORDER BY looked_on NULLS FIRST, id LIMIT ?",
                    [$now->plusDays(-self::DAYS)->isoSecond(), $most],
                ),
            ) as $row
        ) {
            $host = Mailbox::tryOf($row->text('address'))?->host;
            if ($host !== null) {
                $hosts[$host->ascii] = $host;
            }
        }
        $known = 0;
        $this->dns->mail($hosts, function (DomainName $host, TakesMail $takes) use ($now, &$known): void {
            $known += (int) ($takes !== TakesMail::Unknown);
            $this->note($host, $takes, $now);
        });

        return $known;
    }

    /** Every mailbox of the host; a silence changes nothing of what was known. */
    private function note(DomainName $host, TakesMail $takes, Instant $now): void
    {
        $this->database->transaction(function () use ($host, $takes, $now): void {
            // The host as it was typed may have U-labels: found by the name that it lies in.
            $ids = [];
            foreach (
                Row::all(
                    $this->database->select('SELECT id, address, takes_mail FROM mailboxes WHERE site = ? ORDER BY id FOR UPDATE', [
                        $host->registrable()->ascii,
                    ]),
                ) as $row
            ) {
                if (Mailbox::tryOf($row->text('address'))?->host->equals($host) === true) {
                    $ids[$row->int('id')] = $row->text('takes_mail');
                }
            }
            $in = '{'.implode(',', array_keys($ids)).'}';
            $this->database->update(
                'UPDATE mailboxes SET looked_on = ?::timestamptz, takes_mail = CASE WHEN ? = \'unknown\' THEN takes_mail ELSE ? END
                    WHERE id = ANY (?::bigint[])',
                [$now->isoSecond(), $takes->value, $takes->value, $in],
            );
            $changed = array_keys(
                array_filter($ids, fn (string $before): bool => $takes !== TakesMail::Unknown && $before !== $takes->value),
            );
            if ($changed !== []) {
                $this->standings->staleByMailbox($changed);
            }
        });
    }
}
