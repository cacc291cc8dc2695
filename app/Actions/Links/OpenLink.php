<?php

declare(strict_types=1);

namespace App\Actions\Links;

use App\Models\DocketState;
use App\Models\Link;
use App\Models\LinkPurpose;

/** Finds what a link is good for, as long as it is. */
final readonly class OpenLink
{
    /** Wrong attempts after which it is no longer valid. */
    public const MISSES = 5;

    /**
     * @param  bool  $lock  in a transaction that is to use it
     * @return Link|null null: it never was, is used, over, or of something that is not so any more; nobody is told which
     */
    public function handle(string $token, bool $lock = false): ?Link
    {
        $link = Link::query()
            ->with('docket')
            ->where('digest', IssueLink::digest($token))
            ->whereNull('used_at')
            ->whereNull('withdrawn_at')
            ->whereRaw('expires_at > clock_timestamp()')
            ->when($lock, fn ($query) => $query->lockForUpdate())
            ->first();

        // What a mailbox is asked may be answered as long as its link is good, also late.
        return $link !== null &&
            ($link->docket === null || ($link->docket->state === DocketState::Settled && $link->docket->version === $link->docket_version))
            ? $link
            : null;
    }

    /** Whether a link that is no longer valid was for setting a password: its owner can request another; others ask whoever wrote. */
    public function wasForPassword(string $token): bool
    {
        return Link::query()->where('digest', IssueLink::digest($token))->where('purpose', LinkPurpose::SetPassword)->exists();
    }
}
