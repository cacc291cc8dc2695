<?php

declare(strict_types=1);

namespace App\Outside\Reach;

use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Cache\Repository;

/** How often one host may be asked: within the house's own limit, and not at all while it asks us to wait. */
final readonly class RateLimit
{
    /** Seconds, where a host says that it is too often and not for how long; and the longest that is believed. */
    private const OTHERWISE = 60;

    private const LONGEST = 86_400;

    /** Questions in a row that a host may leave unanswered before others stop waiting for it, and for how long: the house's own choice. */
    private const SILENT = 3;

    private const SILENT_REST = 120;

    public function __construct(private Repository $cache, private RateLimiter $limiter, private int $aMinute)
    {
    }

    /** @throws NotReached when it is not its turn */
    public function ask(string $host): void
    {
        $until = $this->cache->get("outside.rests.{$host}");
        if (is_int($until) && $until > time()) {
            throw NotReached::tooOften($host, $until - time());
        }
        if ($this->limiter->attempt("outside.{$host}", $this->aMinute, fn (): bool => true) === false) {
            throw NotReached::tooOften($host, max(1, $this->limiter->availableIn("outside.{$host}")));
        }
    }

    /** How often something with a limit of its own may still be asked within this minute. */
    public function left(string $what, ?int $aMinute): int
    {
        return $aMinute === null ? PHP_INT_MAX : $this->limiter->remaining("outside.{$what}", $aMinute);
    }

    public function spend(string $what, int $times): void
    {
        $this->limiter->increment("outside.{$what}", 60, $times);
    }

    public function rest(string $host, ?int $seconds): NotReached
    {
        $seconds = min(self::LONGEST, max(1, $seconds ?? self::OTHERWISE));
        $this->cache->put("outside.rests.{$host}", time() + $seconds, $seconds);

        return NotReached::tooOften($host, $seconds);
    }

    /** One that stays silent again and again is left alone for a while: who asks about others would wait for it each time. */
    public function failed(string $host, NotReached $e): NotReached
    {
        $times = $this->cache->get("outside.silent.{$host}");
        $times = (is_int($times) ? $times : 0) + ($e->why === FailureReason::Silent ? 1 : 0);
        $this->cache->put("outside.silent.{$host}", $times, self::SILENT_REST * 2);
        if ($times >= self::SILENT) {
            $this->rest($host, self::SILENT_REST);
        }

        return $e;
    }

    public function answered(string $host): void
    {
        $this->cache->forget("outside.silent.{$host}");
    }
}
