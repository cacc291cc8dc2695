<?php

declare(strict_types=1);

namespace App\View;

use App\Support\Row;

/** What the log keeps of a deed beside who, what and when, as a person reads it. */
final readonly class LogInWords
{
    /** What its key says is a number of, and where that is to be seen. */
    private const PLACES = [
        'docket' => 'dockets.show',
        'import' => 'imports.show',
        'contact' => 'contacts.show',
        'client' => 'clients.show',
        'account' => 'accounts.show',
        'handing' => 'custody.handing',
        'custodian' => 'custody.show',
    ];

    /** What stands for a value that the log doesn't keep: what a contact says is in its versions. */
    private const ELSEWHERE = '…';

    /** Under which a reason is kept. */
    private const REASONS = ['because' => 1, 'why' => 1, 'reason' => 1];

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
        return $this->said(array_map(self::opened(...), $row->json('data')));
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @return list<array{string, string|null}>
     */
    private function said(array $data): array
    {
        $said = [];
        [$before, $after] = [$data['before'] ?? null, $data['after'] ?? null];
        if (is_array($before) && is_array($after)) {
            foreach (array_map(self::opened(...), $after) as $field => $now) {
                $then = self::opened($before[$field] ?? null);
                if ($now === self::ELSEWHERE) {
                    $said[] = [$this->words->say('log.changed_elsewhere', ['what' => $this->key((string) $field)]), null];
                } elseif ($then !== $now) {
                    $said[] = [
                        $this->key((string) $field).
                        ': '.
                        $this->words->kept((string) $field, $then).
                        ' → '.
                        $this->words->kept((string) $field, $now),
                        null,
                    ];
                }
            }
            unset($data['before'], $data['after'], $data['fields']);
        }
        // What was found comes before what was found with it.
        $data = array_filter(
            array_intersect_key($data, ['deed' => 1, 'finding' => 1]) + $data,
            fn (mixed $value, string $key): bool => $key !== 'with' || $value !== [],
            ARRAY_FILTER_USE_BOTH,
        );
        foreach ($data as $key => $value) {
            $said[] =
                isset(self::PLACES[$key]) && is_int($value)
                    ? [$this->key($key).' '.$value, route(self::PLACES[$key], $value)]
                    : [$this->part($key, $value), null];
        }

        return $said;
    }

    /**
     * What a row of the log changed of a name: as the log keeps it, or else as its docket meant it.
     *
     * @param  Row  $row  with `before` and `after` of the docket's line
     * @return list<array{string, string|null}>
     */
    public function change(Row $row): array
    {
        $data = array_diff_key($row->json('data'), self::REASONS);
        if (
            ! isset($data['before']) &&
            in_array($row->text('event'), ['done', $row->textOrNull('deed')], true) &&
            $row->textOrNull('after') !== null
        ) {
            $data += ['before' => $row->json('before'), 'after' => $row->json('after')];
        }

        return $this->said(array_map(self::opened(...), $data));
    }

    /** Why, as somebody said it; null: nobody did. */
    public function why(Row $row): ?string
    {
        foreach (array_keys(self::REASONS) as $key) {
            $said = $row->json('data')[$key] ?? null;
            if (is_string($said) && $said !== '') {
                return $said;
            }
        }

        return $row->textOrNull('because') ?? $row->textOrNull('reason');
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
