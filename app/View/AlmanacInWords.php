<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Balance\TopUp;
use Acre\Core\Money\Money;
use App\Queries\Almanac\AccountRun;
use App\Queries\Almanac\AlmanacRead;
use App\Queries\Almanac\AlmanacRow;
use App\Queries\Almanac\Refusal;
use App\Queries\Almanac\ShortDay;
use App\Support\Dates;

/** What the Almanac says in sentences. */
final class AlmanacInWords
{
    /** On which day an account can't pay how many, and what is missing. */
    public static function short(AccountRun $run): string
    {
        $day = ShortDay::of($run);
        if ($day === null) {
            return '';
        }
        $with = ['day' => Dates::full($day->at), 'account' => "{$run->account->registrar} {$run->account->number}"];

        return match (true) {
            $day->missing === null => self::say('almanac.short_card', $with),
            $day->charged === 1 => self::say('almanac.short_only', [...$with, 'sum' => $day->missing->text()]),
            default => trans_choice('almanac.short', $day->refused, [
                ...$with,
                'count' => number_format($day->refused),
                'all' => number_format($day->charged),
                'sum' => $day->missing->text(),
            ]),
        };
    }

    /**
     * What becomes of the names of a row that is refused.
     *
     * @param  array<string, Refusal>  $refusals
     */
    public static function otherwise(AlmanacRow $row, array $refusals): string
    {
        $charge = $row->entries[0]->charge;
        $paid = $charge === null ? null : $row->run->forecast->paidLater($charge);
        if ($paid !== null) {
            return self::say('almanac.paid_later', ['day' => Dates::full($paid)]);
        }
        $until = $charge === null || $row->again() === null ? null : $row->run->account->lastTry($charge->at);

        return ($until === null ? '' : self::say('almanac.again', ['day' => Dates::full($until)])).self::end($row, $refusals);
    }

    /** @param  array<string, Refusal>  $refusals */
    private static function end(AlmanacRow $row, array $refusals): string
    {
        $charge = $row->entries[0]->charge;
        $refusal = $refusals[$charge->name ?? ''] ?? null;
        if ($charge === null || $refusal === null) {
            return $charge === null ? '' : self::say('almanac.ends_only', ['ends' => Dates::full($charge->ends)]);
        }

        $isDarkAtOnce = ! $refusal->dark->toDay()->isAfter($refusal->ends->toDay());
        $isLateAtOnce = $refusal->plain === null || ! $refusal->plain->toDay()->isAfter($refusal->ends->toDay());

        return self::say($isDarkAtOnce ? 'almanac.ends_dark' : 'almanac.ends', [
            'ends' => Dates::full($refusal->ends),
            'dark' => Dates::full($refusal->dark),
        ]).($refusal->plain === null || $refusal->late === null ? '' : self::say($isLateAtOnce ? 'almanac.late_at_once' : 'almanac.late', [
            'sum' => $refusal->late->text(),
            'plain' => Dates::full($refusal->plain),
        ]));
    }

    /** One top-up that carries the whole span. */
    public static function carries(TopUp $topUp): string
    {
        return self::say('almanac.carries', ['sum' => $topUp->amount->text(), 'day' => Dates::full($topUp->at)]);
    }

    /** What it would cost in one currency, against what it costs as it is; null: nothing. */
    public static function compared(?Money $then, ?Money $now): string
    {
        $currency = $then->currency ?? $now?->currency;
        if ($currency === null) {
            return '';
        }
        $then ??= Money::ofMinor(0, $currency);
        $now ??= Money::ofMinor(0, $currency);
        $more = $then->minus($now);

        return self::say('almanac.what_if.compared', ['then' => $then->text(), 'now' => $now->text()]).' '.match (true) {
            $more->isPositive() => self::say('almanac.what_if.more', ['sum' => $more->text()]),
            $more->minor() < 0 => self::say('almanac.what_if.less', ['sum' => $more->times(-1)->text()]),
            default => self::say('almanac.what_if.same', []),
        };
    }

    /** When the money first lacks as things are. */
    public static function shortNow(AlmanacRead $today): string
    {
        $short = $today->firstShort();
        $first = $short === null ? null : AlmanacRead::refused($short);

        return match (true) {
            $first !== null => self::say('almanac.what_if.short_now', ['day' => Dates::full($first->at)]),
            $today->unknown() > 0 => '',
            default => self::say('almanac.what_if.never_short_now', []),
        };
    }

    /** Where a top-up is planned. */
    public static function toPlan(AccountRun $run, TopUp $topUp): string
    {
        return route('accounts.money', [
            $run->account->id,
            'amount' => $topUp->amount->decimal(),
            'on' => $topUp->at->date(),
        ]).'#top-up';
    }

    /** @param  array<string, string>  $with */
    private static function say(string $key, array $with): string
    {
        $said = __($key, $with);

        return is_string($said) ? $said : $key;
    }
}
