<?php

declare(strict_types=1);

namespace App\Actions\Proofs;

use Acre\Core\Time\Instant;
use Acre\Core\Title\Head;
use Acre\Core\Title\TitleError;
use App\Support\Row;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use RuntimeException;
use Throwable;

/**
 * The head of the records, signed, in a file apart from the database. It only goes forward: what no longer holds against the file is
 * never kept over it.
 */
final readonly class StoreHead
{
    private const BEGUN = 'head_kept';

    public function __construct(private Connection $database)
    {
    }

    /** After a commit, and now and then; whoever calls has something else to do and is never stopped. */
    public function keep(): void
    {
        try {
            $this->locked(function (): void {
                $kept = $this->kept();
                $faults = $this->faults($kept);
                if ($faults !== []) {
                    throw new RuntimeException('The head is left as it was kept: '.implode('; ', $faults).'.');
                }
                $this->write($kept);
            });
        } catch (Throwable $fault) {
            report($fault);
        }
    }

    /** Of a house that was emptied, or whose records came back otherwise than by `./acre bring-back`; whoever runs the machine says so. */
    public function beginAgain(): void
    {
        if (! $this->locked(fn () => $this->write(null))) {
            throw new RuntimeException('The head of the records is being kept by somebody else. Try again.');
        }
    }

    /** As it was signed, to the byte; null: nothing was kept yet. */
    public function kept(): ?string
    {
        $path = $this->path();

        return is_file($path) ? (string) file_get_contents($path) : null;
    }

    /** @throws TitleError when it is none of ours */
    public function read(string $text): Head
    {
        return Head::read($text, self::key());
    }

    /**
     * @param  string|null  $text  a receipt, or the head that was kept; null: none was
     * @return list<string> what it counts and does not stand any more
     */
    public function faults(?string $text): array
    {
        if ($text === null) {
            return $this->isBegun() ? ['the head of the records was kept, and its file is gone'] : [];
        }
        try {
            $head = $this->read($text);
        } catch (TitleError $error) {
            return ['the head of the records: '.lcfirst(rtrim($error->getMessage(), '.'))];
        }

        return array_values(
            array_filter([$this->faultOfProofs($head), $this->faultOfDays($head), $this->faultOfRows($head)], is_string(...)),
        );
    }

    private function faultOfProofs(Head $head): ?string
    {
        $sha256 = $head->proofs === 0 ? null : $this->database->table('proofs')->where('position', $head->proofs)->value('sha256');

        return match (true) {
            $head->lastProof === null, $sha256 === $head->lastProof => null,
            $sha256 === null => "{$head->proofs} proofs were counted on {$head->kept->isoSecond()}, and the last of them is gone",
            default => "proof {$head->proofs} is not the one that was counted on {$head->kept->isoSecond()}",
        };
    }

    private function faultOfDays(Head $head): ?string
    {
        $sha256 = $head->closedTo === null ? null : $this->database->table('days_of_log')->where('day', $head->closedTo)->value('sha256');

        return match (true) {
            $head->lastDay === null, $sha256 === $head->lastDay => null,
            $sha256 === null => "the log was closed to {$head->closedTo} on {$head->kept->isoSecond()}, and that day is gone",
            default => "the log’s day {$head->closedTo} is not what it was on {$head->kept->isoSecond()}",
        };
    }

    /** Rows that were not closed yet: whoever was still writing then may have added some, nobody takes one away. */
    private function faultOfRows(Head $head): ?string
    {
        $rows = $this->rows($head->closedTo)->where('id', '<=', $head->toRow)->count();

        return $rows < $head->rows
            ? "the log had {$head->rows} rows to row {$head->toRow} on {$head->kept->isoSecond()}, now it has {$rows} of them"
            : null;
    }

    private function write(?string $kept): void
    {
        $now = $this->now();
        if ($kept !== null && $this->read($kept)->saysTheSameAs($now)) {
            return;
        }
        $part = $this->path().'.part';
        $text = $now->signed(self::key());
        if (file_put_contents($part, $text) !== strlen($text) || ! chmod($part, 0640) || ! rename($part, $this->path())) {
            throw new RuntimeException('The head of the records could not be kept.');
        }
        if (! $this->isBegun()) {
            $this->database->table('settings')->insertOrIgnore(['key' => self::BEGUN, 'value' => 'true']);
        }
    }

    private function now(): Head
    {
        // One statement sees one instant.
        $row = Row::of(
            $this->database->selectOne(
                'SELECT clock_timestamp() AS now, p.position, p.sha256 AS proof, d.day, d.sha256 AS day_sha256, l.rows, l.to_row
             FROM (SELECT 1) AS one LEFT JOIN (SELECT position, sha256 FROM proofs ORDER BY position DESC LIMIT 1) AS p ON true
             LEFT JOIN (SELECT day, sha256, to_row FROM days_of_log ORDER BY day DESC LIMIT 1) AS d ON true
             CROSS JOIN LATERAL (SELECT count(*) AS rows, coalesce(max(id), d.to_row, 0) AS to_row FROM log
             WHERE id > coalesce(d.to_row, 0)) AS l',
            ),
        );

        return new Head(
            $row->instant('now') ?? Instant::second(time()),
            $row->intOrNull('position') ?? 0,
            $row->textOrNull('proof'),
            $row->textOrNull('day'),
            $row->textOrNull('day_sha256'),
            $row->int('rows'),
            $row->int('to_row'),
        );
    }

    private function rows(?string $closedTo): Builder
    {
        $from = $closedTo === null ? 0 : $this->database->table('days_of_log')->where('day', $closedTo)->value('to_row');

        return $this->database->table('log')->where('id', '>', is_numeric($from) ? (int) $from : 0);
    }

    private function isBegun(): bool
    {
        return $this->database->table('settings')->where('key', self::BEGUN)->exists();
    }

    /**
     * @param  callable(): void  $then
     * @return bool whether it was done; false: somebody else holds it
     */
    private function locked(callable $then): bool
    {
        $path = $this->path();
        $folder = dirname($path);
        if (! is_dir($folder) && ! mkdir($folder, 0750, true) && ! is_dir($folder)) {
            throw new RuntimeException('There is no folder for the head of the records.');
        }
        $lock = fopen("{$path}.lock", 'c');
        if ($lock === false) {
            throw new RuntimeException('The head of the records could not be locked.');
        }
        // Whoever holds it may be stuck, and nobody's work waits for that: what is not kept now is kept within the minute.
        if (! flock($lock, LOCK_EX | LOCK_NB)) {
            fclose($lock);

            return false;
        }
        try {
            $then();

            return true;
        } finally {
            fclose($lock);
        }
    }

    private function path(): string
    {
        return config()->string('house.heads')."/{$this->database->getDatabaseName()}.txt";
    }

    /** Empty, and nothing is signed or believed, where the setting is no seed. */
    private static function key(): string
    {
        $seed = config()->string('house.signing_key');
        $seed = preg_match('/^[0-9a-f]{64}$/D', $seed) === 1 ? (string) hex2bin($seed) : '';

        return $seed === '' ? '' : sodium_crypto_sign_secretkey(sodium_crypto_sign_seed_keypair($seed));
    }
}
