<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Connection;

/** What the house has set for itself; read once a page or job. */
final class HouseSettings
{
    private const KEY = 'house';

    /** @var array<array-key, mixed>|null */
    private ?array $read = null;

    public function __construct(private readonly Connection $database)
    {
    }

    /** Of amounts that name none; ISO 4217. */
    public function currency(): string
    {
        $set = $this->all()['currency'] ?? null;

        return is_string($set) ? $set : config()->string('house.currency');
    }

    /** @return list<string> lines above what is printed for somebody else */
    public function letterhead(): array
    {
        $set = $this->all()['letterhead'] ?? '';

        return is_string($set) && trim($set) !== '' ? explode("\n", trim($set)) : [];
    }

    /** A deed over more names than this is settled by somebody else than who prepared it; null: whoever may settle may. */
    public function fourEyes(): ?int
    {
        $set = $this->all()['four_eyes'] ?? null;

        return is_int($set) ? $set : null;
    }

    /** @param  array<string, string|int|null>  $settings */
    public function set(array $settings): void
    {
        $this->read = $settings + $this->all();
        $this->database->table('settings')->upsert([['key' => self::KEY, 'value' => json_encode($this->read, JSON_THROW_ON_ERROR)]], ['key'], ['value']);
    }

    /** @return array<array-key, mixed> */
    private function all(): array
    {
        if ($this->read === null) {
            $value = $this->database->table('settings')->where('key', self::KEY)->value('value');
            $read = is_string($value) ? json_decode($value, true) : [];
            $this->read = is_array($read) ? $read : [];
        }

        return $this->read;
    }
}
