<?php

declare(strict_types=1);

use App\Http\Controllers\Archive\ExportController;
use App\Http\Controllers\Archive\RestoreController;
use App\Http\Controllers\Arriving\ArriveController;
use App\Http\Controllers\Arriving\OpeningController;
use App\Http\Controllers\Arriving\PartsTableController;
use App\Http\Controllers\Bike\BikeController;
use App\Http\Controllers\Bike\BrushingController;
use App\Http\Controllers\Bike\ConversionController;
use App\Http\Controllers\Books\BooksController;
use App\Http\Controllers\CatchUp\CommuteController;
use App\Http\Controllers\CatchUp\EstimateController;
use App\Http\Controllers\Chain\ChainController;
use App\Http\Controllers\Chain\CorrectionController;
use App\Http\Controllers\Chain\FittingController;
use App\Http\Controllers\Chain\NoiseController;
use App\Http\Controllers\Chain\OilingController;
use App\Http\Controllers\Chain\ReadingController;
use App\Http\Controllers\Chain\RetirementController;
use App\Http\Controllers\Chain\SizeController;
use App\Http\Controllers\Chain\StripController;
use App\Http\Controllers\Command\CommandController;
use App\Http\Controllers\Cost\MoneyController;
use App\Http\Controllers\Devices\BikeComputerController;
use App\Http\Controllers\Devices\DisplayController;
use App\Http\Controllers\Devices\GaugeDeviceController;
use App\Http\Controllers\Devices\ProbeController;
use App\Http\Controllers\Drip\BottleController;
use App\Http\Controllers\Drip\DripController;
use App\Http\Controllers\Drip\WipeDownController;
use App\Http\Controllers\Guided\JobController;
use App\Http\Controllers\Help\HelpController;
use App\Http\Controllers\History\EntryController;
use App\Http\Controllers\History\HistoryController;
use App\Http\Controllers\Offline\OfflineController;
use App\Http\Controllers\Offline\TrustController;
use App\Http\Controllers\Part\PartController;
use App\Http\Controllers\People\DemoController;
use App\Http\Controllers\People\DeviceController;
use App\Http\Controllers\People\InvitationController;
use App\Http\Controllers\People\PasskeyController;
use App\Http\Controllers\People\PasswordController;
use App\Http\Controllers\People\PersonController;
use App\Http\Controllers\People\RegistrationController;
use App\Http\Controllers\People\SessionController;
use App\Http\Controllers\Plan\CalendarController;
use App\Http\Controllers\Plan\HowRightController;
use App\Http\Controllers\Plan\PlanController;
use App\Http\Controllers\Plan\WhatIfController;
use App\Http\Controllers\Pot\DipController;
use App\Http\Controllers\Pot\PotController;
use App\Http\Controllers\PotDay\PotDayController;
use App\Http\Controllers\Push\PushController;
use App\Http\Controllers\Ride\ImportController;
use App\Http\Controllers\Ride\RideController;
use App\Http\Controllers\Ride\TrackController;
use App\Http\Controllers\Shed\ShedController;
use App\Http\Controllers\Strip\JarController;
use App\Http\Controllers\Strip\ProtocolController;
use App\Http\Controllers\Strip\StripPlanController;
use App\Http\Controllers\Wear\GaugeController;
use App\Http\Controllers\Workshop\LabelController;
use App\Http\Controllers\Workshop\RevisionController;
use App\Http\Controllers\Workshop\SettingsController;
use App\Http\Controllers\Workshop\TextsController;
use App\Http\Controllers\Workshop\WeatherController;
use App\Http\Controllers\Workshop\WorkshopController;
use App\Http\Middleware\KeepPage;
use App\Http\Middleware\OnlyConfirmed;
use App\Http\Middleware\OnlyOwner;
use App\Http\Middleware\OnlyWriters;
use Illuminate\Support\Facades\Route;

// Nobody is asked for: a browser keeps it, whoever signs in there.
Route::get('/texts/{name}', TextsController::class)->name('texts')->where('name', '[A-Za-z0-9.]+')->withoutMiddleware('web');
// What a device keeps for when it cannot reach the machine.
Route::get('/offline', [OfflineController::class, 'shell'])->name('offline');
Route::get('/offline/stays/{workshop}/{user}', [OfflineController::class, 'stay'])
    ->name('offline.stay')
    ->middleware(['signed:relative', 'throttle:60,1']);
// How a phone learns to trust this machine's own certificate.
Route::get('/trust', [TrustController::class, 'show'])->name('trust');
Route::get('/trust/dripel-root.crt', [TrustController::class, 'download']);
// Calendars ask without signing in: the address is the secret.
Route::get('/calendar/{secret}.ics', [CalendarController::class, 'subscribe'])
    ->name('calendar')
    ->where('secret', '[A-Za-z0-9]{40}')
    ->middleware('throttle:60,1');

// With a new account, or with the one that somebody is signed in with.
Route::get('/join/{token}', [InvitationController::class, 'show'])->name('join');
Route::post('/join/{token}', [InvitationController::class, 'accept'])->middleware('throttle:sign-in');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::post('/passkeys/ask', [PasskeyController::class, 'ask'])->middleware('throttle:passkeys');
    Route::post('/passkeys/sign-in', [PasskeyController::class, 'signIn'])->middleware('throttle:passkeys');
    Route::get('/register', [RegistrationController::class, 'create'])->name('register');
    Route::post('/register', [RegistrationController::class, 'store'])->middleware('throttle:sign-in');
    Route::post('/demo', DemoController::class)->name('demo');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('sign-out');
    // What follows from the entries, and from nothing but the database, the person and the minute.
    Route::middleware(KeepPage::class)->group(function (): void {
        Route::get('/', [ShedController::class, 'index'])->name('shed');
        Route::get('/rides', [RideController::class, 'index'])->name('rides');
        Route::get('/pot', [PotController::class, 'index'])->name('pot');
        Route::get('/chains/{chain}', [ChainController::class, 'show'])
            ->name('chain')
            ->whereNumber('chain');
        Route::get('/gauge', [GaugeController::class, 'index'])->name('gauge');
        Route::get('/gauge/how-right', [HowRightController::class, 'index'])->name('how_right');
        Route::get('/ahead', [PlanController::class, 'index'])->name('ahead');
        Route::get('/ahead/what-if', [WhatIfController::class, 'index'])->name('what-if');
        Route::get('/books', [BooksController::class, 'wax'])->name('books');
        Route::get('/books/stock', [BooksController::class, 'stock']);
        Route::get('/books/parts', [BooksController::class, 'parts']);
        Route::get('/books/money', [MoneyController::class, 'index'])->name('money');
        Route::get('/history', [HistoryController::class, 'index'])->name('history');
    });
    Route::get('/reminders', [ShedController::class, 'reminders']);
    Route::get('/tags/{chain}', [ChainController::class, 'tag'])->whereNumber('chain');
    Route::get('/help', HelpController::class)->name('help');
    Route::get('/settings', [SettingsController::class, 'show'])->name('settings');
    Route::put('/whose', [WorkshopController::class, 'look']);
    Route::post('/workshops', [WorkshopController::class, 'store'])->middleware(OnlyConfirmed::class);
    Route::post('/workshops/{workshop}/enter', [WorkshopController::class, 'enter'])->whereNumber('workshop');
    Route::post('/leave', [PersonController::class, 'leave'])->name('leave');
    Route::post('/calendar', [CalendarController::class, 'renew']);
    Route::delete('/calendar', [CalendarController::class, 'destroy']);
    Route::get('/password', [PasswordController::class, 'show']);
    Route::middleware(OnlyConfirmed::class)->group(function (): void {
        Route::post('/passkeys/new', [PasskeyController::class, 'create']);
        Route::post('/passkeys', [PasskeyController::class, 'store']);
    });
    Route::delete('/passkeys/{passkey}', [PasskeyController::class, 'destroy'])->whereNumber('passkey');
    Route::post('/password', [PasswordController::class, 'confirm'])->middleware('throttle:sign-in');
    Route::put('/password', [PasswordController::class, 'update'])->middleware('throttle:sign-in');
    Route::get('/push/key', [PushController::class, 'key']);
    Route::post('/push', [PushController::class, 'store']);
    Route::delete('/push', [PushController::class, 'destroy']);
    Route::delete('/sign-ins', [DeviceController::class, 'signOutOthers']);
    Route::delete('/sign-ins/{signIn}', [DeviceController::class, 'signOut'])->whereNumber('signIn');
    Route::get('/labels', LabelController::class)->name('labels');
    Route::get('/chains/{chain}/retirement', [RetirementController::class, 'show'])->whereNumber('chain');
    Route::post('/ahead/what-if', [WhatIfController::class, 'compare']);
    Route::get('/ahead/dripel.ics', [CalendarController::class, 'file']);
    Route::get('/jobs/{job}', [JobController::class, 'show'])
        ->name('job')
        ->whereUuid('job');
    Route::get('/jobs/{job}/state', [JobController::class, 'state'])->whereUuid('job');
    Route::get('/protocols/{code}', [ProtocolController::class, 'card'])->name('protocol');
    Route::get('/revision', RevisionController::class)->name('revision');
    Route::get('/offline/pages', [OfflineController::class, 'pages']);

    Route::middleware(OnlyWriters::class)->group(function (): void {
        Route::post('/rides', [RideController::class, 'store']);
        Route::put('/rides/{ride}', [RideController::class, 'update'])->whereNumber('ride');
        Route::post('/rides/condition', [RideController::class, 'condition']);
        Route::post('/rides/move', [RideController::class, 'move']);
        Route::post('/rides/{ride}/split', [RideController::class, 'split'])->whereNumber('ride');
        Route::get('/tracks', [TrackController::class, 'index'])->name('tracks');
        Route::post('/tracks', [TrackController::class, 'store']);
        Route::delete('/tracks', [TrackController::class, 'leave']);
        Route::post('/tracks/one', [TrackController::class, 'storeOne']);
        Route::post('/tracks/take-in', [TrackController::class, 'takeIn']);
        Route::get('/ride-imports', [ImportController::class, 'index']);
        Route::get('/ride-imports/{import}/columns', [ImportController::class, 'columns'])
            ->name('ride-table')
            ->whereUuid('import');
        Route::post('/ride-imports/{import}/preview', [ImportController::class, 'preview'])->whereUuid('import');
        Route::post('/ride-imports/{import}/read', [ImportController::class, 'read'])->whereUuid('import');
        Route::post('/ride-imports/{import}/stop', [ImportController::class, 'stop'])->whereUuid('import');
        Route::post('/ride-imports/{import}/go-on', [ImportController::class, 'goOn'])->whereUuid('import');
        Route::delete('/ride-imports/{import}', [ImportController::class, 'destroy'])->whereUuid('import');
        Route::get('/tracks/{track}', [TrackController::class, 'show'])
            ->name('track')
            ->whereUuid('track');
        Route::post('/tracks/{track}/keep', [TrackController::class, 'keep'])->whereUuid('track');
        Route::delete('/tracks/{track}', [TrackController::class, 'destroy'])->whereUuid('track');

        Route::get('/arrive', [ArriveController::class, 'create'])->name('arrive');
        Route::post('/arrive', [ArriveController::class, 'store']);
        Route::get('/arrive/table', [PartsTableController::class, 'create'])->name('arrive.table');
        Route::post('/arrive/table', [PartsTableController::class, 'preview']);
        Route::post('/arrive/table/keep', [PartsTableController::class, 'store']);
        Route::get('/arrive/template.csv', [PartsTableController::class, 'template']);
        Route::post('/chains/{chain}/opening', [OpeningController::class, 'store'])->whereNumber('chain');
        Route::put('/openings/{opening}', [OpeningController::class, 'update'])->whereNumber('opening');

        Route::put('/estimates/{estimate}', [EstimateController::class, 'update'])->whereNumber('estimate');
        Route::post('/commutes', [CommuteController::class, 'store']);
        Route::put('/commutes/{commute}', [CommuteController::class, 'update'])->whereNumber('commute');

        Route::post('/command', [CommandController::class, 'store']);
        Route::post('/command/preview', [CommandController::class, 'preview']);

        Route::get('/bikes/new', [BikeController::class, 'create'])->name('bikes.new');
        Route::post('/bikes', [BikeController::class, 'store']);
        Route::get('/bikes/{bike}', [BikeController::class, 'edit'])
            ->name('bike')
            ->whereNumber('bike');
        Route::put('/bikes/{bike}', [BikeController::class, 'update'])->whereNumber('bike');
        Route::post('/bikes/{bike}/fittings', [FittingController::class, 'store'])->whereNumber('bike');
        Route::post('/bikes/{bike}/fittings/led', [FittingController::class, 'lead'])->whereNumber('bike');
        Route::post('/bikes/{bike}/corrections', [CorrectionController::class, 'store'])->whereNumber('bike');
        Route::post('/bikes/{bike}/estimates', [EstimateController::class, 'store'])->whereNumber('bike');
        Route::post('/bikes/{bike}/estimates/spread', [EstimateController::class, 'spread'])->whereNumber('bike');
        Route::post('/bikes/{bike}/commute-days', [CommuteController::class, 'days'])->whereNumber('bike');
        Route::get('/bikes/{bike}/convert', [ConversionController::class, 'show'])->whereNumber('bike');
        Route::post('/bikes/{bike}/convert', [ConversionController::class, 'store'])->whereNumber('bike');
        Route::post('/bikes/{bike}/brushings', [BrushingController::class, 'store'])->whereNumber('bike');
        Route::post('/bikes/{bike}/brushings/led', [BrushingController::class, 'lead'])->whereNumber('bike');
        Route::post('/bikes/{bike}/noises', [NoiseController::class, 'store'])->whereNumber('bike');

        Route::get('/chains/new', [ChainController::class, 'create'])->name('chains.new');
        Route::post('/chains', [ChainController::class, 'store']);
        Route::post('/chains/size', SizeController::class);
        Route::put('/chains/{chain}', [ChainController::class, 'update'])->whereNumber('chain');
        Route::post('/chains/{chain}/retirement', [RetirementController::class, 'store'])->whereNumber('chain');
        Route::post('/chains/{chain}/strips', [StripController::class, 'store'])->whereNumber('chain');
        Route::post('/chains/{chain}/oilings', [OilingController::class, 'store'])->whereNumber('chain');
        Route::post('/chains/{chain}/topups', [DripController::class, 'record'])->whereNumber('chain');
        Route::get('/chains/{chain}/drip', [DripController::class, 'create'])
            ->name('drip')
            ->whereNumber('chain');
        Route::post('/drip/plan', [DripController::class, 'plan']);
        Route::post('/drip', [DripController::class, 'store']);
        Route::post('/bottles', [BottleController::class, 'store']);
        Route::delete('/bottles/{bottle}', [BottleController::class, 'destroy'])->whereNumber('bottle');
        Route::put('/bottles/{bottle}', [BottleController::class, 'update'])->whereNumber('bottle');
        Route::get('/chains/{chain}/wet', [WipeDownController::class, 'show'])
            ->name('wet')
            ->whereNumber('chain');
        Route::post('/chains/{chain}/cares', [WipeDownController::class, 'store'])->whereNumber('chain');
        Route::post('/chains/{chain}/readings', [ReadingController::class, 'store'])->whereNumber('chain');
        Route::post('/chains/{chain}/readings/meaning', [ReadingController::class, 'meaning'])->whereNumber('chain');
        Route::post('/chains/{chain}/simulated-gauge', [GaugeDeviceController::class, 'simulate'])->whereNumber('chain');
        Route::post('/bike-computers', [BikeComputerController::class, 'store'])->middleware(OnlyConfirmed::class);
        Route::post('/bike-computers/simulate', [BikeComputerController::class, 'simulate']);
        Route::post('/displays', [DisplayController::class, 'store'])->middleware(OnlyConfirmed::class);
        Route::post('/gauges', [GaugeDeviceController::class, 'store'])->middleware(OnlyConfirmed::class);
        Route::get('/gauges/values', [GaugeDeviceController::class, 'values']);
        Route::post('/instruments', [GaugeController::class, 'storeInstrument']);
        Route::delete('/instruments/{instrument}', [GaugeController::class, 'destroyInstrument'])->whereNumber('instrument');
        Route::put('/instruments/{instrument}', [GaugeController::class, 'updateInstrument'])->whereNumber('instrument');
        Route::put('/gauge/expected', [GaugeController::class, 'expect']);
        Route::post('/factors', [GaugeController::class, 'factor']);
        Route::post('/margin', [HowRightController::class, 'margin']);
        Route::post('/pots/{pot}/fit', [HowRightController::class, 'potFit'])->whereNumber('pot');
        Route::post('/bikes/{bike}/advice', [GaugeController::class, 'advice'])->whereNumber('bike');
        Route::post('/bikes/{bike}/parts', [PartController::class, 'store'])->whereNumber('bike');
        Route::post('/parts/{part}/fittings', [PartController::class, 'fit'])->whereNumber('part');
        Route::post('/parts/{part}/teeth', [PartController::class, 'teeth'])->whereNumber('part');
        Route::post('/parts/{part}/retirement', [PartController::class, 'retire'])->whereNumber('part');
        Route::get('/pot-day', [PotDayController::class, 'create'])->name('pot-day');
        Route::post('/pot-day/plan', [PotDayController::class, 'plan']);
        Route::post('/pot-day', [PotDayController::class, 'store']);
        Route::post('/jobs/{job}/probe', [ProbeController::class, 'simulate'])->whereUuid('job');
        Route::post('/pots/{pot}/devices', [ProbeController::class, 'store'])
            ->whereNumber('pot')
            ->middleware(OnlyConfirmed::class);
        Route::delete('/devices/{device}', [ProbeController::class, 'destroy'])->whereNumber('device');
        Route::put('/jobs/{job}/record', [PotDayController::class, 'correct'])->whereUuid('job');
        Route::post('/jobs/{job}/begin', [PotDayController::class, 'begin'])->whereUuid('job');
        Route::get('/strip', [StripPlanController::class, 'create'])->name('strip');
        Route::post('/strip/plan', [StripPlanController::class, 'plan']);
        Route::post('/strip', [StripPlanController::class, 'store']);
        Route::post('/jobs/{job}/taps', [JobController::class, 'tap'])->whereUuid('job');
        Route::post('/jobs/{job}/give-up', [JobController::class, 'giveUp'])->whereUuid('job');
        Route::get('/protocols/{code}/copy', [ProtocolController::class, 'edit'])->name('protocol.copy');
        Route::post('/protocols', [ProtocolController::class, 'store']);
        Route::put('/protocols/{protocol}', [ProtocolController::class, 'update'])->whereNumber('protocol');
        Route::delete('/protocols/{protocol}', [ProtocolController::class, 'destroy'])->whereNumber('protocol');
        Route::post('/jars', [JarController::class, 'store']);
        Route::put('/jars/{jar}', [JarController::class, 'update'])->whereNumber('jar');
        Route::delete('/jars/{jar}', [JarController::class, 'destroy'])->whereNumber('jar');
        Route::post('/jars/{jar}/entries', [JarController::class, 'tend'])->whereNumber('jar');
        Route::post('/pots', [PotController::class, 'store']);
        Route::put('/pots/{pot}', [PotController::class, 'update'])->whereNumber('pot');
        Route::put('/pots/{pot}/power', [PotController::class, 'power'])->whereNumber('pot');
        Route::delete('/pots/{pot}', [PotController::class, 'destroy'])->whereNumber('pot');
        Route::post('/pots/{pot}/heat', [PotController::class, 'heat'])->whereNumber('pot');
        Route::post('/pots/{pot}/calibrate', [PotController::class, 'calibrate'])->whereNumber('pot');
        Route::post('/pots/{pot}/calibrate/fit', [PotController::class, 'fit'])->whereNumber('pot');
        Route::post('/pots/{pot}/bath', [PotController::class, 'tend'])->whereNumber('pot');
        Route::post('/prices', [BooksController::class, 'storePrice']);
        Route::put('/prices/{price}', [BooksController::class, 'updatePrice'])->whereNumber('price');
        Route::put('/books/money', [MoneyController::class, 'update']);
        Route::put('/books/hour', [MoneyController::class, 'hour']);
        Route::post('/links', [BooksController::class, 'storeLink']);
        Route::post('/ahead/try', [PlanController::class, 'try']);
        Route::post('/ahead/days', [PlanController::class, 'keep']);
        Route::put('/ahead/terms', [PlanController::class, 'terms']);
        Route::put('/bikes/{bike}/odd-weeks', [PlanController::class, 'oddWeek'])->whereNumber('bike');
        Route::post('/ahead/rides', [PlanController::class, 'ride']);
        Route::post('/dips', [DipController::class, 'store']);

        Route::put('/entries/{type}/{entry}', [EntryController::class, 'update'])->whereNumber('entry');
        Route::delete('/entries/{type}/{entry}', [EntryController::class, 'destroy'])->whereNumber('entry');
        Route::get('/actions/{action}/undo', [HistoryController::class, 'confirm'])
            ->name('undo')
            ->whereUuid('action');
        Route::post('/actions/{action}/undo', [HistoryController::class, 'undo'])->whereUuid('action');

        Route::get('/export/workshop.json', [ExportController::class, 'workshop'])->name('export');
        Route::get('/export/{table}.csv', [ExportController::class, 'table'])->name('export.table');

        Route::post('/weather', [WeatherController::class, 'store']);
        Route::delete('/weather', [WeatherController::class, 'destroy']);
        Route::put('/settings', [SettingsController::class, 'update']);
    });

    Route::middleware(OnlyOwner::class)->group(function (): void {
        Route::post('/invitations', [InvitationController::class, 'store'])->middleware(OnlyConfirmed::class);
        Route::put('/people/{membership}', [PersonController::class, 'update'])->whereNumber('membership');
        Route::delete('/people/{membership}', [PersonController::class, 'destroy'])->whereNumber('membership');
        Route::post('/people/{membership}/hand-over', [PersonController::class, 'handOver'])
            ->whereNumber('membership')
            ->middleware(OnlyConfirmed::class);
        Route::post('/restore', [RestoreController::class, 'store'])->middleware(OnlyConfirmed::class);
        Route::post('/empty', [RestoreController::class, 'destroy'])->middleware(OnlyConfirmed::class);
        Route::delete('/invitations/{invitation}', [InvitationController::class, 'destroy'])->whereNumber('invitation');
    });
});
