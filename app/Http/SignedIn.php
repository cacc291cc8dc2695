<?php

declare(strict_types=1);

namespace App\Http;

use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Models\User;
use Illuminate\Auth\AuthenticationException;

/** A request of somebody who has signed in; the route's middleware has made sure. */
trait SignedIn
{
    /** @return array<string, mixed> what was found valid, but for the version that the form was made from */
    public function values(): array
    {
        $values = [];
        foreach ($this->safe()->except('version') as $key => $value) {
            $values[(string) $key] = $value;
        }

        return $values;
    }

    /** One text of the address or the form; a list where a text belongs counts as nothing. */
    public function word(string $key): string
    {
        $value = $this->input($key);

        return is_string($value) ? $value : '';
    }

    /** Fields that others are held against: a list where a text belongs is no date, and said to be none. */
    protected function onlyTexts(string ...$keys): void
    {
        foreach ($keys as $key) {
            if (is_array($this->input($key))) {
                $this->merge([$key => '?']);
            }
        }
    }

    /** One day of the address, `2026-10-06`; what is none, or not of this century, counts as nothing. */
    public function day(string $key): ?Instant
    {
        try {
            return preg_match('/^20\d\d-\d\d-\d\d$/D', $this->word($key)) === 1 ? Instant::of($this->word($key)) : null;
        } catch (TimeError) {
            return null;
        }
    }

    /** A message in the words of lang/. */
    protected static function said(string $key): string
    {
        $said = __($key);

        return is_string($said) ? $said : $key;
    }

    public function person(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new AuthenticationException;
    }
}
