<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Connection;
use SensitiveParameter;

/**
 * What whoever started an empty house was shown, and must type on its first page: else the first stranger to find that page would have the
 * house.
 */
final readonly class BeginCode
{
    private const KEY = 'begin_code';

    /** Letters and figures that are not taken for one another. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

    private const LENGTH = 16;

    public function __construct(private Connection $database)
    {
    }

    /** @return string to be shown once; the previous one is no longer valid */
    public function make(): string
    {
        $code = '';
        for ($at = 0; $at < self::LENGTH; $at++) {
            $code .= ($at > 0 && $at % 4 === 0 ? '-' : '').self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        }
        $this->database->table('settings')->upsert([['key' => self::KEY, 'value' => json_encode(self::digest($code))]], ['key'], ['value']);

        return $code;
    }

    public function is(#[SensitiveParameter] string $typed): bool
    {
        $kept = $this->database->table('settings')->where('key', self::KEY)->value('value');
        $digest = is_string($kept) ? json_decode($kept) : null;

        return is_string($digest) && hash_equals($digest, self::digest($typed));
    }

    public function forget(): void
    {
        $this->database->table('settings')->where('key', self::KEY)->delete();
    }

    private static function digest(#[SensitiveParameter] string $code): string
    {
        return hash('sha256', (string) preg_replace('/[^a-z0-9]/', '', strtolower($code)));
    }
}
