<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use App\Models\Account;
use App\Models\Registrar;

/** The gate that a password was given for: link, host and port, and the key where one is known. A password goes nowhere else. */
final class GatePin
{
    public static function of(Registrar $registrar): string
    {
        return implode(
            ' ',
            array_filter([$registrar->link, $registrar->gate, $registrar->gate_key], fn (?string $part): bool => $part !== null),
        );
    }

    /** Whether the account's password was given, or confirmed, for the gate that its registrar has today. */
    public static function holds(Account $account): bool
    {
        return $account->gate_secret_id !== null && $account->gate_for === self::of($account->registrar);
    }

    /** Where it was to go, for people: `epp.skerry.example:700` */
    public static function host(?string $pin): string
    {
        return explode(' ', (string) $pin)[1] ?? '';
    }
}
