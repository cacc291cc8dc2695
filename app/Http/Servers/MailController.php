<?php

declare(strict_types=1);

namespace App\Http\Servers;

use Acre\Core\Zone\MailFinding;
use App\Actions\Names\GatherNames;
use App\Http\SignedInRequest;
use App\Queries\Servers\ReadMailFaults;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** What names say about mail, over the whole Roll. */
final readonly class MailController
{
    private const MOST = 10_000;

    public function __construct(private ReadMailFaults $faults, private Words $words)
    {
    }

    public function index(): View
    {
        return view('servers.mail', [
            'faults' => $this->faults->counted(),
            'progress' => $this->faults->progress(),
            'words' => $this->words,
        ]);
    }

    /** Its names go into the sheaf. */
    public function gather(SignedInRequest $request, GatherNames $gather): RedirectResponse
    {
        $finding = MailFinding::tryFrom($request->word('finding')) ?? abort(404);
        $gather->add($request->person(), $this->faults->names($finding, self::MOST));

        return to_route('sheaf.show');
    }
}
