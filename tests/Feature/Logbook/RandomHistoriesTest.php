<?php

declare(strict_types=1);

use App\Actions\Chains\ReportNoise;
use App\Actions\Chains\RetireChain;
use App\Actions\Chains\StripChain;
use App\Actions\Chains\TopUpChain;
use App\Actions\Fittings\FitChain;
use App\Actions\History\DeleteEntry;
use App\Actions\History\MoveEntry;
use App\Actions\History\UndoActions;
use App\Actions\Pot\DipChains;
use App\Actions\Rides\EditRide;
use App\Actions\Rides\LogRide;
use App\Actions\Rides\RideFacts;
use App\Exceptions\LogbookConflict;
use App\Exceptions\NotPossible;
use App\Exceptions\UndoBlocked;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Dip;
use App\Models\Fitting;
use App\Models\Retirement;
use App\Models\Ride;
use App\Models\TopUp;
use App\Support\AppClock;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\ChainState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\Bench;

/**
 * What a chain's state should be, told as slowly and plainly as possible: walk through every minute that something
 * happened in, in the order strip, dip, fitting, top-up, ride, noise, and keep the books by hand.
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
    $all = [];
    foreach (
        ['strips', 'dips', 'fittings', 'topups', 'rides', 'noises', 'retirements'] as $rank => $table
    ) {
        foreach (
            DB::table($table)->where('workshop_id', $workshopId)->whereNull('voided_by')->get() as $row
        ) {
            $all[] = [$row->at, $rank, $row->sequence, $row->id, $table, $row];
        }
    }
    sort($all);
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
        if (($row->component_id ?? ($on[$row->bike_id] ?? null)) !== $chainId) {
            continue;
        }
        match ($table) {
            'strips' => ([$bare, $waxed] = [true, false]),
            'dips' => ([$bare, $waxed, $left, $effective, $wet, $loud, $ridden] = [
                false,
                true,
                $intervalKm,
                0.0,
                false,
                false,
                false,
            ]),
            'topups' => $waxed
                ? ([$left, $wet, $loud] = [min($intervalKm, $left + $row->km), false, false])
                : null,
            'noises' => ($loud = $waxed),
            'retirements' => ($retired = true),
            'rides' => null,
        };
        if ($table === 'rides') {
            $km += $row->km;
            $cost = $row->km * $factors[$row->condition];
            [$left, $effective, $ridden] = [max(0.0, $left - $cost), $effective + $cost, true];
            $wet = $wet || in_array($row->condition, ['wet', 'muddy'], true);
        }
    }

    return [
        'km' => round($km, 6),
        'left' => $waxed ? round($loud ? 0.0 : $left, 6) : 0.0,
        'effective' => $waxed ? round($effective, 6) : null,
        'status' => match (true) {
            $retired => 'retired',
            $bare => 'bare',
            ! $waxed => 'unwaxed',
            $loud => 'loud',
            $left <= 1e-9 => 'spent',
            $wet => 'wet',
            $ridden => 'ridden',
            default => 'waxed',
        },
        'on' => array_search($chainId, $on, true) ?: null,
    ];
}

/** @return array<string, mixed> */
function derivedState(ChainState $state, ?int $on): array
{
    return [
        'km' => round($state->km->km, 6),
        'left' => round($state->leftKm(), 6),
        'effective' => $state->life === null ? null : round($state->life->effectiveKm, 6),
        'status' => $state->status->value,
        'on' => $on,
    ];
}

it(
    'equals a slow, obvious recomputation over 1,000 random histories with late entries, edits and undos',
    function (): void {
        $dice = new Randomizer(new Mt19937(4711));
        $bench = new Bench;
        $bikes = [$bench->bike('One', 120), $bench->bike('Two', 120)];
        $chains = array_map(
            fn(string $label) => $bench->chain($bikes[0], $label, $label === 'C' ? null : 13),
            ['A', 'B', 'C'],
        );
        app(FitChain::class)($bench->by(), $bikes[0], $chains[0], Bench::ago(13));
        app(FitChain::class)($bench->by(), $bikes[1], $chains[1], Bench::ago(13));
        $pick = fn(array $from) => $from[$dice->getInt(0, count($from) - 1)];
        // Few enough instants that things often fall into one.
        $at = fn() => Bench::ago($dice->getInt(1, 12));
        $facts = fn() => new RideFacts(
            $pick($bikes),
            $at(),
            (float) $dice->getInt(1, 60),
            null,
            $pick(Condition::cases()),
        );
        $oneOf = fn(Builder $query, string $order = 'sequence') => ($rows = $query
            ->where('workshop_id', $bench->workshop->id)
            ->orderBy($order)
            ->orderBy('id')
            ->get()
            ->all()) === []
            ? null
            : $pick($rows);
        $entry = fn() => $oneOf(
            $pick([Ride::class, Dip::class, Fitting::class, TopUp::class, Retirement::class])::query()
                ->live(),
        );
        $does = [
            fn() => app(LogRide::class)($bench->by(), $facts()),
            fn() => app(LogRide::class)($bench->by(), $facts(), loud: true),
            fn() => app(FitChain::class)(
                $bench->by(),
                $pick($bikes),
                $pick([...$chains, ...$chains, null]),
                $at(),
            ),
            fn() => app(DipChains::class)($bench->by(), [$pick($chains)], $at()),
            fn() => app(StripChain::class)($bench->by(), $pick($chains), $at()),
            fn() => app(TopUpChain::class)($bench->by(), $pick($chains), 50.0, $at()),
            fn() => app(ReportNoise::class)($bench->by(), $pick($bikes), $at()),
            fn() => $dice->getInt(0, 3) === 0
                ? app(RetireChain::class)(
                    $bench->by(),
                    $pick($chains),
                    Bench::ago($dice->getInt(1, 4)),
                )
                : null,
            fn() => ($row = $entry()) instanceof Ride
                ? app(EditRide::class)($bench->by(), $row, $facts())
                : ($row === null
                    ? null
                    : app(MoveEntry::class)($bench->by(), $row, $at())),
            fn() => ($row = $entry()) === null ? null : app(DeleteEntry::class)($bench->by(), $row),
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
        for ($history = 0; $history < 1000; $history++) {
            DB::beginTransaction();
            for ($step = $dice->getInt(3, 11); $step > 0; $step--) {
                try {
                    $pick($does)();
                } catch (NotPossible | LogbookConflict) {
                    // Refused: then nothing may have been written, which the comparison shows.
                }
            }
            $book = (new ReadBook(app(AppClock::class)))($bench->workshop->refresh());
            expect($book->conflicts())->toBe([], "history {$history}");
            foreach ($chains as $chain) {
                expect(
                    derivedState(
                        $book->chain($chain->id, Bench::NOW),
                        $book->fittings->bikeOf($chain->id, Bench::NOW),
                    ),
                )->toBe(
                    plainState($bench->workshop->id, $chain->id, 120.0),
                    "history {$history}, chain {$chain->id}",
                );
            }
            DB::rollBack();
        }
    },
);
