<?php

declare(strict_types=1);

namespace App\Support;

use PDOException;

/** Whether the database itself is away or full, rather than asked wrongly: nothing is broken, and it will be back. */
final class Outage
{
    /** Classes of SQLSTATE: connection, operator intervention (shutdown, starting up), insufficient resources (disk full). */
    private const CLASSES = ['08', '57', '53'];

    public static function is(PDOException $e): bool
    {
        $state = is_array($e->errorInfo) && is_string($e->errorInfo[0] ?? null) ? $e->errorInfo[0] : '';
        if ($state === '' && preg_match('/SQLSTATE\[(\w{5})\]/', $e->getMessage(), $found) === 1) {
            $state = $found[1];
        }

        // A connection that dies under a question has a state of no class.
        return in_array(substr($state, 0, 2), self::CLASSES, true) ||
            str_contains($e->getMessage(), 'server closed the connection') ||
            str_contains($e->getMessage(), 'no connection to the server');
    }
}
