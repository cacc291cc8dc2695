<?php

declare(strict_types=1);

use App\Actions\Clients\MergeClients;
use App\Actions\Contacts\SaveContact;
use App\Actions\Deeds\BeginDocketLines;
use App\Actions\Deeds\EndLines;
use App\Actions\Handover\AskReceiver;
use App\Actions\Handover\ReceiverAnswers;
use App\Actions\Handover\ResumeAccepted;
use App\Actions\Imports\WriteImport;
use App\Actions\Names\ChangeFacts;
use App\Actions\Orders\SettleOrders;
use App\Actions\Outside\Observe;
use App\Actions\Registrants\ResumeConfirmed;
use App\Actions\Registrants\SideAnswers;
use App\Actions\SaveRow;
use App\Actions\Standings\MakeStandings;
use App\Models\Client;
use App\Models\Contact;
use App\Models\Docket;
use App\Models\Import;
use App\Models\Name;
use App\Models\OrderState;
use App\Models\Registration;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

// One hand of two: `php hand.php step id [id …]` does one thing, as a page or a worker would, in a process and on a connection of its own.
require __DIR__.'/../../vendor/autoload.php';
/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
Queue::fake();

$step = $argv[1] ?? '';
$word = $argv[2] ?? '';
$ids = array_map(intval(...), array_slice($argv, 2));
$id = $ids[0] ?? 0;
$by = fn (): User => User::query()->where('role', 'steward')->firstOrFail();
$ended = function (OrderState $state) use ($ids): void {
    DB::transaction(function () use ($ids, $state): void {
        $orders = app(SettleOrders::class)->locked($ids);
        foreach ($orders as $order) {
            $order->update(['state' => $state, 'answer' => 'Said']);
        }
        app(SettleOrders::class)->handle(array_values($orders));
    });
};
match ($step) {
    'begin' => app(BeginDocketLines::class)->handle($id),
    'tick' => app(EndLines::class)->done($by(), Docket::query()->findOrFail($id), null, app(App\Support\TradeClock::class)->today()),
    'refuse' => app(EndLines::class)->refused($by(), Docket::query()->findOrFail($id), null, 'not today'),
    'call-off' => app(EndLines::class)->calledOff($by(), Docket::query()->findOrFail($id)),
    'done-outside' => $ended(OrderState::Done),
    'refused-outside' => $ended(OrderState::Refused),
    'accept' => app(ReceiverAnswers::class)->accept($word, ['number' => $argv[3] ?? '', 'login' => $argv[4] ?? '']),
    'ask-again' => app(AskReceiver::class)->again($by(), Docket::query()->findOrFail($id)),
    'carry-accepted' => app(ResumeAccepted::class)->handle($id),
    'agree' => app(SideAnswers::class)->yes($word),
    'carry-agreed' => app(ResumeConfirmed::class)->handle($id),
    'standings' => app(MakeStandings::class)->due(),
    'merge-clients' => app(MergeClients::class)->handle($by(), Client::query()->findOrFail($id), Client::query()->findOrFail($ids[1] ?? 0)),
    'save-client' => app(SaveRow::class)->handle(
        $by(),
        $client = Client::query()->findOrFail($id),
        ['name' => $client->name.'!'],
        $client->version,
    ),
    'save-name' => app(ChangeFacts::class)->handle(
        $by(),
        $name = Name::query()->findOrFail($id),
        ['intent' => 'lapse', 'registrant' => 'Somebody '.getmypid()],
        Registration::query()->where('name_id', $id)->whereRaw('upper_inf(span)')->firstOrFail()->version,
    ),
    'save-contact' => app(SaveContact::class)->change(
        $by(),
        $contact = Contact::query()->with('today.mailbox')->findOrFail($id),
        Acre\Core\Contact\Contact::of(
            $contact->kind,
            'Peal Trust '.getmypid(),
            null,
            $contact->today->value($contact->kind)->address,
            null,
            $contact->today->value($contact->kind)->mailbox,
        ),
        null,
        $contact->version,
    ),
    'look' => app(Observe::class)->of($ids),
    'import' => app(WriteImport::class)->handle(Import::query()->findOrFail($id)),
    'demote' => DB::transaction(
        fn () => User::query()
            ->whereKey($id)
            ->update(['role' => 'steward']),
    ),
    default => throw new InvalidArgumentException("There is no step {$step}."),
};
fwrite(STDOUT, "done\n");
