<?php

declare(strict_types=1);

namespace App\Http;

use App\Support\CommonPasswords;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that somebody chooses: long enough, wholly used, and not among those that are tried first (OWASP ASVS 4.0.3, §2.1). */
final readonly class NewPassword implements ValidationRule
{
    public const LEAST = 12;

    /** Bytes that bcrypt looks at; more would be cut off unseen. */
    private const MOST = 72;

    /** @param  list<string>  $words  of the person and the house */
    public function __construct(private array $words = [])
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $said = match (true) {
            ! is_string($value), mb_strlen($value) < self::LEAST => 'short',
            strlen($value) > self::MOST => 'long',
            CommonPasswords::has($value, $this->words) => 'common',
            default => null,
        };
        if ($said !== null) {
            $fail(__("session.password.{$said}", ['least' => (string) self::LEAST, 'most' => (string) self::MOST]));
        }
    }
}
