<?php

declare(strict_types=1);

use App\Actions\Asks\AskClient;
use App\Actions\Asks\ClientAnswers;
use App\Actions\Contacts\WriteYearly;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndMany;
use App\Actions\Ending\WriteEndLetters;
use App\Actions\Handover\ResumeAccepted;
use App\Actions\Money\KeepExpected;
use App\Actions\Money\KeepShortages;
use App\Actions\Outside\FollowWorld;
use App\Actions\Outside\SendAlarms;
use App\Actions\Plans\WatchPlans;
use App\Actions\Post\CollectReturned;
use App\Actions\Proofs\LogDays;
use App\Actions\Proofs\StoreHead;
use App\Actions\Registrants\AskToConfirm;
use App\Actions\Registrants\ResumeConfirmed;
use App\Actions\Rounds\WriteMorningLetters;
use App\Actions\Servers\WatchRecords;
use App\Actions\Standings\MakeStandings;
use App\Actions\Transfer\CheckArrivals;
use App\Actions\Transfer\HandOutCodes;
use App\Actions\Verification\AskToVerify;
use App\Jobs\AskServersWanted;
use App\Jobs\FindRings;
use App\Jobs\KeepZonesDue;
use App\Jobs\LookAtSitesDue;
use App\Jobs\LookOutside;
use App\Jobs\SendPost;
use App\Jobs\WorkGate;
use App\Jobs\WorkImport;
use App\Support\HouseSettings;
use App\Support\TradeClock;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schedule;

// Standings whose time has come; whatever changes a fact makes its own at once.
Schedule::call(fn (MakeStandings $standings) => $standings->due())->everyMinute()->name('standings')->withoutOverlapping();

// By the house's own clock. Sent again within the hour, it only sends what was not sent.
Schedule::call(fn (WriteMorningLetters $letters) => $letters->handle())
    ->hourly()
    ->when(fn (HouseSettings $house): bool => in_array((int) (new DateTimeImmutable('now', $house->zone()))->format('G'), [5, 6, 7], true))
    ->name('morning')
    ->withoutOverlapping();

// What the outside says of our names, each in its turn.
Schedule::call(fn () => LookOutside::dispatch())->everyMinute()->name('outside');
Schedule::call(fn () => FindRings::dispatch())->everyTenMinutes()->name('rings');
Schedule::call(fn (SendAlarms $alarms) => $alarms->handle())->everyMinute()->name('alarms');

// Moved on the simulated world's page, its clock is the demo's.
Schedule::call(function (FollowWorld $follow): void {
    // That there was nothing to follow is no failure, which `false` would be.
    $follow->handle();
})
    ->everyTenSeconds()
    ->name('follow')
    ->when(fn (): bool => DB::table('settings')->where('key', 'demo')->exists());

// Letters, and what comes back of them; the receiver's word whose job was lost.
Schedule::call(fn () => SendPost::dispatch())->everyTenSeconds()->name('letters');
Schedule::call(fn (AskToVerify $ask) => $ask->due())->everyMinute()->name('verification')->withoutOverlapping();
// Once a year to each registrant; spread out, so that a house of any size takes its time.
Schedule::call(fn (WriteYearly $yearly) => $yearly->handle())
    ->hourly()
    ->name('yearly')
    ->when(fn (): bool => config()->boolean('house.yearly_letters'))
    ->withoutOverlapping();
Schedule::call(fn (CollectReturned $returned) => $returned->handle())->everyMinute()->name('returned')->withoutOverlapping();
Schedule::call(fn (WriteEndLetters $letters) => $letters->handle())->hourly()->name('end-letters')->withoutOverlapping();
// Money that will not reach, of accounts whose names or prices changed since.
Schedule::call(fn (KeepExpected $keep) => $keep->handle())->hourly()->name('expected')->withoutOverlapping();
Schedule::call(fn (KeepShortages $keep) => $keep->all())->everyTenMinutes()->name('shortages')->withoutOverlapping();
Schedule::call(function (AskClient $ask, ClientAnswers $answers): void {
    $answers->silent();
    $ask->remind();
})->everyMinute()->name('asks')->withoutOverlapping();
Schedule::call(fn (ResumeAccepted $goOn) => $goOn->sweep())->everyTenSeconds()->name('accepted');
Schedule::call(fn (ResumeConfirmed $goOn) => $goOn->sweep())->everyTenSeconds()->name('confirmed');
Schedule::call(fn (AskToConfirm $ask) => $ask->anew())->everyMinute()->name('agreed-to-other-data')->withoutOverlapping();

// A day of the log is closed once it is over; the head of the records is kept apart, also where who wrote a proof died before it could be.
Schedule::call(fn (LogDays $days) => $days->openMonths())->daily()->name('months-of-the-log')->withoutOverlapping();
Schedule::call(fn (LogDays $days) => $days->close())->hourly()->name('log')->withoutOverlapping();
Schedule::call(fn (StoreHead $head) => $head->keep())->everyMinute()->name('head')->withoutOverlapping();

// Lists that were pasted for one deed.
Schedule::call(
    fn () => DB::table('selections')->where('kind', 'list')->whereRaw("created_at < clock_timestamp() - interval '30 days'")->delete(),
)
    ->daily()
    ->name('selections');

// Work whose job was lost with its worker: the docket and the list are the truth, not the queue's row.
Schedule::call(fn (BeginDocketLines $begin) => $begin->sweep())->everyTenSeconds()->name('dockets');
Schedule::call(fn (EndMany $end) => $end->sweep())->everyTenSeconds()->name('endings');
Schedule::call(fn (Connection $database) => AskServersWanted::sweep($database))->everyTenSeconds()->name('server-checks');
Schedule::call(fn (HandOutCodes $codes) => $codes->due())->everyMinute()->name('codes')->withoutOverlapping();
Schedule::call(fn (WatchPlans $watch) => $watch->handle())->everyMinute()->name('plans')->withoutOverlapping();
Schedule::call(fn (CheckArrivals $check) => $check->handle())->everyMinute()->name('arrivals')->withoutOverlapping();
Schedule::call(fn (WatchRecords $watch) => $watch->look())->everyMinute()->name('records')->withoutOverlapping();
Schedule::call(fn (Connection $database, TradeClock $clock) => LookAtSitesDue::sweep($database, $clock))->everyMinute()->name('sites');
Schedule::call(fn (Connection $database, TradeClock $clock) => KeepZonesDue::sweep($database, $clock))->everyMinute()->name('zones');
Schedule::call(fn () => WorkGate::sweep())->everyTenSeconds()->name('orders');
Schedule::call(fn () => WorkGate::listenToPending())->everyThirtySeconds()->name('pending');
Schedule::call(fn () => WorkGate::listen())->everyFiveMinutes()->name('gates');
Schedule::call(fn () => WorkImport::sweep())->everyTenSeconds()->name('lists');
