<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use DomainException;

/** Why a deed can't be done as asked; the message is for the person who asked. */
final class DeedError extends DomainException
{
    /** @param  array<string, string|int>  $with */
    private static function say(string $key, array $with = []): self
    {
        $said = __('deeds.errors.'.$key, $with);

        return new self(is_string($said) ? $said : $key);
    }

    public static function nothingCanGo(): self
    {
        return self::say('nothing_can_go');
    }

    public static function shownHasChanged(): self
    {
        return self::say('shown_has_changed');
    }

    public static function pricesHaveChanged(): self
    {
        return self::say('prices_have_changed');
    }

    public static function priceChanged(): self
    {
        return self::say('price_changed');
    }

    public static function notPrepared(): self
    {
        return self::say('not_prepared');
    }

    public static function notYet(string $date): self
    {
        return self::say('not_yet', ['date' => $date]);
    }

    public static function beforeSettled(string $date, string $settled): self
    {
        return self::say('before_settled', ['date' => $date, 'settled' => $settled]);
    }

    public static function beforeItBegan(string $name, string $date): self
    {
        return self::say('before_it_began', ['name' => $name, 'date' => $date]);
    }

    public static function notHeld(string $name): self
    {
        return self::say('not_held', ['name' => $name]);
    }

    public static function notSafeBefore(string $date): self
    {
        return self::say('not_safe_before', ['date' => $date]);
    }

    public static function notSafeAfter(string $date): self
    {
        return self::say('not_safe_after', ['date' => $date]);
    }

    public static function noReason(): self
    {
        return self::say('no_reason');
    }

    public static function nobodyChosen(): self
    {
        return self::say('nobody_chosen');
    }

    public static function nobodyToAsk(): self
    {
        return self::say('nobody_to_ask');
    }

    public static function namesAnother(): self
    {
        return self::say('names_another');
    }

    public static function receiverRefused(): self
    {
        return self::say('receiver_refused');
    }

    public static function sideSaidNo(string $who): self
    {
        return self::say('side_said_no', ['who' => $who]);
    }

    public static function nobodyMeant(): self
    {
        return self::say('nobody_meant');
    }

    public static function nothingTicked(): self
    {
        return self::say('nothing_ticked');
    }
}
