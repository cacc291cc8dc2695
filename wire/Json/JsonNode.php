<?php

declare(strict_types=1);

namespace Acre\Wire\Json;

use DateTimeImmutable;
use JsonException;

/** An object in a JSON text (RFC 8259), asked for its members by type; whatever is not as asked is refused with its path. */
final readonly class JsonNode
{
    private const DEPTH = 32;

    /** Members of one list that are read. */
    private const MEMBERS = 1_000;

    /** @param  array<array-key, mixed>  $members */
    private function __construct(private array $members, public string $path)
    {
    }

    /**
     * @param  int  $limit  bytes
     *
     * @throws JsonError
     */
    public static function read(string $text, int $limit): self
    {
        if (strlen($text) > $limit) {
            throw JsonError::tooLong(strlen($text), $limit);
        }
        try {
            $value = json_decode($text, true, self::DEPTH, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw JsonError::notJson(JsonPlace::ofError($text, self::DEPTH), lcfirst($e->getMessage()));
        }

        return self::of($value, '$');
    }

    public function has(string $member): bool
    {
        return isset($this->members[$member]);
    }

    /** @throws JsonError when it is missing or no text */
    public function text(string $member): string
    {
        return $this->textOrNull($member) ?? throw JsonError::missing($this->at($member));
    }

    public function textOrNull(string $member): ?string
    {
        $value = $this->members[$member] ?? null;

        return $value === null || is_string($value) ? $value : throw JsonError::wrong($this->at($member), 'a text', $value);
    }

    public function intOrNull(string $member): ?int
    {
        $value = $this->members[$member] ?? null;

        return $value === null || is_int($value) ? $value : throw JsonError::wrong($this->at($member), 'a whole number', $value);
    }

    public function boolOrNull(string $member): ?bool
    {
        $value = $this->members[$member] ?? null;

        return $value === null || is_bool($value) ? $value : throw JsonError::wrong($this->at($member), 'true or false', $value);
    }

    /** A date and time of RFC 3339, with its zone. */
    public function time(string $member): DateTimeImmutable
    {
        $value = $this->text($member);
        if (preg_match('/^\d{4}-\d\d-\d\d[Tt ]\d\d:\d\d:\d\d(\.\d{1,9})?([Zz]|[+-]\d\d:\d\d)$/D', $value) === 1) {
            $time = date_create_immutable(strtoupper(str_replace(' ', 'T', (string) preg_replace('/\.\d+/', '', $value))));
            // 31 February is accepted by PHP and becomes March.
            if ($time !== false && str_starts_with($value, $time->format('Y-m-d'))) {
                return $time;
            }
        }
        throw JsonError::wrong($this->at($member), 'a date and time of RFC 3339', $value);
    }

    /** @throws JsonError when it is no object */
    public function nodeOrNull(string $member): ?self
    {
        return isset($this->members[$member]) ? self::of($this->members[$member], $this->at($member)) : null;
    }

    /** @return list<self> empty where the member is missing */
    public function nodes(string $member): array
    {
        $nodes = [];
        foreach ($this->values($member) as $place => $value) {
            $nodes[] = self::of($value, $this->at($member)."[{$place}]");
        }

        return $nodes;
    }

    /** @return list<string> empty where the member is missing */
    public function texts(string $member): array
    {
        $texts = [];
        foreach ($this->values($member) as $place => $value) {
            $texts[] = is_string($value) ? $value : throw JsonError::wrong($this->at($member)."[{$place}]", 'a text', $value);
        }

        return $texts;
    }

    /** @return list<mixed> whatever the list holds; empty where the member is missing */
    public function values(string $member): array
    {
        $value = $this->members[$member] ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            throw JsonError::wrong($this->at($member), 'a list', $value);
        }

        return count($value) <= self::MEMBERS ? $value : throw JsonError::tooMany($this->at($member), self::MEMBERS);
    }

    private static function of(mixed $value, string $path): self
    {
        // An empty object and an empty list look alike once they are read.
        return is_array($value) && ($value === [] || ! array_is_list($value)) ? new self($value, $path) : throw JsonError::wrong($path, 'an object', $value);
    }

    private function at(string $member): string
    {
        return $this->path.'.'.$member;
    }
}
