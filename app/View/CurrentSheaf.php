<?php

declare(strict_types=1);

namespace App\View;

use App\Actions\Names\GatherNames;
use App\Models\User;
use App\Queries\Roll\Gathered;
use App\Queries\Roll\Sheaf;
use Illuminate\Contracts\Auth\Factory as Auth;

/** The signed-in person's sheaf, read once a page. */
final class CurrentSheaf
{
    private ?Sheaf $sheaf = null;

    public function __construct(private readonly GatherNames $gather, private readonly Auth $auth)
    {
    }

    public function get(): Sheaf
    {
        $user = $this->auth->guard()->user();

        return $this->sheaf ??= $user instanceof User ? $this->gather->sheaf($user) : new Sheaf([], 0, 0);
    }

    /** Whether a sentence that names came from shows others today than when they were ticked. */
    public function isOutOfStep(): bool
    {
        $user = $this->auth->guard()->user();

        return $user instanceof User && array_filter(
            $this->gather->sentences($user),
            fn (Gathered $one): bool => $one->hasChanged(),
        ) !== [];
    }
}
