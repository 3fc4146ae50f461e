<?php

declare(strict_types=1);

use App\Actions\History\UndoActions;
use App\Actions\Ride\EditRide;
use App\Actions\Ride\LogRide;
use App\Actions\Ride\RideFacts;
use App\Archive\Figures;
use App\Jobs\PackPastRides;
use App\Logbook\PastRides;
use App\Logbook\ReadBook;
use App\Models\Ride;
use Dripel\Core\Interval\Condition;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->egret = $this->bench->bike('Egret');
    $this->a = $this->bench->chain($this->heron, 'A', 24 * 200, fit: true);
    $this->day = fn(int $ago, $bike = null) => new RideFacts($bike ?? $this->heron, Bench::ago(24 * $ago), 41.3, 1.5, Condition::Damp);
    $this->cuts = fn(): array => DB::table('past_rides')
        ->orderBy('bike_id')
        ->get()
        ->mapWithKeys(fn(object $row) => [$row->bike_id => $row->packed === '' ? null : gmdate('Y-m-d', $row->cut_s)])
        ->all();
    $this->figures = function (): array {
        app(ReadBook::class)->forget();

        return app(Figures::class)->of($this->bench->workshop->refresh(), Bench::NOW);
    };
});

it('keeps the rides of earlier months packed, and drops those of the bike one of them is changed on', function (): void {
    Queue::fake();
    DB::table('past_rides')->delete();
    foreach ([150, 120, 30, 2] as $ago) {
        app(LogRide::class)($this->bench->by(), ($this->day)($ago));
        app(LogRide::class)($this->bench->by(), ($this->day)($ago, $this->egret));
    }
    expect(($this->cuts)())->toBe([0 => null]);
    Queue::assertPushed(PackPastRides::class, 1);
    $plain = ($this->figures)();
    app(PastRides::class)->keep($this->bench->workshop);
    $all = [0 => '2026-09-01', $this->heron->id => '2026-09-01', $this->egret->id => '2026-09-01'];
    expect(($this->cuts)())->toBe($all)->and(($this->figures)())->toBe($plain);

    // What is newer than the cut leaves them as they are.
    $new = app(LogRide::class)($this->bench->by(), ($this->day)(1));
    expect(($this->cuts)())->toBe($all);
    app(UndoActions::class)($this->bench->by(), $new);
    expect(($this->cuts)())->toBe($all)->and(($this->figures)())->toBe($plain);

    // A late ride, its undo, and an edit that moves one out of it: each drops the bike's and no other's.
    $late = fn() => app(LogRide::class)($this->bench->by(), ($this->day)(100));
    $undo = fn() => app(UndoActions::class)($this->bench->by(), $this->bench->lastAction());
    $edit = fn() => app(EditRide::class)(
        $this->bench->by(),
        Ride::query()->live()->orderBy('at')->orderBy('id')->firstOrFail(),
        ($this->day)(3),
    );
    foreach ([$late, $undo, $edit] as $do) {
        $do();
        expect(($this->cuts)())->toBe(array_replace($all, [$this->heron->id => null]));
        $rows = ($this->figures)();
        $counts[] = $rows['rides'][0];
        app(PastRides::class)->keep($this->bench->workshop);
        expect(($this->cuts)())->toBe($all)->and(($this->figures)())->toBe($rows);
    }
    expect($counts)->toBe([9, 8, 8]);
});

it('packs them in the queue once there is something to pack, and says in Settings that the figures are the same', function (): void {
    app(LogRide::class)($this->bench->by(), ($this->day)(100));
    expect(($this->cuts)())->toBe([0 => '2026-09-01', $this->heron->id => '2026-09-01']);
    $this->actingAs($this->bench->owner);
    expect(Bench::deferred($this, '/settings', 'keep')['keep']['verified'])->toStartWith('Last check of the figures against every entry: ');
    // A ride on a bike of which nothing was packed.
    app(LogRide::class)($this->bench->by(), ($this->day)(90, $this->egret));
    expect(($this->cuts)())
        ->toHaveKey($this->egret->id, '2026-09-01')
        ->and(DB::table('past_rides')->count())
        ->toBe(3);
});

it('finds out that what is packed is not what the entries say, and goes by the entries from then on', function (): void {
    app(LogRide::class)($this->bench->by(), ($this->day)(100));
    $true = ($this->figures)();
    $this->artisan('dripel:verify')->expectsOutputToContain('all figures are what the entries say')->assertExitCode(0);
    // Somebody writes into the database by hand.
    Ride::query()->update(['km' => 900.0]);
    $this->artisan('dripel:verify')->expectsOutputToContain('not what the entries say: ')->assertExitCode(1);
    expect(DB::table('past_rides')->count())
        ->toBe(0)
        ->and(($this->figures)())
        ->not->toBe($true);
    $this->artisan('dripel:verify')->assertExitCode(0);

    // Packed by another version: as if nothing was.
    app(PastRides::class)->keep($this->bench->workshop);
    DB::table('past_rides')->update(['packed' => base64_encode('rides 0 ')]);
    expect(app(ReadBook::class)($this->bench->workshop)->ridesOf($this->heron->id)->km())
        ->toBe(900.0)
        ->and(DB::table('past_rides')->count())
        ->toBe(0);
});
