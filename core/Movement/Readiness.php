<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;
use Closure;

/** Whether a deed may start, with every reason. */
final readonly class Readiness
{
    /**
     * @param  Instant|null  $from  when it is clear, where only time stands in the way
     * @param  list<Finding>  $findings  dearest to miss first
     * @param  list<Leg>|Closure(): list<Leg>  $steps
     */
    private function __construct(public Verdict $verdict, public ?Instant $from, public array $findings, private array|Closure $steps)
    {
    }

    /**
     * @param  list<Finding>  $findings
     * @param  list<Leg>|Closure(): list<Leg>  $legs  worked out only where somebody asks for them
     */
    public static function of(array $findings, array|Closure $legs): self
    {
        $stops = $isUnknown = $delays = false;
        $from = null;
        foreach ($findings as $finding) {
            match ($finding->effect) {
                Effect::Stops => ($stops = true),
                Effect::NotKnown => ($isUnknown = true),
                Effect::Delays => ($delays = true),
                Effect::Worth => null,
            };
            if ($finding->from !== null) {
                $from = $from === null ? $finding->from : Instant::latest($from, $finding->from);
            }
        }
        $verdict = $stops ? Verdict::Stopped : ($isUnknown ? Verdict::NotKnown : ($delays ? Verdict::ClearFrom : Verdict::Clear));

        return new self($verdict, $verdict === Verdict::ClearFrom ? $from : null, Finding::dearestFirst($findings), $legs);
    }

    /** @param  list<Finding>  $more */
    public function with(array $more): self
    {
        return $more === [] ? $this : self::of([...$this->findings, ...$more], $this->steps);
    }

    /** @return list<Leg> the steps if it starts now, in order */
    public function legs(): array
    {
        return is_array($this->steps) ? $this->steps : ($this->steps)();
    }

    public function isClear(): bool
    {
        return $this->verdict === Verdict::Clear;
    }

    /** @return list<Finding> all of them, those that stand in the way first */
    public function inOrder(): array
    {
        $isInTheWay = fn (Finding $finding): bool => $finding->effect !== Effect::Worth;

        return [
            ...array_filter($this->findings, $isInTheWay),
            ...array_filter($this->findings, fn (Finding $finding): bool => ! $isInTheWay($finding)),
        ];
    }

    /** @return list<Finding> those that stand in the way, or all when nothing does */
    public function reasons(): array
    {
        $inTheWay = array_values(array_filter($this->findings, fn (Finding $finding): bool => $finding->effect !== Effect::Worth));

        return $inTheWay === [] ? $this->findings : $inTheWay;
    }
}
