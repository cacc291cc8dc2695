<?php

declare(strict_types=1);

namespace App\Http\Servers;

use Acre\Core\Zone\MailFinding;
use App\Actions\Names\GatherNames;
use App\Actions\Servers\KeepZonesInTurn;
use App\Http\SignedInRequest;
use App\Jobs\KeepZonesDue;
use App\Queries\Servers\ReadMailFaults;
use App\Support\TradeClock;
use App\View\Words;
use Illuminate\Database\Connection;
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

    /** The zones of all names that have a fault, by the job that keeps zones. */
    public function ask(Connection $database, TradeClock $clock): RedirectResponse
    {
        KeepZonesInTurn::faultySoon($database, $clock->now());
        KeepZonesDue::dispatch();

        return to_route('servers.mail')->with('told', $this->words->say('servers.mails.asked'));
    }

    /** Its names go into the sheaf. */
    public function gather(SignedInRequest $request, GatherNames $gather): RedirectResponse
    {
        $finding = MailFinding::tryFrom($request->word('finding')) ?? abort(404);
        $gather->add($request->person(), $this->faults->names($finding, self::MOST));

        return to_route('sheaf.show');
    }
}
