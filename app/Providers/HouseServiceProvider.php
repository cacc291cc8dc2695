<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Right;
use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

final class HouseServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        Model::shouldBeStrict();

        foreach (Right::cases() as $right) {
            Gate::define($right->value, fn (User $user): bool => $user->role->may($right));
        }

        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(5)->by('who:'.Str::lower($request->string('email')->toString())),
            Limit::perMinute(30)->by('from:'.$request->ip()),
        ]);
    }
}
