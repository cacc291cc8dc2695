<?php

declare(strict_types=1);

namespace Standin\Registry;

use Acre\Wire\Json\JsonNode;

/** A name that the house was told of and this world was not: its registry has had it all along, as the house was told. */
final class Newcomer
{
    /** Of whom nobody says which hosts serve it. */
    private const SERVERS = ['ns1.sound-hosting.example', 'ns2.sound-hosting.example'];

    private const YEAR = 365 * 86_400;

    /** What counts its days from the last change (EndHabit): nobody says which day that was, so it was today. */
    private const COUNTING = ['autoRenewPeriod', 'redemptionPeriod', 'pendingDelete'];

    /**
     * @param  JsonNode  $told  name, shop, registrar, account, created and ends (seconds since 1970, or nothing), statuses, isLocked,
     *     renews, servers, holder and mailbox
     * @param  Account|null  $account  of that number, if this world has one
     */
    public static function of(JsonNode $told, Registry $registry, ?Account $account, int $now): Registered
    {
        $shop = $told->text('shop');
        $registrar = $account === null ? Registrar::called($told->textOrNull('registrar') ?? $shop) : Registrar::of($account->registrar);
        $ends = $told->intOrNull('ends');
        $created = min($told->intOrNull('created') ?? ($ends ?? $now) - self::YEAR, $now);
        if ($registry->habit !== EndHabit::GoesOn) {
            $ends ??= self::afterwards($created, $now);
        }
        $holder = trim($told->textOrNull('holder') ?? '');
        $mailbox = $told->textOrNull('mailbox') ?? '';

        return new Registered(
            $told->text('name'),
            $registrar->id,
            strcasecmp($registrar->name, $shop) === 0 ? null : $shop,
            $created,
            $ends,
            array_intersect(self::COUNTING, $told->texts('statuses')) === [] ? $created : $now,
            null,
            array_values(
                array_unique([
                    ...$told->texts('statuses'),
                    ...$told->boolOrNull('isLocked') === true && ! $registry->byTag ? ['clientTransferProhibited'] : [],
                ]),
            ),
            $told->texts('servers') === [] ? self::SERVERS : $told->texts('servers'),
            [],
            new Holder(
                'NC-'.substr(hash('sha256', $told->text('account').$holder.$mailbox), 0, 8),
                '',
                $holder,
                '',
                '',
                '',
                '',
                '',
                '',
                $mailbox,
            ),
            [],
            $registry->validates ? true : null,
            $told->boolOrNull('renews') ?? false,
            null,
            $told->text('account'),
        );
    }

    private static function afterwards(int $created, int $now): int
    {
        $ends = $created;
        while ($ends <= $now) {
            $ends = EndHabit::yearAfter($ends);
        }

        return $ends;
    }
}
