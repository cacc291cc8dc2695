<?php

declare(strict_types=1);

namespace App\Queries\Names;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\LateTerms;
use Acre\Core\Lifecycle\Lifecycle;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\NameFacts;
use Acre\Core\Lifecycle\SeenOutside;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Money\Money;
use Acre\Core\Name\DomainName;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use App\Support\Row;

/** What a standing keeps beside its columns so that its row can be drawn without reading another table. */
final readonly class StandingFacts
{
    /** @param  string|null  $drift  `alarm` or `differs`, where the outside says otherwise */
    private function __construct(public Lifecycle $life, public ?Waiting $waiting, public ?string $drift)
    {
    }

    /** @return array<string, mixed> what goes into `standings.facts` */
    public static function pack(RollCase $file): array
    {
        $held = $file instanceof HeldCase ? $file : null;

        return array_filter(
            [
                'created' => $file->facts->created,
                'ends' => $file->facts->ends,
                'moved' => $file->facts->moved,
                'missing' => $file->facts->missing,
                'changed' => $file->facts->registrantChanged,
                'deleted' => $file->facts->deletedSince,
                'later' => $file->facts->seenUntil,
                'paid' => $file->facts->seenPaid,
                'seen' => self::seen($file->facts->outside),
                'ok' => $file->facts->isCalledOk ? true : null,
                'statuses' => array_map(fn (Status $status): string => $status->value, $file->facts->statuses),
                'lead' => $file->late->chargeLead,
                'dark' => $file->late->darkAfter,
                'plain' => $file->late->plainAfter,
                'late' => $file->late->lateUntil,
                'ask' => $file->late->askLead,
                'renew' => $file->late->renew,
                'fee' => $file->late->late,
                'restore' => $file->late->restore,
                'drift' => self::drift($held->drifts ?? []),
                'waiting' => $held?->waiting === null ? null : [$held->waiting->docket, $held->waiting->by],
            ],
            fn (mixed $value): bool => $value !== null && $value !== [],
        );
    }

    public static function unpack(Row $standing, Rulebook $book, Instant $now): self
    {
        $facts = $standing->json('facts');
        $at = fn (string $key): ?Instant => is_string($facts[$key] ?? null) ? Instant::of($facts[$key]) : null;
        $days = fn (string $key): ?int => is_int($facts[$key] ?? null) ? $facts[$key] : null;
        $money = function (string $key) use ($facts): ?Money {
            $sum = $facts[$key] ?? null;

            return is_array($sum) && is_string($sum[0] ?? null) && is_string($sum[1] ?? null) ? Money::of($sum[0], $sum[1]) : null;
        };
        $name = DomainName::of($standing->text('ascii'));
        $waiting = $facts['waiting'] ?? null;

        return new self(
            Lifecycle::of(
                new NameFacts(
                    $name,
                    $at('created'),
                    $at('ends'),
                    $at('moved'),
                    self::statuses($facts['statuses'] ?? []),
                    Lock::from($standing->text('lock')),
                    Intent::from($standing->text('intent')),
                    $at('missing'),
                    $at('changed'),
                    $at('deleted'),
                    $at('later'),
                    is_bool($facts['paid'] ?? null) ? $facts['paid'] : null,
                    self::outside($facts['seen'] ?? null),
                    ($facts['ok'] ?? false) === true,
                ),
                new LateTerms(
                    $days('lead') ?? 0,
                    $days('dark'),
                    $days('plain'),
                    $days('late'),
                    $days('ask') ?? 14,
                    $money('renew'),
                    $money('fee'),
                    $money('restore'),
                ),
                $book->for($name->suffix(), $now),
                $now,
            ),
            is_array($waiting) && is_int($waiting[0] ?? null) && is_string($waiting[1] ?? null)
                ? new Waiting($waiting[0], Instant::of($waiting[1]))
                : null,
            is_string($facts['drift'] ?? null) ? $facts['drift'] : null,
        );
    }

    /** @return array<string, mixed>|null */
    private static function seen(?SeenOutside $outside): ?array
    {
        return $outside === null
            ? null
            : array_filter(
                [
                    'at' => $outside->at,
                    'has' => $outside->has,
                    'lacks' => $outside->lacks,
                    'since' => $outside->deletedSince,
                    'gone' => $outside->isGone,
                ],
                fn (mixed $value): bool => $value !== null && $value !== [] && $value !== false,
            );
    }

    private static function outside(mixed $kept): ?SeenOutside
    {
        if (! is_array($kept) || ! is_string($kept['at'] ?? null)) {
            return null;
        }
        $since = $kept['since'] ?? null;

        return new SeenOutside(
            Instant::of($kept['at']),
            self::statuses($kept['has'] ?? []),
            self::statuses($kept['lacks'] ?? []),
            is_string($since) ? Instant::of($since) : null,
            ($kept['gone'] ?? false) === true,
        );
    }

    /** @return list<Status> */
    private static function statuses(mixed $kept): array
    {
        return array_values(
            array_filter(
                array_map(
                    fn (mixed $status): ?Status => is_string($status) ? Status::tryFrom($status) : null,
                    is_array($kept) ? $kept : [],
                ),
            ),
        );
    }

    /**
     * What the Roll lacks alone is no disagreement that a row must tell.
     *
     * @param  list<OpenDrift>  $drifts
     */
    private static function drift(array $drifts): ?string
    {
        $telling = array_filter($drifts, fn (OpenDrift $drift): bool => ! $drift->tag->isLack());

        return $telling === []
            ? null
            : (array_filter($telling, fn (OpenDrift $drift): bool => $drift->tag->isAlarming()) === []
                ? 'differs'
                : 'alarm');
    }
}
