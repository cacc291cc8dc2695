<?php

declare(strict_types=1);

namespace Acre\Core\Movement;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Time\Instant;

/** Whether a deed may start, with every reason. */
final readonly class Readiness
{
    /**
     * @param  Instant|null  $from  when it is clear, where only time stands in the way
     * @param  list<Finding>  $findings  dearest to miss first
     * @param  list<Leg>  $legs  the steps if it starts now, in order
     */
    private function __construct(public Verdict $verdict, public ?Instant $from, public array $findings, public array $legs)
    {
    }

    /**
     * @param  list<Finding>  $findings
     * @param  list<Leg>  $legs
     */
    public static function of(array $findings, array $legs): self
    {
        $verdict = Verdict::Clear;
        $from = null;
        foreach ($findings as $finding) {
            $verdict = match (true) {
                $verdict === Verdict::Stopped, $finding->effect === Effect::Stops => Verdict::Stopped,
                $verdict === Verdict::NotKnown, $finding->effect === Effect::NotKnown => Verdict::NotKnown,
                $verdict === Verdict::ClearFrom, $finding->effect === Effect::Delays => Verdict::ClearFrom,
                default => Verdict::Clear,
            };
            if ($finding->from !== null) {
                $from = $from === null ? $finding->from : Instant::latest($from, $finding->from);
            }
        }

        return new self($verdict, $verdict === Verdict::ClearFrom ? $from : null, Finding::dearestFirst($findings), $legs);
    }

    public function isClear(): bool
    {
        return $this->verdict === Verdict::Clear;
    }

    /** @return list<Finding> those that stand in the way, or all when nothing does */
    public function reasons(): array
    {
        $inTheWay = array_values(array_filter($this->findings, fn (Finding $finding): bool => $finding->effect !== Effect::Worth));

        return $inTheWay === [] ? $this->findings : $inTheWay;
    }
}
