<?php

declare(strict_types=1);

namespace App\Support;

/** In which language a client is written to, and reads the page behind the link. The house itself reads English. */
enum Language: string
{
    case English = 'en';
    case German = 'de';
    case French = 'fr';

    /** As those who speak it call it. */
    public function called(): string
    {
        return match ($this) {
            self::English => 'English',
            self::German => 'Deutsch',
            self::French => 'Français',
        };
    }

    /**
     * Whatever is said in it is said in this language; what has no words in it is said in English.
     *
     * @template T
     *
     * @param  callable(): T  $say
     * @return T
     */
    public function speak(callable $say): mixed
    {
        $before = app()->getLocale();
        app()->setLocale($this->value);
        try {
            return $say();
        } finally {
            app()->setLocale($before);
        }
    }

    /** How days are written in it; null: as the house writes them. */
    public static function dates(): ?string
    {
        return match (self::tryFrom(app()->getLocale())) {
            self::German => 'j.n.Y',
            self::French => 'd/m/Y',
            default => null,
        };
    }
}
