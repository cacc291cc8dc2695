<?php

declare(strict_types=1);

namespace Acre\Wire\Lists;

use Generator;
use JsonException;

/**
 * A list of objects in JSON (RFC 8259), in any spelling: one object is held at a time. Every key that an object has is a column.
 */
final readonly class JsonRows implements RowSource
{
    private const CHUNK = 65_536;

    private const DEPTH = 16;

    /** @param  list<string>  $keys */
    private function __construct(private string $path, private array $keys)
    {
    }

    /** @throws ListError when it is no list of objects */
    public static function open(string $path): self
    {
        $keys = [];
        foreach ((new self($path, []))->objects() as $number => $object) {
            $keys += array_fill_keys(array_keys($object), true);
            if (count($keys) > Lists::COLUMN_LIMIT) {
                throw ListError::tooManyColumns($number, Lists::COLUMN_LIMIT);
            }
        }

        return $keys === [] ? throw ListError::empty() : new self($path, array_map(strval(...), array_keys($keys)));
    }

    public function namesColumns(): bool
    {
        return true;
    }

    public function sheets(): array
    {
        return [];
    }

    public function sheet(): string
    {
        return '';
    }

    /** @return Generator<int, ListRow> the keys, and then each object by its number, the first being 1 */
    public function rows(): Generator
    {
        yield new ListRow(0, array_map(Lists::clean(...), $this->keys));
        foreach ($this->objects() as $number => $object) {
            $cells = $numbers = [];
            foreach ($this->keys as $column => $key) {
                $value = $object[$key] ?? null;
                $cells[] = Lists::clean(self::text($value));
                if (is_int($value) || is_float($value)) {
                    $numbers[] = $column;
                }
            }
            $row = new ListRow($number, $cells, $numbers);
            if (! $row->isBlank()) {
                yield $row;
            }
        }
    }

    /**
     * The objects of the outermost list, cut by their braces: whatever stands in quotation marks is passed over.
     *
     * @return Generator<int, array<array-key, mixed>>
     */
    private function objects(): Generator
    {
        $handle = fopen($this->path, 'rb');
        if ($handle === false) {
            throw ListError::unreadable(basename($this->path));
        }
        try {
            $number = $depth = 0;
            $pending = '';
            $isText = false;
            while (($read = fread($handle, self::CHUNK)) !== false && $read !== '') {
                $pending .= $read;
                $at = strlen($pending) - strlen($read);
                $from = 0;
                while (($at += strcspn($pending, $isText ? '"\\' : '"{}', $at)) < strlen($pending)) {
                    $sign = $pending[$at];
                    if ($sign === '\\') {
                        // What it escapes may stand in the next part of the file.
                        if ($at + 1 === strlen($pending)) {
                            $pending .= (string) fread($handle, 1);
                        }
                        $at += 2;

                        continue;
                    }
                    $at++;
                    $isText = $sign === '"' ? ! $isText : $isText;
                    if ($sign === '{' && $depth++ === 0) {
                        $from = $at - 1;
                    } elseif ($sign === '}' && --$depth === 0) {
                        yield ++$number => self::object(substr($pending, $from, $at - $from), $number);
                        $from = $at;
                    } elseif ($depth < 0) {
                        throw ListError::noJson($number + 1, 'a brace is closed that was not opened');
                    }
                }
                $pending = $depth === 0 && ! $isText ? '' : substr($pending, $from);
                if (strlen($pending) > Lists::LINE_LIMIT) {
                    throw ListError::longLine($number + 1, Lists::LINE_LIMIT);
                }
            }
            if ($depth !== 0) {
                throw ListError::noJson($number + 1, 'the file ends within it');
            }
        } finally {
            fclose($handle);
        }
    }

    /** @return array<array-key, mixed> */
    private static function object(string $json, int $number): array
    {
        try {
            $object = json_decode($json, true, self::DEPTH, JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING);
        } catch (JsonException $e) {
            throw ListError::noJson($number, lcfirst($e->getMessage()));
        }

        return is_array($object) ? $object : [];
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            is_string($value) => $value,
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value) => (string) $value,
            is_float($value) => ListNumber::text($value),
            is_array($value) && array_is_list($value) => implode(', ', array_map(self::text(...), $value)),
            is_array($value) => (string) json_encode(
                $value,
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PARTIAL_OUTPUT_ON_ERROR,
            ),
            default => '',
        };
    }
}
