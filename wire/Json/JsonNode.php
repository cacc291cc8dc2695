<?php

declare(strict_types=1);

namespace Acre\Wire\Json;

use Acre\Wire\Text\PlainText;
use Acre\Wire\Text\Years;
use DateTimeImmutable;
use JsonException;

/**
 * An object in a JSON text (RFC 8259), asked for its members by type; whatever is not as asked is refused with its path.
 * Read leniently, an odd member is as good as missing: it is noted, and the others are read.
 */
final readonly class JsonNode
{
    private const DEPTH = 32;

    /** Members of one list that are read. */
    private const MEMBERS = 1_000;

    /** Characters of one text that are read. */
    private const LONGEST = 10_000;

    private const REPLACED = "\u{FFFD}";

    /**
     * @param  array<array-key, mixed>  $members
     * @param  OddMembers|null  $odd  null: what is odd is refused
     */
    private function __construct(private array $members, public string $path, private ?OddMembers $odd)
    {
    }

    /**
     * @param  int  $limit  bytes
     *
     * @throws JsonError
     */
    public static function read(string $text, int $limit): self
    {
        return self::of(self::decoded($text, $limit, 0), '$', null);
    }

    /**
     * Broken characters are replaced, and odd members noted.
     *
     * @param  int  $limit  bytes
     *
     * @throws JsonError where it is no JSON, or no object
     */
    public static function readLeniently(string $text, int $limit): self
    {
        return self::of(self::decoded($text, $limit, JSON_INVALID_UTF8_SUBSTITUTE), '$', new OddMembers());
    }

    private static function decoded(string $text, int $limit, int $flags): mixed
    {
        if (strlen($text) > $limit) {
            throw JsonError::tooLong(strlen($text), $limit);
        }
        try {
            return json_decode($text, true, self::DEPTH, JSON_THROW_ON_ERROR | $flags);
        } catch (JsonException $e) {
            throw JsonError::notJson(JsonPlace::ofError($text, self::DEPTH), lcfirst($e->getMessage()));
        }
    }

    /** @return list<string> what was passed over so far, a sentence each; empty where nothing was, or where it is refused */
    public function odd(): array
    {
        return $this->odd->said ?? [];
    }

    /**
     * What of a list could be read.
     *
     * @template T
     *
     * @param  callable(self): T  $read
     * @return list<T>
     *
     * @throws JsonError where one of them can't be, and odd members are refused
     */
    public function each(string $member, callable $read): array
    {
        $all = [];
        foreach ($this->nodes($member) as $node) {
            try {
                $all[] = $read($node);
            } catch (JsonError $e) {
                $this->passOver($e);
            }
        }

        return $all;
    }

    /**
     * A list that says something only as a whole.
     *
     * @template T
     *
     * @param  callable(self): list<T>  $read
     * @return list<T>|null  null: something of it was odd
     *
     * @throws JsonError where odd members are refused
     */
    public function whole(callable $read): ?array
    {
        $odd = new OddMembers();
        $found = $read(new self($this->members, $this->path, $this->odd === null ? null : $odd));
        array_map(fn (string $said) => $this->odd?->note($said), $odd->said);

        return $odd->said === [] ? $found : null;
    }

    /** @throws JsonError where odd members are refused */
    public function passOver(JsonError $e): null
    {
        $this->odd === null ? throw $e : $this->odd->note($e->getMessage());

        return null;
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

        return match (true) {
            $value === null => null,
            is_string($value) => PlainText::line($value, self::LONGEST),
            default => $this->passOver(JsonError::wrong($this->at($member), 'a text', $value)),
        };
    }

    /** A text to the letter, for what is compared and never shown: a code. */
    public function rawOrNull(string $member): ?string
    {
        $value = $this->members[$member] ?? null;

        return $value === null || is_string($value) ? $value : $this->passOver(JsonError::wrong($this->at($member), 'a text', $value));
    }

    public function intOrNull(string $member): ?int
    {
        $value = $this->members[$member] ?? null;

        return $value === null || is_int($value) ? $value : $this->passOver(JsonError::wrong($this->at($member), 'a whole number', $value));
    }

    public function boolOrNull(string $member): ?bool
    {
        $value = $this->members[$member] ?? null;

        return $value === null || is_bool($value) ? $value : $this->passOver(JsonError::wrong($this->at($member), 'true or false', $value));
    }

    /**
     * A date and time of RFC 3339, with its zone, in a year in which a domain name can be.
     *
     * @throws JsonError
     */
    public function time(string $member): DateTimeImmutable
    {
        $value = $this->text($member);
        if (preg_match('/^\d{4}-\d\d-\d\d[Tt ]\d\d:\d\d:\d\d(\.\d{1,9})?([Zz]|[+-]\d\d:\d\d)$/D', $value) === 1) {
            $time = date_create_immutable(strtoupper(str_replace(' ', 'T', (string) preg_replace('/\.\d+/', '', $value))));
            // 31 February is accepted by PHP and becomes March.
            if ($time !== false && str_starts_with($value, $time->format('Y-m-d')) && Years::holds($time)) {
                return $time;
            }
        }
        throw JsonError::wrong($this->at($member), 'a date and time of RFC 3339', $value);
    }

    /** @throws JsonError when it is no object */
    public function nodeOrNull(string $member): ?self
    {
        try {
            return isset($this->members[$member]) ? self::of($this->members[$member], $this->at($member), $this->odd) : null;
        } catch (JsonError $e) {
            return $this->passOver($e);
        }
    }

    /** @return list<self> empty where the member is missing */
    public function nodes(string $member): array
    {
        $nodes = [];
        foreach ($this->values($member) as $place => $value) {
            try {
                $nodes[] = self::of($value, $this->at($member)."[{$place}]", $this->odd);
            } catch (JsonError $e) {
                $this->passOver($e);
            }
        }

        return $nodes;
    }

    /** @return list<string> empty where the member is missing */
    public function texts(string $member): array
    {
        $texts = [];
        foreach ($this->values($member) as $place => $value) {
            // A broken character was replaced: what it stood for is not known.
            $texts[] =
                is_string($value) && ($this->odd === null || ! str_contains($value, self::REPLACED))
                    ? PlainText::line($value, self::LONGEST)
                    : $this->passOver(JsonError::wrong($this->at($member)."[{$place}]", 'a text', $value));
        }

        return array_values(array_filter($texts, is_string(...)));
    }

    /** @return list<mixed> whatever the list holds; empty where the member is missing */
    public function values(string $member): array
    {
        $value = $this->members[$member] ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            $this->passOver(JsonError::wrong($this->at($member), 'a list', $value));

            return [];
        }
        if (count($value) > self::MEMBERS) {
            $this->passOver(JsonError::tooMany($this->at($member), self::MEMBERS));
        }

        return array_slice($value, 0, self::MEMBERS);
    }

    private static function of(mixed $value, string $path, ?OddMembers $odd): self
    {
        // An empty object and an empty list look alike once they are read.
        return is_array($value) && ($value === [] || ! array_is_list($value))
            ? new self($value, $path, $odd)
            : throw JsonError::wrong($path, 'an object', $value);
    }

    private function at(string $member): string
    {
        return $this->path.'.'.$member;
    }
}
