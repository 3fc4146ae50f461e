<?php

declare(strict_types=1);

use App\Actions\Arriving\CorrectOpening;
use App\Actions\CatchUp\ConfirmCommute;
use App\Actions\CatchUp\EstimateDistance;
use App\Actions\CatchUp\SetCommute;
use App\Actions\Chain\ReportNoise;
use App\Actions\Chain\RetireChain;
use App\Actions\Chain\StripChain;
use App\Actions\Drip\DripFacts;
use App\Actions\Drip\TopUpChain;
use App\Actions\Fitting\CorrectFitting;
use App\Actions\Fitting\FitChain;
use App\Actions\History\DeleteEntry;
use App\Actions\History\MoveEntry;
use App\Actions\History\UndoActions;
use App\Actions\Pot\DipChains;
use App\Actions\Ride\EditRide;
use App\Actions\Ride\LogRide;
use App\Actions\Ride\MoveRides;
use App\Actions\Ride\RideFacts;
use App\Actions\Ride\SplitRide;
use App\Exceptions\LogbookConflict;
use App\Exceptions\NotPossible;
use App\Exceptions\UndoBlocked;
use App\Logbook\PastRides;
use App\Logbook\ReadBook;
use App\Logbook\Snapshots;
use App\Models\Action;
use App\Models\Dip;
use App\Models\Estimate;
use App\Models\Fitting;
use App\Models\Opening;
use App\Models\RestDay;
use App\Models\Retirement;
use App\Models\Ride;
use App\Models\TopUp;
use App\Support\AppClock;
use App\Support\PlainRows;
use App\Support\ReadTransaction;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Estimate as CoreEstimate;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Plan\LocalDay;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\Bench;

/**
 * What a chain's state should be, told as slowly and plainly as possible: walk through every minute that something
 * happened in, in the order opening, strip, dip, fitting, top-up, retirement, ride, noise, and keep the books by hand.
 *
 * @return array<string, mixed>
 */
function plainState(int $workshopId, int $chainId, float $intervalKm): array
{
    $factors = [
        'indoor' => 0.8,
        'dry' => 1.0,
        'dusty' => 1.5,
        'damp' => 1.5,
        'wet' => 2.5,
        'muddy' => 3.5,
    ];
    /** @var array<string, PlainRows> $plain */
    static $plain = [];
    /** @var list<array{int, int, int, int, string, object}> $all */
    $all = [];
    foreach (['openings', 'strips', 'dips', 'fittings', 'topups', 'retirements', 'rides', 'noises'] as $rank => $table) {
        $plain[$table] ??= PlainRows::of($table);
        foreach (DB::table($table)->where('workshop_id', $workshopId)->whereNull('voided_by')->get() as $row) {
            $all[] = [$row->at, $rank, $row->sequence, $row->id, $table, (object) $plain[$table]->plain($row)];
        }
    }
    foreach (plainGuesses($workshopId) as $i => $guess) {
        $all[] = [$guess->at, 6, PHP_INT_MAX, $i, 'rides', $guess];
    }
    sort($all);
    $wetDay = '';
    [$whole, $unsure] = [true, false];
    [$on, $km, $left, $effective, $wet, $loud, $bare, $waxed, $retired, $ridden] = [
        [],
        0.0,
        0.0,
        0.0,
        false,
        false,
        false,
        false,
        false,
        false,
    ];
    foreach ($all as [, , , , $table, $row]) {
        if ($table === 'fittings') {
            $on[$row->bike_id] = $row->component_id;
            continue;
        }
        if ($table === 'retirements') {
            // What goes out of use comes off.
            $on = array_filter($on, fn(?int $id) => $id !== $row->component_id);
        }
        if (($row->component_id ?? ($on[$row->bike_id] ?? null)) !== $chainId) {
            continue;
        }
        match ($table) {
            'openings' => ([$km, $whole, $waxed, $unsure, $left, $effective, $ridden, $bare, $wet, $loud] = [
                $row->km ?? $km,
                $row->km !== null,
                $row->wax !== 'none',
                $row->wax === 'unknown',
                max(0.0, $intervalKm - ($row->since_wax_km ?? 0.0)),
                $row->since_wax_km ?? 0.0,
                ($row->since_wax_km ?? 0.0) > 0,
                $row->wax === 'none' && $bare,
                false,
                false,
            ]),
            'strips' => ([$bare, $waxed, $unsure] = [true, false, false]),
            'dips' => ([$bare, $waxed, $unsure, $left, $effective, $wet, $loud, $ridden] = [
                false,
                true,
                false,
                $intervalKm,
                0.0,
                false,
                false,
                false,
            ]),
            'topups' => $waxed ? ([$left, $wet, $loud] = [min($intervalKm, $left + $row->km), false, false]) : null,
            'noises' => ($loud = $waxed),
            'retirements' => ($retired = true),
            default => null,
        };
        if ($table === 'rides') {
            $km += $row->km;
            $cost = $row->km * $factors[$row->condition];
            [$left, $effective, $ridden] = [max(0.0, $left - $cost), $effective + $cost, true];
            // Ridden on another day, the day for drying is past: it goes by its wax.
            $soaks = in_array($row->condition, ['wet', 'muddy'], true);
            $wet = $soaks || ($wet && gmdate('Y-m-d', $row->at) === $wetDay);
            $wetDay = $soaks ? gmdate('Y-m-d', $row->at) : $wetDay;
        }
    }

    return [
        'km' => round($km, 6),
        'whole' => $whole,
        'left' => $waxed && !$unsure ? round($loud ? 0.0 : $left, 6) : 0.0,
        'effective' => $waxed ? round($effective, 6) : null,
        'status' => match (true) {
            $retired => 'retired',
            $bare => 'bare',
            !$waxed => 'unwaxed',
            $loud => 'loud',
            $left <= 1e-9 => 'spent',
            $wet => 'wet',
            $unsure => 'unsure',
            $ridden => 'ridden',
            default => 'waxed',
        },
        'on' => array_search($chainId, $on, true) ?: null,
    ];
}

/**
 * The rides that estimates and commutes fill in, told just as plainly: day by day, asking of each what was known.
 *
 * @return list<object>
 */
function plainGuesses(int $workshopId): array
{
    $rows = fn(string $table) => DB::table($table)
        ->where('workshop_id', $workshopId)
        ->whereNull('voided_by')
        ->orderBy('sequence')
        ->orderBy('id')
        ->get();
    $dates = fn(string $from, string $to) => array_values(
        array_filter(['2026-11-23', '2026-11-24', '2026-11-25'], fn($d) => $from <= $d && $d <= $to),
    );
    [$guesses, $shares] = [[], []];
    foreach ($rows('estimates') as $estimate) {
        $known = fn(string $date, int $before) => $rows('rides')
            ->filter(
                fn($r) => $r->bike_id === $estimate->bike_id &&
                    gmdate('Y-m-d', $r->at) === $date &&
                    $r->sequence < $before &&
                    ($r->precision === 'day' || ($r->at >= $estimate->from_at && $r->at <= $estimate->at)),
            )
            ->merge(
                $rows('rest_days')->filter(fn($r) => $r->bike_id === $estimate->bike_id && $r->date === $date && $r->sequence < $before),
            );
        [$knownKm, $free] = [0.0, []];
        foreach ($dates($estimate->from_date, $estimate->to_date) as $date) {
            $before = $known($date, $estimate->sequence);
            $share = $shares[$estimate->bike_id][$date] ?? null;
            $knownKm += $before->isEmpty() ? $share ?? 0.0 : $before->sum(fn($r) => $r->km ?? 0.0);
            $before->isEmpty() && $share === null && ($free[] = $date);
        }
        $each = $free === [] ? 0.0 : max(0.0, $estimate->km - $knownKm) / count($free);
        foreach ($dates($estimate->from_date, $estimate->to_date) as $date) {
            $fills = in_array($date, $free, true) && $each > 0 && $known($date, PHP_INT_MAX)->isEmpty();
            $shares[$estimate->bike_id][$date] ??= $fills ? $each : 0.0;
            $fills &&
                ($guesses[] = (object) [
                    'at' => min((int) strtotime("{$date} 23:59:59 UTC"), $estimate->at),
                    'bike_id' => $estimate->bike_id,
                    'km' => $each,
                    'condition' => $estimate->condition,
                ]);
        }
    }
    foreach ($rows('commutes') as $commute) {
        $start = (int) strtotime("2026-11-25 {$commute->time} UTC");
        $taken = $rows('rides')->contains(fn($r) => $r->bike_id === $commute->bike_id && gmdate('Y-m-d', $r->at) === '2026-11-25');
        $off = $rows('rest_days')->contains(fn($r) => $r->bike_id === $commute->bike_id && $r->date === '2026-11-25');
        if (!$taken && !$off && !isset($shares[$commute->bike_id]['2026-11-25'])) {
            $guesses[] = (object) [
                'at' => $start,
                'bike_id' => $commute->bike_id,
                'km' => $commute->km,
                'condition' => $commute->condition,
            ];
        }
    }

    return $guesses;
}

/** @return array<string, mixed> */
function derivedState(ChainState $state, ?int $on): array
{
    return [
        'km' => round($state->km->km, 6),
        'whole' => $state->km->whole,
        'left' => round($state->leftKm(), 6),
        'effective' => $state->wax->life === null ? null : round($state->wax->life->effectiveKm, 6),
        'status' => $state->status->value,
        'on' => $on,
    ];
}

it('equals a slow, obvious recomputation over 1,000 random histories with late entries, edits and undos', function (): void {
    $dice = new Randomizer(new Mt19937(4711));
    $bench = new Bench();
    $bikes = [$bench->bike('One', 120), $bench->bike('Two', 120)];
    $chains = array_map(fn(string $label) => $bench->chain($bikes[0], $label, $label === 'C' ? null : 13), ['A', 'B', 'C']);
    app(FitChain::class)($bench->by(), $bikes[0], $chains[0], Bench::ago(13));
    app(FitChain::class)($bench->by(), $bikes[1], $chains[1], Bench::ago(13));
    $pick = fn(array $from) => $from[$dice->getInt(0, count($from) - 1)];
    // Few enough instants that things often fall into one.
    $at = fn() => Bench::ago($dice->getInt(1, 12));
    $facts = fn() => new RideFacts($pick($bikes), $at(), (float) $dice->getInt(1, 60), null, $pick(Condition::cases()));
    $oneOf = fn(Builder $query, string $order = 'sequence') => ($rows = $query
        ->where('workshop_id', $bench->workshop->id)
        ->orderBy($order)
        ->orderBy('id')
        ->get()
        ->all()) === []
        ? null
        : $pick($rows);
    $entry = fn() => $oneOf(
        $pick([Ride::class, Dip::class, Fitting::class, TopUp::class, Retirement::class, Opening::class, Estimate::class, RestDay::class])
            ::query()
            ->live(),
    );
    $does = [
        fn() => app(LogRide::class)($bench->by(), $facts()),
        fn() => app(LogRide::class)($bench->by(), $facts(), loud: true),
        fn() => app(FitChain::class)($bench->by(), $pick($bikes), $pick([...$chains, ...$chains, null]), $at()),
        fn() => app(DipChains::class)($bench->by(), [$pick($chains)], $at()),
        fn() => app(StripChain::class)($bench->by(), $pick($chains), $at()),
        fn() => app(TopUpChain::class)($bench->by(), $pick($chains), new DripFacts(50.0), $at()),
        fn() => app(ReportNoise::class)($bench->by(), $pick($bikes), $at()),
        fn() => $dice->getInt(0, 3) === 0 ? app(RetireChain::class)($bench->by(), $pick($chains), Bench::ago($dice->getInt(1, 4))) : null,
        fn() => match (true) {
            ($row = $entry()) instanceof Ride => app(EditRide::class)($bench->by(), $row, $facts()),
            // An estimate and a day of rest have days, not a moment.
            $row === null, $row instanceof Estimate, $row instanceof RestDay => null,
            default => app(MoveEntry::class)($bench->by(), $row, $at()),
        },
        fn() => ($row = $entry()) === null ? null : app(DeleteEntry::class)($bench->by(), $row),
        function () use ($bench, $dice, $pick, $bikes): Action {
            $from = $pick(['2026-11-23', '2026-11-24', '2026-11-25']);
            $to = max($from, $pick(['2026-11-24', '2026-11-25']));
            $day = fn(string $date) => LocalDay::named($date, new DateTimeZone('UTC'));
            $ends = new Moment(min($day($to)->endS(), Bench::NOW), sequence: PHP_INT_MAX);

            return app(EstimateDistance::class)(
                $bench->by(),
                new CoreEstimate(
                    0,
                    $ends,
                    $pick($bikes)->id,
                    $day($from)->startS(),
                    $from,
                    $to,
                    (float) $dice->getInt(10, 120),
                    Condition::Dry,
                ),
            );
        },
        fn() => app(SetCommute::class)(
            $bench->by(),
            null,
            [
                'bike_id' => $pick($bikes)->id,
                'weekdays' => [3],
                'time' => $pick(['05:00', '08:30']),
                'km' => 15.0,
                'hours' => null,
                'condition' => $pick([Condition::Damp, Condition::Wet]),
                'from_date' => '2026-11-25',
                'until_date' => null,
            ],
            Bench::ago(1),
        ),
        fn() => app(ConfirmCommute::class)($bench->by(), $pick($bikes), [$pick(['2026-11-24', '2026-11-25'])], $pick([true, false])),
        fn() => app(CorrectOpening::class)->add($bench->by(), $pick($chains), $pick([null, 800.0]), $pick(WaxThen::cases()), null),
        fn() => ($opening = $oneOf(Opening::query()->live())) === null
            ? null
            : app(CorrectOpening::class)($bench->by(), $opening, 500.0, WaxThen::Known, (float) $dice->getInt(0, 60), null),
        fn() => app(CorrectFitting::class)($bench->by(), $pick($bikes), $pick($chains), $at(), $pick([true, false])),
        fn() => ($ride = $oneOf(Ride::query()->live())) === null
            ? null
            : app(SplitRide::class)($bench->by(), $ride, 5.0, $at(), $pick($chains)),
        fn() => ($ride = $oneOf(Ride::query()->live())) === null ? null : app(MoveRides::class)($bench->by(), [$ride], $pick($bikes)),
        function () use ($bench, $oneOf): ?Action {
            $action = $oneOf(
                Action::query()
                    ->whereNull('reverted_by')
                    ->whereNotIn('kind', ['add_bike', 'add_chain', 'change_workshop']),
                'revision',
            );
            if ($action === null) {
                return null;
            }
            try {
                return app(UndoActions::class)($bench->by(), $action);
            } catch (UndoBlocked $blocked) {
                return app(UndoActions::class)($bench->by(), $action, $blocked->inTheWay);
            }
        },
    ];
    $read = fn(): Book => (new ReadBook(app(AppClock::class), app(Snapshots::class)))($bench->workshop->refresh());
    $states = fn(Book $book, int $atS): array => array_map(fn($chain): string => serialize($book->chain($chain->id, $atS)), $chains);
    for ($history = 0; $history < Bench::times(1000); $history++) {
        DB::beginTransaction();
        ReadTransaction::$outermost = DB::transactionLevel();
        for ($step = $dice->getInt(3, 11); $step > 0; $step--) {
            // The rides of earlier hours are packed at any time, up to any instant.
            $dice->getInt(0, 2) === 0 && app(PastRides::class)->keep($bench->workshop, $at()->unixS);
            try {
                $pick($does)();
            } catch (NotPossible | LogbookConflict | InvalidInput) {
                // Refused: then nothing may have been written, which the comparison shows.
            }
            // Pages are looked at any time: what they say is kept, and is to be said by nothing that comes after.
            if ($dice->getInt(0, 2) === 0) {
                $states($read(), Bench::NOW);
                app(Snapshots::class)->keep();
            }
        }
        $book = $read();
        expect($book->conflicts())->toBe([], "history {$history}");
        foreach ($chains as $chain) {
            expect(derivedState($book->chain($chain->id, Bench::NOW), $book->fittings()->bikeOf($chain->id, Bench::NOW)))->toBe(
                plainState($bench->workshop->id, $chain->id, 120.0),
                "history {$history}, chain {$chain->id}",
            );
        }
        // Kept, at this instant and at later ones, as before: the same as worked out anew.
        app(Snapshots::class)->keep();
        $byRows = app(ReadBook::class)->byRowsAlone(fn(): Book => app(ReadBook::class)($bench->workshop));
        foreach ([0, $dice->getInt(1, 40 * 86400), -$dice->getInt(1, 40 * 86400)] as $afterS) {
            $atS = Bench::NOW + $afterS;
            expect($states($read(), $atS))->toBe($states($byRows, $atS), "history {$history}, {$afterS} s later");
        }
        // A history that is read alone is the one that it is among all.
        $told = fn(ChainHistory $one): array => [
            array_map(fn(Entry $entry) => [$entry::class, $entry->id], $one->entries()),
            $one->km()->km,
        ];
        foreach ($chains as $chain) {
            expect($told($read()->history($chain->id)))->toBe(
                $told($byRows->history($chain->id)),
                "history {$history}, {$chain->id} alone",
            );
        }
        DB::rollBack();
    }
});
