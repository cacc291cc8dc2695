<?php

declare(strict_types=1);

namespace App\Outside\Registrar;

use SensitiveParameter;

/** What became of an order. */
final readonly class Answer
{
    /**
     * @param  string  $words  in the registrar's words, without secrets
     * @param  string|null  $secret  the auth code, where that was asked for
     * @param  Told|null  $told  what it says beside
     */
    private function __construct(
        public AnswerKind $kind,
        public ?int $code,
        public string $words,
        #[SensitiveParameter] public ?string $secret = null,
        public ?Told $told = null,
    ) {
    }

    public static function done(?int $code, string $words, #[SensitiveParameter] ?string $secret = null, ?Told $told = null): self
    {
        return new self(AnswerKind::Done, $code, $words, $secret, $told);
    }

    public static function pending(?int $code, string $words): self
    {
        return new self(AnswerKind::Pending, $code, $words);
    }

    public static function refused(?int $code, string $words): self
    {
        return new self(AnswerKind::Refused, $code, $words);
    }

    public static function later(?int $code, string $words): self
    {
        return new self(AnswerKind::Later, $code, $words);
    }
}
