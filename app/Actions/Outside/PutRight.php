<?php

declare(strict_types=1);

namespace App\Actions\Outside;

use Acre\Core\Lifecycle\Lock;
use Acre\Core\Record\RecordFinding;
use App\Actions\Registrar\ChangeLock;

/** The deed that makes the outside say what we hold, where there is one. */
final class PutRight
{
    /** @return array{string, array<string, string>}|null its key, and its terms as an address says them */
    public static function deed(RecordFinding $finding): ?array
    {
        return match ($finding) {
            RecordFinding::LockIsOff => [ChangeLock::key(), ['lock' => Lock::On->value]],
            RecordFinding::LockIsOn => [ChangeLock::key(), ['lock' => Lock::Off->value]],
            default => null,
        };
    }
}
