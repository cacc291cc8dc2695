<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use App\Outside\Dns\PackedDelegation;
use App\Support\Row;
use Illuminate\Database\Connection;

/** Keeps an answer from outside: a new one where it says something else than the last, or else until when it was seen. */
final readonly class KeepObservation
{
    public function __construct(private Connection $database)
    {
    }

    public function pointing(int $id, DelegationSeen $seen, Instant $now): void
    {
        if ($seen->parent !== null) {
            $this->handle(
                $id,
                Source::Dns,
                'the name servers of the suffix and of the name',
                $seen->digest(),
                $seen->parent !== [],
                PackedDelegation::pack($seen),
                $now,
            );
        }
    }

    public function handle(int $id, Source $source, string $from, string $digest, bool $found, string $body, Instant $now): void
    {
        $last = $this->database->selectOne(
            'SELECT id, digest FROM observations WHERE name_id = ? AND source = ? ORDER BY last_seen DESC, id DESC LIMIT 1',
            [$id, $source->value],
        );
        $row = $last === null ? null : Row::of($last);
        if ($row !== null && $row->text('digest') === $digest) {
            $this->database->update('UPDATE observations SET last_seen = greatest(last_seen, ?::timestamptz), asked = ? WHERE id = ?', [
                $now->isoSecond(),
                $from,
                $row->int('id'),
            ]);

            return;
        }
        $observation = $this->database->table('observations')->insertGetId([
            'name_id' => $id,
            'source' => $source->value,
            'asked' => $from,
            'digest' => $digest,
            'found' => $found,
            'first_seen' => $now->isoSecond(),
            'last_seen' => $now->isoSecond(),
        ]);
        $this->database->insert('INSERT INTO observation_bodies VALUES (?, decode(?, \'base64\'))', [
            $observation,
            base64_encode((string) gzdeflate($body)),
        ]);
    }
}
