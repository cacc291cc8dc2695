<?php

declare(strict_types=1);

namespace App\Support;

use DateTimeZone;
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

    /** What it is called in letters to others: the letterhead's first line, or its own name among those it serves. */
    public function name(): string
    {
        $own = $this->database->table('clients')->where('is_house', true)->orderBy('id')->value('name');

        return $this->letterhead()[0] ?? (is_string($own) ? $own : 'Acre Roll');
    }

    /** A deed over more names than this is settled by somebody else than who prepared it; null: whoever may settle may. */
    public function fourEyes(): ?int
    {
        $set = $this->all()['four_eyes'] ?? null;

        return is_int($set) ? $set : null;
    }

    /** Of times of day; days are the trade's, in UTC. */
    public function zone(): DateTimeZone
    {
        $set = $this->all()['zone'] ?? null;

        return new DateTimeZone(is_string($set) && in_array($set, DateTimeZone::listIdentifiers(), true) ? $set : 'UTC');
    }

    public function dates(): DateStyle
    {
        $set = $this->all()['dates'] ?? null;

        return (is_string($set) ? DateStyle::tryFrom($set) : null) ?? DateStyle::Words;
    }

    /** What it means when a client doesn't answer which names to keep. */
    public function silence(): Silence
    {
        $set = $this->all()['silence'] ?? null;

        return (is_string($set) ? Silence::tryFrom($set) : null) ?? Silence::Nothing;
    }

    /** What those we serve are called. */
    public function served(): Served
    {
        $set = $this->all()['served'] ?? null;

        return (is_string($set) ? Served::tryFrom($set) : null) ?? Served::Client;
    }

    /** The pattern of disclosure that new names are to follow where their client has none; null: none is set. */
    public function pattern(): ?int
    {
        $set = $this->all()['pattern'] ?? null;

        return is_int($set) ? $set : null;
    }

    /**
     * @return array{currency: string, letterhead: string, four_eyes: int|null, zone: string, dates: string, served: string,
     *     pattern: int|null, silence: string} as its form has them
     */
    public function stand(): array
    {
        return [
            'currency' => $this->currency(),
            'letterhead' => implode("\n", $this->letterhead()),
            'four_eyes' => $this->fourEyes(),
            'zone' => $this->zone()->getName(),
            'dates' => $this->dates()->value,
            'served' => $this->served()->value,
            'pattern' => $this->pattern(),
            'silence' => $this->silence()->value,
        ];
    }

    /** @param  array<string, string|int|null>  $settings */
    public function set(array $settings): void
    {
        $this->read = $settings + $this->all();
        $this->database
            ->table('settings')
            ->upsert([['key' => self::KEY, 'value' => json_encode($this->read, JSON_THROW_ON_ERROR)]], ['key'], ['value']);
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
