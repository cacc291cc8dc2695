<?php

declare(strict_types=1);

namespace Tests\Core;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\SeenOutside;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Money\Money;
use Acre\Core\Movement\Account;
use Acre\Core\Name\DomainName;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;

/** Facts for the core's tests; the clock stands at 6 October 2026, nine in the morning, unless it is moved. */
final class Given
{
    public const NOW = '2026-10-06T09:00:00Z';

    private static ?Rulebook $book = null;

    public static function rulebook(): Rulebook
    {
        return self::$book ??= new Rulebook(__DIR__.'/../../rulebook');
    }

    /** @param  list<Status>  $statuses */
    public static function life(
        string $name = 'wickerby-bells.com',
        ?string $created = '2020-11-02',
        ?string $ends = '2027-11-02',
        Intent $intent = Intent::WhenTold,
        array $statuses = [],
        ?string $moved = null,
        LateTerms $terms = new LateTerms(),
        string $now = self::NOW,
        Lock $lock = Lock::Off,
        ?string $missing = null,
        ?string $deleted = null,
        ?string $seenUntil = null,
        ?bool $seenPaid = null,
        ?SeenOutside $outside = null,
        bool $isCalledOk = false,
    ): Lifecycle {
        $domain = DomainName::of($name);
        $at = fn (?string $text): ?Instant => $text === null ? null : Instant::of($text);
        $facts = new NameFacts(
            $domain,
            $at($created),
            $at($ends),
            $at($moved),
            $statuses,
            $lock,
            $intent,
            $at($missing),
            deletedSince: $at($deleted),
            seenUntil: $at($seenUntil),
            seenPaid: $seenPaid,
            outside: $outside,
            isCalledOk: $isCalledOk,
        );

        return Lifecycle::of($facts, $terms, self::rulebook()->for($domain->suffix(), Instant::of($now)), Instant::of($now));
    }

    /** Charged a week before, dark at once, plain price for three weeks, late until thirty days, all prices known. */
    public static function terms(): LateTerms
    {
        return new LateTerms(7, 0, 22, 30, 14, Money::of('10.60', 'GBP'), Money::of('75.40', 'GBP'), Money::of('120.00', 'GBP'));
    }

    public static function account(
        int $id = 1,
        int $registrar = 1,
        ?string $login = 'harrow',
        ?string $mailbox = 'desk@harrow-tern.example',
        bool $ours = true,
        bool $proven = true,
        ?string $handle = null,
    ): Account {
        return new Account(
            $id,
            $registrar,
            $registrar === 1 ? 'Skerry' : 'Oriel',
            (string) (40717 + $id),
            $login,
            $mailbox,
            $handle,
            $ours,
            $proven ? Instant::of('2026-01-05') : null,
        );
    }
}
