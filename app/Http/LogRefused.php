<?php

declare(strict_types=1);

namespace App\Http;

use App\Support\HouseLog;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Request;

/**
 * Somebody signed in asked for what their role doesn't allow: kept once an hour for a person and a page, so that nobody fills the log by
 * asking.
 */
final readonly class LogRefused
{
    private const SECONDS = 3_600;

    public function __construct(private HouseLog $log, private RateLimiter $limiter)
    {
    }

    public function handle(Request $request): void
    {
        $user = $request->user();
        $page = $request->route()?->getName() ?? $request->route()?->uri();
        if ($user !== null && $page !== null) {
            $this->limiter->attempt(
                "refused:{$user->id}:{$page}",
                1,
                fn () => $this->log->write(
                    'not_allowed',
                    'person',
                    $user->id,
                    ['page' => $page, 'method' => $request->method()],
                    $user->id,
                ),
                self::SECONDS,
            );
        }
    }
}
