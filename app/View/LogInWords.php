<?php

declare(strict_types=1);

namespace App\View;

use App\Support\Row;

/** What the log keeps of a deed beside who, what and when, as a person reads it. */
final readonly class LogInWords
{
    /** What its key says is a number of, and where that is to be seen. */
    private const PLACES = ['docket' => 'dockets.show', 'import' => 'bring-in.show', 'contact' => 'contacts.show', 'client' => 'clients.show', 'account' => 'accounts.show', 'handing' => 'custody.handing', 'custodian' => 'custody.show'];

    public function __construct(private Words $words)
    {
    }

    /** @param  string  $subject  what it was done to, where that is known */
    public function event(string $event, string $subject = ''): string
    {
        return $this->words->sayOr("log.{$event}_{$subject}", $this->words->sayOr("log.{$event}", ucfirst(str_replace('_', ' ', $event))));
    }

    /** @return list<array{string, string|null}> each with where it leads */
    public function more(Row $row): array
    {
        $data = array_map(self::opened(...), $row->json('data'));
        $said = [];
        [$before, $after] = [$data['before'] ?? null, $data['after'] ?? null];
        if (is_array($before) && is_array($after)) {
            foreach ($after as $field => $now) {
                if (($before[$field] ?? null) !== $now) {
                    $said[] = [$this->key((string) $field).': '.$this->words->kept((string) $field, $before[$field] ?? null).' → '.$this->words->kept((string) $field, $now), null];
                }
            }
            unset($data['before'], $data['after'], $data['fields']);
        }
        // What was found comes before what was found with it.
        $data = array_filter(array_intersect_key($data, ['deed' => 1, 'finding' => 1]) + $data, fn (mixed $value, string $key): bool => $key !== 'with' || $value !== [], ARRAY_FILTER_USE_BOTH);
        foreach ($data as $key => $value) {
            $said[] = isset(self::PLACES[$key]) && is_int($value) ? [$this->key($key).' '.$value, route(self::PLACES[$key], $value)] : [$this->part($key, $value), null];
        }

        return $said;
    }

    private function part(string $key, mixed $value): string
    {
        $text = $this->words->kept($key, $value);

        return match ($key) {
            'deed' => $this->words->sayOr("deeds.{$text}.title", $text),
            'finding' => $this->words->sayOr("outside.drift.kind.{$text}", $text),
            'with' => $text,
            default => is_int($value) ? "{$this->key($key)} {$text}" : "{$this->key($key)}: {$text}",
        };
    }

    private function key(string $key): string
    {
        return $this->words->sayOr("log.key.{$key}", str_replace('_', ' ', $key));
    }

    /** A value that was kept as JSON inside, as what it is. */
    private static function opened(mixed $value): mixed
    {
        return is_string($value) && preg_match('/^[{\[]/', $value) === 1 ? json_decode($value, true, 16) ?? $value : $value;
    }
}
