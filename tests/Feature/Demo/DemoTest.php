<?php

declare(strict_types=1);

use App\Guided\OpenJobs;
use App\Http\Props\ShedProps;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\User;
use App\Models\Workshop;
use App\Plan\ReadPlan;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Support\AppClock;
use App\Text\Translator;
use Dripel\Core\Explain\ChainFigures;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Next\NextKind;
use Dripel\Core\Wear\WearReading;
use Dripel\Core\Wear\WorkshopWear;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;
use Tests\Feature\WrittenDemo;

it('shows every state of a chain and everything Next can ask for, whatever day it ends on', function (string $today): void {
    config(['dripel.demo' => true]);
    WrittenDemo::ending($today);
    $workshop = Workshop::query()->sole();
    $nowS = (new DateTimeImmutable($today))->getTimestamp();
    $book = app(ReadBook::class)($workshop);
    $states = array_map(fn(int $id) => $book->chain($id, $nowS), $book->chainIds);
    app(AppClock::class)->stopAt($nowS);
    $props = (new ShedProps(
        $book,
        Translator::of($workshop, app(ReadBook::class), $nowS),
        app(ReadPlan::class)($workshop),
        app(OpenJobs::class)($workshop),
        app(ReadJars::class)($workshop),
        app(ReadBaths::class)($workshop),
    ))->all();

    expect($book->bikeIds)
        ->toHaveCount(5)
        ->and(count($book->chainIds))
        ->toBeGreaterThanOrEqual(13)
        // Oil gets on one by what a visitor does.
        ->and(array_values(array_unique([ChainStatus::Oiled->value, ...array_map(fn($s) => $s->status->value, $states)])))
        ->toEqualCanonicalizing(array_column(ChainStatus::cases(), 'value'))
        // Whether a chain is due to be measured depends on how far it went by that day; the others come of what a visitor does.
        ->and(
            array_values(
                array_unique([
                    ...array_column(array_column($props['next'], 'line'), 'kind'),
                    ...array_column(Bench::steps($props['next']), 'kind'),
                    NextKind::Measure->value,
                    NextKind::WetPast->value,
                    NextKind::RidesIn->value,
                    NextKind::PlannedPot->value,
                    NextKind::PlannedDrip->value,
                    NextKind::EventDip->value,
                    NextKind::Unmet->value,
                    NextKind::Outrun->value,
                    NextKind::Convert->value,
                    NextKind::DeepClean->value,
                ]),
            ),
        )
        ->toEqualCanonicalizing(array_column(NextKind::cases(), 'value'))
        // A person reads no more than seven lines.
        ->and(count($props['next']))
        ->toBeLessThanOrEqual(7)
        ->and($props['rails'][0]['leftNumber'])
        ->toBe('140')
        ->and($props['rails'][0]['best'])
        ->not->toBeNull()
        ->and($book->conflicts())
        ->toBe([])
        ->and($book->rides()[0]->moment->unixS)
        ->toBeLessThan($nowS - 400 * 86400)
        ->and(json_encode($props))
        ->not->toContain('next.')
        ->not->toContain('chain.')
        ->not->toContain('ui.');

    foreach ($states as $state) {
        foreach ((new ChainFigures($state, $book->settings))->all() as $why) {
            if ($why->figure === 'left' && $state->wax->life?->because?->value !== 'noise') {
                $left = array_reduce(
                    $why->lines,
                    fn(float $left, $line) => match (true) {
                        $why->unit === 'h' => max(0.0, $line->parameters['limit'] - $line->value),
                        $line->unit === 'km' => min($state->terms->intervalKm, max(0.0, $left + $line->value)),
                        default => $left,
                    },
                    0.0,
                );
                expect($left)->toEqualWithDelta($why->value, 1e-6);
            }
        }
    }
})->with([
    'a Wednesday noon' => '2026-11-25T12:00:00+01:00',
    'a summer Sunday night' => '2026-07-05T23:30:00+02:00',
    'the night the clocks change' => '2026-03-29T04:00:00+02:00',
]);

it('is told to be stale on a later day, unless somebody used it', function (): void {
    $day = 86400;
    $this->artisan('dripel:demo', ['--stale' => true])->assertFailed();
    $this->artisan('dripel:demo')->assertSuccessful();
    $this->artisan('dripel:demo', ['--stale' => true])->assertFailed();
    $clock = app(AppClock::class);
    $clock->stopAt($clock->unixS() + $day);
    $this->artisan('dripel:demo', ['--stale' => true])->assertSuccessful();
    config(['dripel.demo' => true]);
    $this->post('/demo')->assertRedirect('/');
    $this->post('/bikes/1/noises', [
        'action_id' => '33333333-3333-4333-8333-333333333333',
        'date' => gmdate('Y-m-d', $clock->unixS() - $day),
        'time' => '12:00',
    ])->assertSessionHasNoErrors();
    $this->artisan('dripel:demo', ['--stale' => true])->assertFailed();
});

it('is the same from the same seed, once only, and open by one click', function (): void {
    config(['dripel.demo' => true]);
    $print = fn() => md5(
        (string) json_encode([
            DB::table('rides')->get(['at', 'km', 'condition', 'bike_id', 'action_id']),
            DB::table('readings')->get(['at', 'input']),
        ]),
    );
    $today = '2026-11-25T12:00:00Z';
    app(AppClock::class)->stopAt((new DateTimeImmutable($today))->getTimestamp());
    $this->artisan('dripel:demo', ['--today' => $today])->assertSuccessful();
    $first = $print();
    $this->artisan('dripel:demo', ['--today' => $today])->expectsOutputToContain('already');
    expect($print())
        ->toBe($first)
        ->and(User::query()->count())
        ->toBe(1)
        ->and(Action::query()->whereNull('user_id')->count())
        ->toBe(0);
    $this->post('/demo')->assertRedirect('/');
    foreach (['/', '/rides', '/history', '/settings', '/chains/1', '/chains/4?all=1', '/bikes/1', '/bikes/new', '/chains/new'] as $page) {
        $this->get($page)->assertOk()->assertInertia(fn(AssertableInertia $inertia) => $inertia->where('here.demo', true));
    }
    // The schools side by side are in the documentation as they are worked out today.
    $this->artisan('dripel:limits', ['chain' => 'Heron Z'])->assertFailed();
    Artisan::call('dripel:limits');
    expect((string) file_get_contents(base_path('docs/wear.md')))->toContain(trim(Artisan::output()));
    $this->artisan('dripel:intervals', ['bike' => 'Zebra'])->assertFailed();
    foreach ([0, 30] as $hour) {
        Artisan::call('dripel:intervals', ['--hour' => $hour]);
        expect((string) file_get_contents(base_path('docs/ahead.md')))->toContain(trim(Artisan::output()));
    }
});

it('lies near its own house rules, and no reading of it contradicts what was foretold', function (string $today): void {
    WrittenDemo::ending($today);
    $book = app(ReadBook::class)(Workshop::query()->sole());
    $read = 0;
    foreach ($book->chainIds as $chainId) {
        foreach ($book->history($chainId)->events as $event) {
            if ($event instanceof Reading) {
                $beforeS = $event->moment->unixS - 1;
                $foretold = (new WorkshopWear($book, $beforeS))->of($chainId);
                expect($foretold?->contradicts((new WearReading())($event->input())))->toBeNull(
                    "chain {$chainId} at {$event->moment->unixS}",
                );
                $foretold === null || $read++;
            }
        }
    }
    $wear = new WorkshopWear($book, (new DateTimeImmutable($today))->getTimestamp());
    $factors = array_map(
        fn(int $id) => $wear->ofBike($id)->factor(),
        array_filter($book->bikeIds, fn(int $id) => $wear->ofBike($id)->chains > 0),
    );
    expect($read)
        ->toBeGreaterThan(10)
        ->and($factors)
        ->not->toBe([])
        ->and(min($factors))
        ->toBeGreaterThan(0.7)
        ->and(max($factors))
        ->toBeLessThan(1.4);
})->with(['2026-11-25T12:00:00+01:00']);
