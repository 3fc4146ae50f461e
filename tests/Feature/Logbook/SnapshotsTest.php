<?php

declare(strict_types=1);

use App\Actions\CatchUp\SetCommute;
use App\Actions\History\UndoActions;
use App\Actions\Ride\LogRide;
use App\Actions\Ride\RideFacts;
use App\Archive\EmptyWorkshop;
use App\Archive\VerifyFigures;
use App\Logbook\ReadBook;
use App\Logbook\Snapshots;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Illuminate\Support\Facades\Cache;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->a = $this->bench->chain($this->heron, 'A', 24 * 30, fit: true);
    $this->ride = fn(int $ago, float $km = 41.0) => app(LogRide::class)(
        $this->bench->by(),
        new RideFacts($this->heron, Bench::ago(24 * $ago), $km, 1.5, Condition::Dry),
    );
    // As a page does: it reads the logbook, works out what it shows, and what it worked out is kept when it is done.
    $this->read = function (): Book {
        app()->forgetScopedInstances();

        return app(ReadBook::class)($this->bench->workshop->refresh());
    };
    $this->km = function (?int $atS = null): float {
        $km = ($this->read)()->chain($this->a->id, $atS ?? Bench::NOW)->km->km;
        app(Snapshots::class)->keep();

        return $km;
    };
    $this->kept = fn(): array => unserialize((string) gzuncompress(Cache::get(($this->key)())[1]));
    $this->key = fn(): string => "snapshot {$this->bench->workshop->id} now";
});

it('keeps what follows from a logbook until the next action', function (): void {
    ($this->ride)(3);
    expect(($this->km)())->toBe(41.0);
    $kept = Cache::get(($this->key)());
    expect(($this->kept)())->toHaveKey("chain {$this->a->id}");
    // Nothing is worked out, so nothing is written; and whoever looks, at whatever later hour, has the same.
    expect(($this->km)())->toBe(41.0)->and(($this->km)(Bench::NOW + 86400))->toBe(41.0)->and(Cache::get(($this->key)()))->toBe($kept);
    $late = ($this->ride)(20, 9.0);
    expect(($this->km)())->toBe(50.0);
    app(UndoActions::class)($this->bench->by(), $late);
    expect(($this->km)())->toBe(41.0)->and(app(VerifyFigures::class)($this->bench->workshop))->toBe([]);
});

it('keeps nothing of what is tried, nor for a page that looked the workshop up before somebody wrote', function (): void {
    ($this->ride)(3);
    $before = $this->bench->workshop
        ->refresh()
        ->replicate(['id'])
        ->forceFill($this->bench->workshop->getAttributes());
    try {
        WriteTransaction::run(function (): void {
            ($this->ride)(2);
            expect(($this->km)())->toBe(82.0);
            throw new DomainException();
        });
    } catch (DomainException) {
        // It was only tried.
    }
    expect(Cache::get(($this->key)()))->toBeNull()->and(($this->km)())->toBe(41.0);
    ($this->ride)(1);
    app()->forgetScopedInstances();
    // What it reads may be of before or after: the next page asks anew.
    expect(app(ReadBook::class)($before)->chain($this->a->id, Bench::NOW)->km->km)->toBe(82.0);
    app(Snapshots::class)->keep();
    expect(Cache::get(($this->key)())[0])
        ->toStartWith("{$before->revision} ")
        ->and(($this->km)())
        ->toBe(82.0);
});

it('works anew what a commute makes of another day, and what lies ahead of an entry', function (): void {
    app(AppClock::class)->stopAt(Bench::NOW);
    app(SetCommute::class)(
        $this->bench->by(),
        null,
        [
            'bike_id' => $this->heron->id,
            'weekdays' => [1, 2, 3, 4, 5, 6, 7],
            'time' => '08:30',
            'km' => 10.0,
            'hours' => null,
            'condition' => Condition::Dry,
            'from_date' => gmdate('Y-m-d', Bench::NOW + 86400),
            'until_date' => null,
        ],
        Bench::ago(1),
    );
    expect(($this->km)())->toBe(0.0);
    foreach ([1 => 10.0, 2 => 20.0] as $days => $km) {
        $atS = Bench::NOW + $days * 86400;
        app(AppClock::class)->stopAt($atS);
        expect(($this->km)($atS))->toBe($km)->and(($this->km)($atS))->toBe($km);
        // Before the last of them it is the kilometres of then.
        expect(($this->km)($atS - 86400))->toBe($km - 10.0);
    }
});

it('forgets what is kept of a workshop that is emptied, or that does not hold', function (): void {
    ($this->ride)(3);
    ($this->km)();
    [[$stamp], $kept, $of] = [Cache::get(($this->key)()), ($this->kept)(), "chain {$this->a->id}"];
    Cache::put(($this->key)(), [$stamp, 'damaged']);
    expect(($this->km)())->toBe(41.0);
    $wrong = [$of => str_replace('d:41;', 'd:40;', $kept[$of])] + $kept;
    Cache::put(($this->key)(), [$stamp, gzcompress(serialize($wrong))]);
    expect(($this->km)())
        ->toBe(40.0)
        ->and(app(VerifyFigures::class)($this->bench->workshop))
        ->not->toBe([])
        ->and(Cache::get(($this->key)()))
        ->toBeNull()
        ->and(($this->km)())
        ->toBe(41.0);
    app(EmptyWorkshop::class)->rows($this->bench->workshop);
    expect(Cache::get(($this->key)()))->toBeNull();
});
