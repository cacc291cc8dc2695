<?php

declare(strict_types=1);

use Acre\Wire\Lists\ListKind;
use App\Http\Accounts\AccountController;
use App\Http\Accounts\EmptyAccountController;
use App\Http\Accounts\GateController;
use App\Http\Almanac\AlmanacController;
use App\Http\Almanac\CheaperController;
use App\Http\Answers\AnswerController;
use App\Http\Asks\AskController;
use App\Http\Clients\ClientController;
use App\Http\Clients\ClientYearController;
use App\Http\Clients\LaidOutController;
use App\Http\Clients\MergeController;
use App\Http\Contacts\AlikeController;
use App\Http\Contacts\CardController;
use App\Http\Contacts\ContactController;
use App\Http\Contacts\EraseController;
use App\Http\Contacts\RoleController;
use App\Http\Custody\CustodyController;
use App\Http\Custody\HandingController;
use App\Http\Deeds\CodesController;
use App\Http\Deeds\DeedController;
use App\Http\Dockets\DocketController;
use App\Http\Find\FindController;
use App\Http\Guide\GuideController;
use App\Http\Handover\HandOverController;
use App\Http\Hosting\PlaceController;
use App\Http\Hosting\RedirectController;
use App\Http\Hosting\SiteController;
use App\Http\House\HouseController;
use App\Http\Imports\ImportController;
use App\Http\Letters\LetterTextController;
use App\Http\Log\LogController;
use App\Http\Me\MeController;
use App\Http\Middleware\EndsInTime;
use App\Http\Middleware\NothingKept;
use App\Http\Money\CreditController;
use App\Http\Money\MoneyController;
use App\Http\Money\StatementController;
use App\Http\Movements\MovementController;
use App\Http\Names\AddNameController;
use App\Http\Names\CodeController;
use App\Http\Names\DisputeController;
use App\Http\Names\ExtraController;
use App\Http\Names\NameController;
use App\Http\Names\PointsController;
use App\Http\Names\ZoneController;
use App\Http\Notes\NoteController;
use App\Http\Outside\DriftController;
use App\Http\Outside\OutsideController;
use App\Http\Outside\RecordController;
use App\Http\Patterns\PatternController;
use App\Http\People\PersonController;
use App\Http\Plans\PlanController;
use App\Http\Received\ReceivedController;
use App\Http\Registrars\OfferController;
use App\Http\Registrars\PriceController;
use App\Http\Registrars\PriceListController;
use App\Http\Registrars\RegistrarController;
use App\Http\Roll\CalendarController;
use App\Http\Roll\ExportController;
use App\Http\Roll\LooksController;
use App\Http\Roll\RollController;
use App\Http\Roll\ViewController;
use App\Http\Rounds\LetterController;
use App\Http\Rounds\RoundsController;
use App\Http\Rulebook\RulebookController;
use App\Http\Servers\AskServersController;
use App\Http\Servers\FaultController;
use App\Http\Servers\MailController;
use App\Http\Servers\SetController;
use App\Http\Session\BeginController;
use App\Http\Session\SessionController;
use App\Http\Setbacks\SetbackController;
use App\Http\Sheaf\SheafController;
use App\Http\Verification\VerificationController;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;

// Numbers of rows: more digits than a bigint has lead nowhere.
Route::patterns(
    array_fill_keys(
        [
            'account',
            'ask',
            'calendar',
            'client',
            'confirmation',
            'contact',
            'credit',
            'custodian',
            'docket',
            'handing',
            'import',
            'mailbox',
            'movement',
            'plan',
            'topUp',
            'note',
            'observation',
            'offer',
            'pattern',
            'person',
            'place',
            'received',
            'registrar',
            'sentence',
            'set',
            'setback',
            'site',
            'view',
        ],
        '[0-9]{1,18}',
    ),
);

Route::middleware('guest')->group(function (): void {
    Route::get('begin', [BeginController::class, 'create'])->name('begin');
    Route::post('begin', [BeginController::class, 'store'])->middleware('throttle:10,1');
    Route::get('sign-in', [SessionController::class, 'create'])->name('sign-in');
    Route::post('sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('forgot', [SessionController::class, 'forgot'])->name('forgot');
    Route::post('forgot', [SessionController::class, 'storeForgot'])->middleware('throttle:forgot');
    Route::get('sign-in/second', [SessionController::class, 'second'])->name('sign-in.second');
    Route::post('sign-in/second', [SessionController::class, 'storeSecond'])->middleware('throttle:second');
});

// The address is the right: long, random, and kept as a digest only.
Route::get('calendar/{token}.ics', [ExportController::class, 'subscribed'])
    ->name('calendar.subscribed')
    ->middleware('throttle:60,1')
    ->where('token', '[A-Za-z0-9]{48}');

// The link in a letter is the right: random, kept as a digest only, good once. To look changes nothing.
// Without a session: its address would be recorded there. What keeps others from pressing its button is that address.
Route::middleware(['throttle:answers', NothingKept::class])
    ->withoutMiddleware([
        StartSession::class,
        ShareErrorsFromSession::class,
        ValidateCsrfToken::class,
        EncryptCookies::class,
        AddQueuedCookiesToResponse::class,
    ])
    ->group(function (): void {
        Route::get('answer/{token}', [AnswerController::class, 'show'])
            ->name('answers.show')
            ->where('token', '[A-Za-z0-9_-]{43}');
        Route::post('answer/{token}', [AnswerController::class, 'store'])
            ->name('answers.store')
            ->where('token', '[A-Za-z0-9_-]{43}');
    });

// Every route below names who may; a test walks them all.
Route::middleware(['auth', 'auth.session', EndsInTime::class, NothingKept::class])->group(function (): void {
    Route::post('sign-out', [SessionController::class, 'destroy'])
        ->name('sign-out')
        ->middleware('can:look');
    Route::redirect('/', '/rounds')->middleware('can:look');
    Route::get('rounds', [RoundsController::class, 'show'])
        ->name('rounds')
        ->middleware('can:look');
    Route::post('rounds', [RoundsController::class, 'mark'])
        ->name('rounds.mark')
        ->middleware('can:prepare');
    Route::get('rounds/dealt-with', [RoundsController::class, 'dealtWith'])
        ->name('rounds.dealt')
        ->middleware('can:look');
    Route::get('rounds/letter', [LetterController::class, 'show'])
        ->name('rounds.letter')
        ->middleware('can:look');
    Route::post('rounds/letter', [LetterController::class, 'update'])
        ->name('rounds.letter.update')
        ->middleware('can:look');
    Route::get('roll', RollController::class)->name('roll')->middleware('can:look');
    Route::get('roll/export/{kind}', [ExportController::class, 'list'])
        ->name('roll.export')
        ->middleware('can:look')
        ->whereIn('kind', array_column(ListKind::cases(), 'value'));
    Route::get('roll/calendar.ics', [ExportController::class, 'calendar'])
        ->name('roll.calendar')
        ->middleware('can:look');
    Route::post('roll/calendars', [ExportController::class, 'subscribe'])
        ->name('roll.subscribe')
        ->middleware('can:look');
    Route::get('calendars', [CalendarController::class, 'index'])
        ->name('calendars')
        ->middleware('can:look');
    Route::delete('calendars/{calendar}', [CalendarController::class, 'destroy'])
        ->name('calendars.destroy')
        ->middleware('can:delete,calendar');
    Route::post('roll/looks', LooksController::class)->name('roll.looks')->middleware('can:look');
    Route::post('roll/views', [ViewController::class, 'store'])
        ->name('roll.views.store')
        ->middleware('can:look');
    Route::delete('roll/views/{view}', [ViewController::class, 'destroy'])
        ->name('roll.views.destroy')
        ->middleware('can:delete,view');
    Route::get('find', FindController::class)->name('find')->middleware('can:look');

    Route::get('rulebook', [RulebookController::class, 'index'])
        ->name('rulebook.index')
        ->middleware('can:look');
    Route::get('rulebook/{suffix}', [RulebookController::class, 'show'])
        ->name('rulebook.show')
        ->middleware('can:look')
        ->where('suffix', '[a-z0-9.-]+');

    Route::controller(MeController::class)
        ->prefix('me')
        ->middleware('can:look')
        ->group(function (): void {
            Route::get('/', 'show')->name('me');
            Route::post('sessions', 'endSession')->name('me.sessions');
            Route::put('password', 'changePassword')->name('me.password')->middleware('throttle:second');
            Route::get('second', 'second')->name('me.second');
            Route::post('second', 'beginSecond')->middleware('throttle:second');
            Route::delete('second', 'endSecond')->middleware('throttle:second');
        });

    Route::view('words', 'words')->name('words')->middleware('can:look');
    Route::controller(GuideController::class)
        ->middleware('can:look')
        ->group(function (): void {
            Route::get('guide', 'show')->name('guide');
            Route::get('guide/{picture}', 'picture')->name('guide.picture')->where('picture', '[a-z-]+(\.png)?');
        });

    Route::controller(SheafController::class)
        ->prefix('sheaf')
        ->name('sheaf.')
        ->middleware('can:prepare')
        ->group(function (): void {
            Route::get('/', 'show')->name('show');
            Route::post('/', 'store')->name('add');
            Route::post('list', 'paste')->name('paste');
            Route::post('all', 'all')->name('all');
            Route::post('sentences/{sentence}', 'follow')->name('follow');
            Route::patch('/', 'update')->name('remove');
            Route::delete('/', 'destroy')->name('empty');
        });

    Route::get('add-name', [AddNameController::class, 'create'])
        ->name('names.create')
        ->middleware('can:prepare');
    Route::post('add-name', [AddNameController::class, 'store'])
        ->name('names.store')
        ->middleware('can:prepare');
    Route::controller(NameController::class)
        ->prefix('names')
        ->name('names.')
        ->group(function (): void {
            Route::get('{name}/points', [PointsController::class, 'show'])->name('points')->middleware('can:view,name');
            Route::post('{name}/points', [PointsController::class, 'ask'])
                ->name('points.ask')
                ->middleware(['can:view,name', 'throttle:asks']);
            Route::get('{name}/points/{set}/missing.zone', [PointsController::class, 'missing'])
                ->name('points.missing')
                ->middleware('can:view,name')
                ->withoutScopedBindings();
            Route::get('{name}/zones', [ZoneController::class, 'index'])->name('zones')->middleware('can:view,name');
            Route::post('{name}/zones/now', [ZoneController::class, 'keep'])
                ->name('zones.keep')
                ->middleware(['can:change,name', 'throttle:asks']);
            Route::post('{name}/zones', [ZoneController::class, 'store'])
                ->name('zones.store')
                ->middleware(['can:change,name', 'throttle:uploads']);
            Route::get('{name}/zones/{copy}.zone', [ZoneController::class, 'file'])
                ->name('zones.file')
                ->middleware('can:view,name')
                ->whereNumber('copy');
            Route::get('{name}/sites', [SiteController::class, 'index'])->name('sites')->middleware('can:view,name');
            Route::post('{name}/sites/ask', [SiteController::class, 'ask'])
                ->name('sites.ask')
                ->middleware(['can:view,name', 'throttle:asks']);
            Route::post('{name}/sites', [SiteController::class, 'store'])->name('sites.store')->middleware('can:change,name');
            Route::delete('{name}/sites/{site}', [SiteController::class, 'destroy'])
                ->name('sites.destroy')
                ->middleware('can:change,name')
                ->scopeBindings();
            Route::get('{name}/history', 'history')->name('history')->middleware('can:view,name');
            Route::get('{name}', 'show')->name('show')->middleware('can:view,name');
            Route::get('{name}/edit', 'edit')->name('edit')->middleware('can:change,name');
            Route::put('{name}', 'update')->name('update')->middleware('can:change,name');
        });
    Route::post('names/{name}/roles', [RoleController::class, 'store'])
        ->name('names.roles.store')
        ->middleware('can:change,name');
    Route::post('names/{name}/extras', [ExtraController::class, 'store'])
        ->name('names.extras.store')
        ->middleware('can:change,name');
    Route::delete('names/{name}/extras', [ExtraController::class, 'destroy'])
        ->name('names.extras.destroy')
        ->middleware('can:change,name');
    Route::post('names/{name}/disputes', [DisputeController::class, 'store'])
        ->name('names.disputes.store')
        ->middleware('can:change,name');
    Route::delete('names/{name}/disputes', [DisputeController::class, 'destroy'])
        ->name('names.disputes.destroy')
        ->middleware('can:change,name');
    Route::delete('names/{name}/roles', [RoleController::class, 'destroy'])
        ->name('names.roles.destroy')
        ->middleware('can:change,name');
    Route::controller(CodeController::class)
        ->prefix('names')
        ->name('names.code.')
        ->middleware(['can:settle', 'can:change,name', NothingKept::class])
        ->group(function (): void {
            Route::post('{name}/code', 'show')->name('show')->middleware('throttle:second');
            Route::post('{name}/code/kept', 'store')->name('store');
        });

    Route::controller(DriftController::class)
        ->prefix('drift')
        ->name('drift.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::post('/', 'gather')->name('gather')->middleware('can:prepare');
        });
    Route::controller(RecordController::class)
        ->prefix('record')
        ->name('record.')
        ->middleware('can:look')
        ->group(function (): void {
            Route::get('/', 'index')->name('index');
            Route::post('/', 'ask')->name('ask')->middleware('throttle:asks');
            Route::get('{name}', 'show')->name('show');
            Route::post('{name}/watch', 'watch')->name('watch')->middleware('can:prepare');
            Route::delete('{name}/watch', 'unwatch')->name('unwatch')->middleware('can:prepare');
            Route::get('{name}/{observation}', 'raw')->name('raw');
        });
    Route::get('outside', OutsideController::class)->name('outside')->middleware('can:look');

    Route::controller(ImportController::class)
        ->prefix('imports')
        ->name('imports.')
        ->group(function (): void {
            Route::get('/', 'create')->name('create')->middleware('can:prepare');
            Route::post('/', 'store')
                ->name('store')
                ->middleware(['can:prepare', 'throttle:uploads']);
            Route::get('{import}', 'show')->name('show')->middleware('can:view,import');
            Route::get('{import}/state', 'state')->name('state')->middleware('can:view,import');
            Route::get('{import}/columns', 'edit')->name('edit')->middleware('can:match,import');
            Route::post('{import}/columns', 'match')->name('match')->middleware('can:match,import');
            Route::post('{import}/reading', 'reading')->name('reading')->middleware('can:match,import');
            Route::delete('{import}', 'discard')->name('discard')->middleware('can:discard,import');
            Route::post('{import}/write', 'write')->name('write')->middleware('can:write,import');
            Route::post('{import}/take-back', 'takeBack')->name('take-back')->middleware('can:takeBack,import');
        });

    foreach (
        [
            'clients' => ClientController::class,
            'registrars' => RegistrarController::class,
            'accounts' => AccountController::class,
            'contacts' => ContactController::class,
        ] as $area => $controller
    ) {
        $one = rtrim($area, 's');
        Route::get($area, [$controller, 'index'])
            ->name("{$area}.index")
            ->middleware('can:look');
        Route::get("{$area}/create", [$controller, 'create'])
            ->name("{$area}.create")
            ->middleware('can:prepare');
        Route::post($area, [$controller, 'store'])
            ->name("{$area}.store")
            ->middleware('can:prepare');
        Route::get("{$area}/{{$one}}", [$controller, 'show'])
            ->name("{$area}.show")
            ->middleware('can:look');
        Route::get("{$area}/{{$one}}/edit", [$controller, 'edit'])
            ->name("{$area}.edit")
            ->middleware('can:prepare');
        Route::put("{$area}/{{$one}}", [$controller, 'update'])
            ->name("{$area}.update")
            ->middleware('can:prepare');
    }
    Route::post('accounts/{account}/locked', [AccountController::class, 'locked'])
        ->name('accounts.locked')
        ->middleware('can:settle');
    Route::post('accounts/{account}/empty', EmptyAccountController::class)
        ->name('accounts.empty')
        ->middleware('can:prepare');
    Route::controller(AskController::class)->name('asks.')->group(function (): void {
        Route::get('clients/{client}/ask', 'create')->name('create')->middleware('can:prepare');
        Route::post('clients/{client}/ask', 'store')->name('store')->middleware('can:prepare');
        Route::get('asks/{ask}', 'show')->name('show')->middleware('can:look');
        Route::post('asks/{ask}/withdraw', 'withdraw')->name('withdraw')->middleware('can:prepare');
    });
    Route::controller(MoneyController::class)->prefix('accounts/{account}')->group(function (): void {
        Route::get('money', 'show')->name('accounts.money')->middleware('can:look');
        Route::post('balance', 'balance')->name('accounts.balance')->middleware('can:prepare');
        Route::post('money/ask', 'ask')->name('accounts.money.ask')->middleware(['can:prepare', 'throttle:asks']);
        Route::post('statement', StatementController::class)
            ->name('accounts.statement')
            ->middleware(['can:prepare', 'throttle:uploads']);
        Route::post('top-ups', 'plan')->name('accounts.top-ups')->middleware('can:prepare');
        Route::post('top-ups/{topUp}/paid', 'paid')->name('accounts.top-ups.paid')->middleware('can:prepare');
        Route::post('top-ups/{topUp}/withdraw', 'withdraw')->name('accounts.top-ups.withdraw')->middleware('can:prepare');
    });
    Route::controller(CreditController::class)->prefix('accounts/{account}/credits')->middleware('can:prepare')->group(function (): void {
        Route::post('', 'store')->name('accounts.credits.store');
        Route::delete('{credit}', 'withdraw')->name('accounts.credits.withdraw');
    });
    Route::get('almanac', [AlmanacController::class, 'show'])->name('almanac')->middleware('can:look');
    Route::get('almanac/cheaper', [CheaperController::class, 'show'])->name('almanac.cheaper')->middleware('can:look');
    Route::post('almanac/rates', [CheaperController::class, 'rate'])->name('almanac.rates')->middleware('can:prepare');
    Route::post('almanac/cheaper/{account}', [CheaperController::class, 'plan'])->name('almanac.cheaper.plan')->middleware('can:prepare');
    Route::get('almanac/calendar.ics', [AlmanacController::class, 'calendar'])->name('almanac.calendar')->middleware('can:look');
    Route::get('almanac/list', [AlmanacController::class, 'list'])->name('almanac.list')->middleware('can:look');
    Route::post('accounts/{account}/gate', [GateController::class, 'store'])
        ->name('accounts.gate')
        ->middleware(['can:settle', 'throttle:second']);
    Route::post('accounts/{account}/gate/confirm', [GateController::class, 'confirm'])
        ->name('accounts.gate.confirm')
        ->middleware(['can:settle', 'throttle:second']);
    Route::post('accounts/{account}/gate/try', [GateController::class, 'try'])
        ->name('accounts.gate.try')
        ->middleware(['can:settle', 'throttle:asks']);
    Route::get('clients/{client}/merge', [MergeController::class, 'show'])
        ->name('clients.merge')
        ->middleware('can:settle');
    Route::post('clients/{client}/merge', [MergeController::class, 'store'])->middleware('can:settle');
    Route::get('clients/{client}/laid-out', [LaidOutController::class, 'show'])->name('clients.laid-out')->middleware('can:look');
    Route::get('clients/{client}/laid-out/list', [LaidOutController::class, 'list'])
        ->name('clients.laid-out.list')
        ->middleware('can:look');
    Route::get('clients/{client}/year', [ClientYearController::class, 'show'])->name('clients.year')->middleware('can:look');
    Route::get('clients/{client}/ends', [ClientYearController::class, 'ends'])->name('clients.ends')->middleware('can:prepare');
    Route::get('clients/{client}/sheet', [ClientController::class, 'sheet'])
        ->name('clients.sheet')
        ->middleware('can:look');
    Route::post('registrars/{registrar}/prices/list', PriceListController::class)
        ->name('registrars.prices.list')
        ->middleware('can:prepare');
    Route::post('registrars/{registrar}/offers', [OfferController::class, 'store'])
        ->name('registrars.offers.store')
        ->middleware('can:prepare');
    Route::delete('registrars/{registrar}/offers/{offer}', [OfferController::class, 'withdraw'])
        ->name('registrars.offers.withdraw')
        ->middleware('can:prepare');
    Route::post('registrars/{registrar}/prices', [PriceController::class, 'store'])
        ->name('registrars.prices.store')
        ->middleware('can:prepare');

    Route::controller(NoteController::class)
        ->name('notes.')
        ->group(function (): void {
            Route::post('names/{name}/notes', 'onName')
                ->name('on-name')
                ->middleware(['can:change,name', 'throttle:uploads']);
            Route::post('accounts/{account}/notes', 'onAccount')
                ->name('on-account')
                ->middleware(['can:prepare', 'throttle:uploads']);
            Route::post('clients/{client}/notes', 'onClient')
                ->name('on-client')
                ->middleware(['can:prepare', 'throttle:uploads']);
            Route::get('notes/{note}/file', 'file')->name('file')->middleware('can:view,note');
            Route::delete('notes/{note}', 'destroy')->name('destroy')->middleware('can:delete,note');
        });

    Route::controller(AlikeController::class)
        ->prefix('contacts/alike')
        ->name('contacts.')
        ->group(function (): void {
            Route::get('/', 'index')->name('alike')->middleware('can:look');
            Route::post('/', 'merge')->name('merge')->middleware('can:prepare');
        });
    Route::get('contacts/{contact}/erase', [EraseController::class, 'show'])
        ->name('contacts.erase')
        ->middleware('can:settle');
    Route::get('contacts/{contact}/erase/proof.txt', [EraseController::class, 'proof'])
        ->name('contacts.erase.proof')
        ->middleware('can:settle');
    Route::post('contacts/{contact}/erase', [EraseController::class, 'store'])
        ->name('contacts.erase.store')
        ->middleware('can:settle');
    Route::post('contacts/cards', [CardController::class, 'store'])
        ->name('contacts.cards')
        ->middleware(['can:prepare', 'throttle:uploads']);
    Route::post('contacts/{contact}/tell', [ContactController::class, 'tell'])
        ->name('contacts.tell')
        ->middleware('can:prepare');
    Route::get('contacts/{contact}/card.vcf', [CardController::class, 'show'])
        ->name('contacts.card')
        ->middleware('can:look');

    Route::controller(VerificationController::class)
        ->prefix('verification')
        ->name('verification.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::post('{mailbox}', 'store')->name('store')->middleware('can:settle');
            Route::post('{mailbox}/again', 'again')->name('again')->middleware('can:prepare');
            Route::post('{mailbox}/settle', 'settle')->name('settle')->middleware('can:prepare');
        });

    Route::controller(HandingController::class)
        ->prefix('custody')
        ->group(function (): void {
            Route::post('{custodian}/hand-over', 'store')->name('custody.hand-over')->middleware('can:settle');
            Route::get('handings/{handing}', 'show')->name('custody.handing')->middleware('can:look');
            Route::post('handings/{handing}', 'end')->name('custody.handing.end')->middleware('can:prepare');
            Route::get('handings/{handing}/proof.txt', 'proof')->name('custody.handing.proof')->middleware('can:look');
        });

    Route::controller(CustodyController::class)->group(function (): void {
        Route::get('custody', 'index')->name('custody.index')->middleware('can:look');
        Route::post('custody', 'store')->name('custody.store')->middleware('can:prepare');
        Route::get('custody/{custodian}', 'show')->name('custody.show')->middleware('can:look');
        Route::post('custody/{custodian}/leave', 'leave')->name('custody.leave')->middleware('can:settle');
        Route::get('accounts/{account}/lost', 'lost')->name('custody.lost')->middleware('can:look');
        Route::post('accounts/{account}/custody', 'give')->name('custody.give')->middleware('can:settle');
        Route::delete('accounts/{account}/custody', 'take')->name('custody.take')->middleware('can:settle');
    });

    Route::controller(ReceivedController::class)
        ->prefix('received')
        ->name('received.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::get('create', 'create')->name('create')->middleware('can:prepare');
            Route::post('/', 'store')
                ->name('store')
                ->middleware(['can:prepare', 'throttle:uploads']);
            Route::post('{received}/answer', 'answer')->name('answer')->middleware('can:prepare');
            Route::get('{received}/file', 'file')->name('file')->middleware('can:look');
        });

    Route::controller(LetterTextController::class)
        ->prefix('letters')
        ->name('letter-texts.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::get('{letter}', 'edit')->name('edit')->middleware('can:settle');
            Route::put('{letter}', 'update')->name('update')->middleware('can:settle');
            Route::delete('{letter}', 'destroy')->name('destroy')->middleware('can:settle');
        });
    Route::controller(PatternController::class)
        ->prefix('patterns')
        ->name('patterns.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::get('create', 'create')->name('create')->middleware('can:settle');
            Route::post('/', 'store')->name('store')->middleware('can:settle');
            Route::get('{pattern}/edit', 'edit')->name('edit')->middleware('can:settle');
            Route::put('{pattern}', 'update')->name('update')->middleware('can:settle');
        });

    Route::get('house', [HouseController::class, 'edit'])
        ->name('house')
        ->middleware('can:run');
    Route::put('house', [HouseController::class, 'update'])->middleware('can:run');
    Route::controller(SetbackController::class)
        ->prefix('failed-work')
        ->middleware('can:run')
        ->group(function (): void {
            Route::get('/', 'index')->name('failed-work');
            Route::post('{setback}', 'again')->name('failed-work.again');
            Route::post('jobs/{uuid}', 'retryJob')->name('failed-work.job')->whereUuid('uuid');
        });
    Route::controller(LogController::class)
        ->prefix('log')
        ->middleware('can:run')
        ->group(function (): void {
            Route::get('/', 'index')->name('log');
            Route::get('receipt/{sha256}.txt', 'receipt')->name('log.receipt')->where('sha256', '[0-9a-f]{64}');
            Route::get('receipt/{sha256}.tsq', 'stampRequest')->name('log.stamp-request')->where('sha256', '[0-9a-f]{64}');
        });

    Route::controller(PersonController::class)
        ->prefix('people')
        ->name('people.')
        ->middleware('can:run')
        ->group(function (): void {
            Route::get('/', 'index')->name('index');
            Route::view('roles', 'people.roles')->name('roles');
            Route::get('create', 'create')->name('create');
            Route::post('/', 'store')->name('store');
            Route::get('{person}/edit', 'edit')->name('edit');
            Route::put('{person}', 'update')->name('update');
            Route::delete('{person}/second', 'endSecond')->name('second');
        });

    Route::controller(HandOverController::class)
        ->prefix('hand-over')
        ->middleware('can:prepare')
        ->group(function (): void {
            Route::get('/', 'show')->name('hand-over');
            Route::post('/', 'store')->name('hand-over.store');
            Route::post('list', 'paste')->name('hand-over.paste');
        });

    Route::controller(SetController::class)
        ->prefix('servers/sets')
        ->name('servers.sets.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::get('create', 'create')->name('create')->middleware('can:prepare');
            Route::post('/', 'store')->name('store')->middleware('can:prepare');
            Route::post('letter', 'read')->name('read')->middleware('can:prepare');
            Route::get('{set}/edit', 'edit')->name('edit')->middleware('can:prepare');
            Route::post('{set}/ask', 'ask')
                ->name('ask')
                ->middleware(['can:prepare', 'throttle:asks']);
            Route::put('{set}', 'update')->name('update')->middleware('can:prepare');
        });
    Route::controller(FaultController::class)
        ->prefix('servers/faults')
        ->name('servers.')
        ->group(function (): void {
            Route::get('/', 'index')->name('faults')->middleware('can:look');
            Route::post('/', 'gather')->name('faults.gather')->middleware('can:prepare');
        });
    Route::controller(MailController::class)
        ->prefix('servers/mail')
        ->name('servers.')
        ->group(function (): void {
            Route::get('/', 'index')->name('mail')->middleware('can:look');
            Route::post('/', 'gather')->name('mail.gather')->middleware('can:prepare');
            Route::post('ask', 'ask')->name('mail.ask')->middleware(['can:look', 'throttle:asks']);
        });
    Route::controller(PlaceController::class)
        ->prefix('places')
        ->name('places.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::get('create', 'create')->name('create')->middleware('can:prepare');
            Route::post('/', 'store')->name('store')->middleware('can:prepare');
            Route::get('{place}', 'show')->name('show')->middleware('can:look');
            Route::post('{place}/ask', 'ask')->name('ask')->middleware(['can:look', 'throttle:asks']);
            Route::get('{place}/edit', 'edit')->name('edit')->middleware('can:prepare');
            Route::put('{place}', 'update')->name('update')->middleware('can:prepare');
            Route::post('{place}/hosts', 'add')->name('add')->middleware('can:prepare');
        });
    Route::controller(RedirectController::class)
        ->prefix('redirects')
        ->name('redirects.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::post('ask', 'ask')->name('ask')->middleware(['can:look', 'throttle:asks']);
        });
    Route::controller(AskServersController::class)
        ->prefix('servers/asked')
        ->name('servers.')
        ->middleware('can:prepare')
        ->group(function (): void {
            Route::post('/', 'store')->name('ask')->middleware('throttle:asks');
            Route::post('keys', 'keys')->name('keys')->middleware('throttle:asks');
            Route::get('/', 'state')->name('asked');
        });

    Route::post('deeds/codes', [CodesController::class, 'store'])
        ->name('deeds.codes')
        ->middleware(['can:settle', NothingKept::class]);
    Route::controller(DeedController::class)
        ->prefix('deeds')
        ->name('deeds.')
        ->middleware('can:prepare')
        ->where(['deed' => '[a-z_]+'])
        ->group(function (): void {
            Route::get('{deed}', 'show')->name('show');
            Route::post('{deed}', 'store')->name('store');
        });

    Route::controller(MovementController::class)
        ->prefix('movements')
        ->name('movements.')
        ->middleware('can:look')
        ->group(function (): void {
            Route::get('/', 'index')->name('index');
            Route::get('{movement}', 'show')->name('show');
        });
    Route::controller(PlanController::class)
        ->prefix('plans')
        ->name('plans.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::get('create', 'create')->name('create')->middleware('can:prepare');
            Route::post('/', 'store')->name('store')->middleware('can:prepare');
            Route::get('{plan}', 'show')->name('show')->middleware('can:look');
            Route::post('{plan}/start', 'start')->name('start')->middleware('can:settle');
            Route::post('{plan}/go-on', 'goOn')->name('go-on')->middleware('can:settle');
            Route::post('{plan}/call-off', 'callOff')->name('call-off')->middleware('can:settle');
            Route::post('{plan}/anew', 'anew')->name('anew')->middleware('can:settle');
            Route::post('{plan}/names/{name}', 'move')->name('move')->middleware('can:settle');
        });
    Route::controller(DocketController::class)
        ->prefix('dockets')
        ->name('dockets.')
        ->group(function (): void {
            Route::get('/', 'index')->name('index')->middleware('can:look');
            Route::get('{docket}', 'show')->name('show')->middleware('can:view,docket');
            Route::get('{docket}/state', 'state')->name('state')->middleware('can:view,docket');
            Route::get('{docket}/proof', 'proof')->name('proof')->middleware('can:view,docket');
            Route::get('{docket}/proof.txt', 'proofText')->name('proof-text')->middleware('can:view,docket');
            Route::post('{docket}/settle', 'settle')->name('settle')->middleware('can:settle,docket');
            Route::post('{docket}/tick', 'tick')->name('tick')->middleware('can:tick,docket');
            Route::post('{docket}/again', 'again')
                ->name('again')
                ->middleware(['can:view,docket', 'can:prepare']);
            Route::post('{docket}/call-off', 'callOff')->name('call-off')->middleware('can:callOff,docket');
            Route::post('{docket}/codes', 'sendCodes')->name('codes')->middleware('can:tick,docket');
            Route::post('{docket}/letter', 'write')->name('write')->middleware('can:tick,docket');
            Route::post('{docket}/letter/{confirmation}', 'writeToSide')
                ->name('write-to-side')
                ->middleware('can:tick,docket')
                ->scopeBindings();
        });
});
