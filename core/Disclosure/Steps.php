<?php

declare(strict_types=1);

namespace Acre\Core\Disclosure;

/** What a registrar can be told of disclosure: field by field, or in the coarser steps that it sells. */
final readonly class Steps
{
    /** @param  list<Pattern>|null  $steps */
    private function __construct(private ?array $steps)
    {
    }

    public static function fieldByField(): self
    {
        return new self(null);
    }

    /** @param  list<Pattern>  $steps */
    public static function of(array $steps): self
    {
        return new self($steps);
    }

    /** The step that shows most of what a pattern does, and nothing beyond it; nothing at all where even the smallest shows more. */
    public function nearest(Pattern $wish): Pattern
    {
        if ($this->steps === null) {
            return $wish;
        }
        $nearest = Pattern::of([]);
        foreach ($this->steps as $step) {
            if ($step->isWithin($wish) && count($step->fields) > count($nearest->fields)) {
                $nearest = $step;
            }
        }

        return $nearest;
    }
}
