<?php

declare(strict_types=1);

namespace Acre\Core\Hosting;

/** Where a host is to send whoever asks for its pages. */
final readonly class Redirect
{
    /** RFC 9110 §15.4: moved for good, so that browsers and search engines remember it. */
    private const PERMANENT = [301, 308];

    private const ELSEWHERE = [301, 302, 303, 307, 308];

    /** @param  bool  $keepsPath  whether `/page` leads to the same page under the target */
    public function __construct(public WebAddress $target, public bool $isPermanent, public bool $keepsPath)
    {
    }

    public static function isPermanent(int $status): bool
    {
        return in_array($status, self::PERMANENT, true);
    }

    /** Whether an answer with this status leads elsewhere. */
    public static function isRedirect(int $status): bool
    {
        return in_array($status, self::ELSEWHERE, true);
    }
}
