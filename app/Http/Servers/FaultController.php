<?php

declare(strict_types=1);

namespace App\Http\Servers;

use Acre\Core\Delegation\DelegationFinding;
use App\Actions\Names\GatherNames;
use App\Http\SignedInRequest;
use App\Queries\Servers\FaultCounted;
use App\Queries\Servers\ReadFaults;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** What does not answer, or not as it should, over the whole Roll. */
final readonly class FaultController
{
    private const MOST = 10_000;

    public function __construct(private ReadFaults $faults, private Words $words)
    {
    }

    public function index(): View
    {
        $faults = $this->faults->counted();
        $isOfHost = fn (FaultCounted $fault): bool => $fault->host !== '';

        return view('servers.faults', [
            'hosts' => array_filter($faults, $isOfHost),
            'others' => array_filter($faults, fn (FaultCounted $fault): bool => ! $isOfHost($fault)),
            'words' => $this->words,
        ]);
    }

    /** Its names go into the sheaf. */
    public function gather(SignedInRequest $request, GatherNames $gather): RedirectResponse
    {
        $finding = DelegationFinding::tryFrom($request->word('finding')) ?? abort(404);
        $ids = $this->faults->names($finding, $request->word('host'), self::MOST);
        $gather->add($request->person(), $ids);

        return to_route('sheaf.show');
    }
}
