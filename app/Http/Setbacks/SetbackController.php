<?php

declare(strict_types=1);

namespace App\Http\Setbacks;

use App\Actions\Setbacks\TryAgain;
use App\Http\SignedInRequest;
use App\Models\Setback;
use App\Queries\Setbacks\ReadSetbacks;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Work that could not be finished, with its error and its next try. */
final readonly class SetbackController
{
    public function __construct(private ReadSetbacks $read)
    {
    }

    public function index(): View
    {
        return view('setbacks.index', ['setbacks' => $this->read->all(), 'jobs' => $this->read->failedJobs()]);
    }

    public function again(SignedInRequest $request, Setback $setback, TryAgain $again): RedirectResponse
    {
        $again->handle($request->person(), $setback);

        return to_route('failed-work')->with('told', __('setbacks.again'));
    }

    /** The framework's own command puts a failed job back into the queue, and forgets that it failed. */
    public function retryJob(string $uuid, Kernel $artisan): RedirectResponse
    {
        $artisan->call('queue:retry', ['id' => [$uuid]]);

        return to_route('failed-work')->with('told', __('setbacks.again'));
    }
}
