<?php

declare(strict_types=1);

namespace App\Support;

use LogicException;

/**
 * What a test plans for the process it starts, in ACRE_FAULT: `place:nth`, `place:nth:pid` or `place:nth:stop`. At the nth arrival
 * at the place (a Failpoint, or `statement`: any answer of the database) the process kills itself, or the one named, with SIGKILL;
 * or it stands still until somebody lets it go on.
 */
final class Fault
{
    public const STATEMENT = 'statement';

    /** Said just before, because a process that is killed may take its time to die. */
    public const STRUCK = "fault struck\n";

    private static ?self $planned = null;

    private function __construct(
        private readonly string $place,
        private int $arrivals,
        private readonly int $victim,
        private readonly int $signal,
    ) {
    }

    public static function planned(): ?self
    {
        $plan = getenv('ACRE_FAULT');
        if ($plan === false || PHP_SAPI !== 'cli') {
            return null;
        }

        return self::$planned ??= self::of($plan);
    }

    /** @throws LogicException when the plan can't be read */
    private static function of(string $plan): self
    {
        if (
            preg_match('/^(\w+):(\d+)(?::(\d+|stop))?$/', $plan, $found) !== 1 ||
            ($found[1] !== self::STATEMENT && Failpoint::tryFrom($found[1]) === null)
        ) {
            throw new LogicException("ACRE_FAULT is place:nth, place:nth:pid or place:nth:stop, and {$plan} is not.");
        }

        $victim = $found[3] ?? '';

        return new self(
            $found[1],
            (int) $found[2],
            ctype_digit($victim) ? (int) $victim : (int) getmypid(),
            $victim === 'stop' ? SIGSTOP : SIGKILL,
        );
    }

    public function arrive(string $place): void
    {
        if ($place === $this->place && --$this->arrivals === 0) {
            fwrite(STDERR, self::STRUCK);
            posix_kill($this->victim, $this->signal);
        }
    }
}
