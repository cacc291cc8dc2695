<?php

declare(strict_types=1);

namespace App\Http\Session;

use App\Models\Client;
use App\Models\Role;
use App\Models\User;
use App\Support\BeginCode;
use App\Support\HouseLog;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;

/** The first page of an empty house: it makes the first Owner. */
final class BeginController
{
    public function create(): View|RedirectResponse
    {
        return User::query()->exists() ? to_route('sign-in') : view('session.begin');
    }

    public function store(BeginRequest $request, BeginCode $code, OpenSession $session, HouseLog $log): RedirectResponse
    {
        $owner = DB::transaction(function () use ($request, $code, $log): User {
            // Two people on this page at once: the second waits here, and is refused.
            DB::statement('LOCK TABLE users IN SHARE ROW EXCLUSIVE MODE');
            abort_if(User::query()->exists(), 403);
            $code->forget();

            Client::query()->create(['name' => $request->string('house')->toString(), 'is_house' => true]);

            $owner = User::enrol(
                $request->string('name')->toString(),
                $request->string('email')->toString(),
                $request->string('password')->toString(),
                Role::Owner,
            );
            $log->write('house_begun', 'person', $owner->id, [], $owner->id);

            return $owner;
        });
        $session->handle($request, $owner);

        return to_route('imports.create');
    }
}
