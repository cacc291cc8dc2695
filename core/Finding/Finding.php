<?php

declare(strict_types=1);

namespace Acre\Core\Finding;

use Acre\Core\Money\Money;
use Acre\Core\Time\Instant;
use JsonSerializable;

/** One reason: what it is, its effect, and the values that its words need. */
final readonly class Finding implements JsonSerializable
{
    /**
     * @param  array<string, Instant|Money|string|int>  $with  by the tag's argument names
     * @param  Instant|null  $from  when time alone will have cured it
     */
    private function __construct(public FindingTag $tag, public Effect $effect, public array $with, public ?Instant $from)
    {
    }

    /** @throws FindingError with assertions on, when the arguments are not those that the tag declares */
    public static function of(
        FindingTag $tag,
        Effect $effect = Effect::Worth,
        ?Instant $from = null,
        Instant|Money|string|int ...$with,
    ): self {
        // Held by the tests, which run with assertions: nobody else pays for a slip of ours.
        assert(array_keys($with) === $tag->arguments(), FindingError::arguments($tag, array_map(strval(...), array_keys($with))));

        /** @var array<string, Instant|Money|string|int> $with */
        return new self($tag, $effect, $with, $from);
    }

    /** `lifecycle.renews_by_itself` */
    public function key(): string
    {
        return $this->tag::area().'.'.$this->tag->value;
    }

    /** The first of its instants, for ordering among equals; far away when it has none. */
    public function instant(): int
    {
        $least = PHP_INT_MAX;
        foreach ($this->with as $value) {
            if ($value instanceof Instant && $value->epoch < $least) {
                $least = $value->epoch;
            }
        }

        return $least;
    }

    /**
     * Dearest to miss first, then soonest.
     *
     * @param  list<self>  $findings
     * @return list<self>
     */
    public static function dearestFirst(array $findings): array
    {
        if (count($findings) < 2) {
            return $findings;
        }
        if (count($findings) === 2) {
            return self::order($findings[0], $findings[1]) > 0 ? [$findings[1], $findings[0]] : $findings;
        }
        usort($findings, self::order(...));

        return $findings;
    }

    private static function order(self $a, self $b): int
    {
        $dearer = $a->tag->cost()->value <=> $b->tag->cost()->value;

        return $dearer === 0 ? $a->instant() <=> $b->instant() : $dearer;
    }

    /** @return array{key: string, effect: string, from: Instant|null, with: array<string, array{string, mixed}>} */
    public function jsonSerialize(): array
    {
        return [
            'key' => $this->key(),
            'effect' => $this->effect->value,
            'from' => $this->from,
            'with' => array_map(
                fn (Instant|Money|string|int $value): array => match (true) {
                    $value instanceof Instant => ['instant', $value],
                    $value instanceof Money => ['money', $value],
                    is_int($value) => ['count', $value],
                    default => ['text', $value],
                },
                $this->with,
            ),
        ];
    }
}
