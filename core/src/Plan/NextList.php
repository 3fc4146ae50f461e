<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use DateTimeZone;
use Dripel\Core\Bath\BathNext;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Strip\BareState;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\ReadingDue;
use Dripel\Core\Wear\WearForecastResult;

/** What to do next, in order of its day: derived from the rails, never entered. */
final readonly class NextList
{
    /** House rule: what lies further ahead than this is no news yet, in days. */
    private const OUTRUN_DAYS = 7;

    private const NONE_WAXED_DAYS = 14;

    private const BUY_DAYS = 42;

    /**
     * @param list<Rail> $rails of the same logbook and instant
     * @param list<OpenJob> $jobs
     * @param array<int, JarState> $jars
     * @param array<int, BathState> $baths
     * @param array<int, WearForecastResult> $forecasts by chain
     * @param int $ridesIn ride files that came in by themselves
     * @param WorkshopPlan|null $plan that is followed
     *
     * @return list<NextItem>
     */
    public static function of(Book $book, array $rails, int $nowS, DateTimeZone $zone, array $jobs = [], array $jars = [], array $baths = [], array $forecasts = [], int $ridesIn = 0, ?WorkshopPlan $plan = null): array
    {
        $today = LocalDay::of($nowS, $zone);
        $inJob = array_merge(...array_map(fn(OpenJob $job) => $job->chainIds, $jobs));
        $underWay = array_merge(...array_map(fn(OpenJob $job) => $job->planned ? [] : $job->chainIds, $jobs));
        $items = [...self::spentWaiting($rails, $inJob), ...self::openRides($book, $today), ...self::commutes($book, $today), ...self::jobs($book, $jobs, $nowS, $zone), ...self::jars($jars, $today), ...self::baths($baths), ...($ridesIn === 0 ? [] : [new NextItem(NextKind::RidesIn, null, [], $today->date, null, false, Verb::Look, files: $ridesIn)])];
        foreach ($rails as $rail) {
            array_push(
                $items,
                ...self::bare($rail, $zone, $inJob),
                ...self::wet($book, $rail, $jobs, $today, $zone),
                ...self::worn($rail, $today),
                ...self::measure($rail, $today, $forecasts),
                ...self::buy($book, $rail, $today, $forecasts),
                ...self::eventDips($book, $rail, $inJob),
                ...($rail->fitted === null ? [] : [
                    ...(in_array($rail->fitted->chainId, $underWay, true) ? [] : self::fitted($rail, $rail->fitted, $today)),
                    ...self::wipe($book, $rail->fitted, $rail->bikeId),
                    ...self::noneWaxed($rail, $rail->fitted, $today, $inJob),
                ]),
            );
        }
        $items = $plan === null ? $items : self::planned($book, $plan, $items, $nowS);
        usort($items, fn(NextItem $a, NextItem $b) => $b->urgent <=> $a->urgent
            ?: ($a->date ?? '9999') <=> ($b->date ?? '9999')
            ?: $b->late <=> $a->late
            ?: $a->kind->rank() <=> $b->kind->rank());

        return $items;
    }

    /**
     * What the plan asks for in the coming days, in the place of what would be asked without it.
     *
     * @param list<NextItem> $items
     *
     * @return list<NextItem>
     */
    private static function planned(Book $book, WorkshopPlan $plan, array $items, int $nowS): array
    {
        $held = $plan->held();
        $pot = $held->potDays[0] ?? null;
        if ($pot !== null && $pot->dips !== [] && $pot->day <= self::NONE_WAXED_DAYS) {
            $chains = array_map(fn(string|int $id) => $book->chain((int) $id, $nowS), $pot->dips);
            $items = array_values(array_filter($items, fn(NextItem $item) => $item->kind !== NextKind::SpentWaiting && $item->kind !== NextKind::NoneWaxed));
            $items[] = new NextItem(NextKind::PlannedPot, null, $chains, $plan->potOn($pot->day), null, false, Verb::PotDay, pot: $pot, plan: $plan);
        }
        foreach ($held->topUps as $drip) {
            if ($drip->day <= self::OUTRUN_DAYS) {
                $items[] = new NextItem(NextKind::PlannedDrip, (int) $drip->bike, [$book->chain((int) $drip->chain, $nowS)], $plan->date(max(0, $drip->day - 1)), null, false, Verb::TopUp, plan: $plan, drip: $drip);
            }
        }

        return $items;
    }

    /**
     * @param list<int> $inJob chains that are in a guided job, which speaks for them
     *
     * @return list<NextItem>
     */
    private static function bare(Rail $rail, DateTimeZone $zone, array $inJob): array
    {
        $items = [];
        foreach ([...$rail->hanging, ...($rail->fitted === null ? [] : [$rail->fitted])] as $chain) {
            if ($chain->bare !== null && ! $chain->pastLimit && ! in_array($chain->chainId, $inJob, true)) {
                $byS = $chain->nowS + (int) round(3600 * $chain->bare->hoursLeft);
                $day = max(LocalDay::of($byS, $zone)->date, LocalDay::of($chain->nowS, $zone)->date);
                $items[] = new NextItem(NextKind::Bare, $rail->bikeId, [$chain], $day, $byS, $chain->bare->state === BareState::Late, Verb::Dip, urgent: $chain->bare->state !== BareState::Ok);
            }
        }

        return $items;
    }

    /** @return list<NextItem> */
    private static function worn(Rail $rail, LocalDay $today): array
    {
        $chains = [...($rail->fitted === null ? [] : [$rail->fitted]), ...$rail->hanging];

        return array_values(array_map(
            fn(ChainState $chain) => new NextItem(NextKind::Worn, $rail->bikeId, [$chain], $chain === $rail->fitted ? $today->date : null, null, $chain === $rail->fitted, Verb::Retire),
            array_filter($chains, fn(ChainState $chain) => $chain->pastLimit),
        ));
    }

    /**
     * @param array<int, WearForecastResult> $forecasts
     *
     * @return list<NextItem>
     */
    private static function measure(Rail $rail, LocalDay $today, array $forecasts): array
    {
        return array_values(array_map(
            fn(ChainState $chain) => new NextItem(NextKind::Measure, $rail->bikeId, [$chain], $chain === $rail->fitted ? $today->date : null, null, false, Verb::Measure, wear: $forecasts[$chain->chainId] ?? null),
            array_filter($rail->chains(), fn(ChainState $chain) => ReadingDue::of($chain, $forecasts[$chain->chainId] ?? null)),
        ));
    }

    /**
     * @param array<int, WearForecastResult> $forecasts
     *
     * @return list<NextItem>
     */
    private static function buy(Book $book, Rail $rail, LocalDay $today, array $forecasts): array
    {
        $supply = ChainSupply::of($book, $rail, $forecasts, $today);

        return $supply === null || $supply->buyBy === null || $supply->buyBy > $today->plus(self::BUY_DAYS)->date ? [] : [
            new NextItem(NextKind::Buy, $rail->bikeId, $supply->goes === null ? [] : [$supply->goes], $supply->buyBy, null, false, Verb::Add, supply: $supply),
        ];
    }

    /**
     * @param list<int> $inJob
     *
     * @return list<NextItem>
     */
    private static function eventDips(Book $book, Rail $rail, array $inJob): array
    {
        $wanting = array_filter($rail->hanging, fn(ChainState $chain) => $chain->keptFor?->wantsDip($chain->dip, $chain->nowS, $book->settings) === true && ! $chain->pastLimit && ! in_array($chain->chainId, $inJob, true));

        return array_values(array_map(fn(ChainState $chain) => new NextItem(NextKind::EventDip, $rail->bikeId, [$chain], $chain->keptFor?->on, null, false, Verb::Dip), $wanting));
    }

    /** @return list<NextItem> */
    private static function fitted(Rail $rail, ChainState $chain, LocalDay $today): array
    {
        $best = $rail->bestHanging();
        $verb = match (true) {
            $best !== null => Verb::Swap,
            $chain->terms->dripOnly => Verb::TopUp,
            default => Verb::Dip,
        };
        if ($chain->wetRide !== null) {
            return [];
        }
        if ($chain->life !== null && $chain->life->due()) {
            return [new NextItem(NextKind::Overdue, $rail->bikeId, [$chain], $today->date, null, true, $verb, $best)];
        }
        if ($chain->status === ChainStatus::Unsure) {
            return [new NextItem(NextKind::Unsure, $rail->bikeId, [$chain], $today->date, null, false, $verb, $best)];
        }
        if ($rail->goodUntil !== null && $rail->goodUntil->daysAhead <= self::OUTRUN_DAYS && $best !== null) {
            return [new NextItem(NextKind::Outrun, $rail->bikeId, [$chain], $rail->goodUntil->date, null, false, Verb::Swap, $best, $rail->goodUntil)];
        }
        if ($chain->life !== null && ! $chain->mayTopUp()) {
            return [new NextItem(NextKind::ToppedUp, $rail->bikeId, [$chain], $rail->goodUntil?->date, null, false, $verb, $best, $rail->goodUntil)];
        }

        return [];
    }

    /**
     * @param list<OpenJob> $jobs
     *
     * @return list<NextItem> carried until the wet is out of the chain and wax is on it again
     */
    private static function wet(Book $book, Rail $rail, array $jobs, LocalDay $today, DateTimeZone $zone): array
    {
        $items = [];
        foreach ($rail->chains() as $chain) {
            // Said once: on the day it was ridden on, and the next.
            if ($chain->wetPast !== null && ! $chain->pastLimit && LocalDay::of((int) $chain->wetPastS, $zone)->date >= $today->plus(-1)->date) {
                $items[] = new NextItem(NextKind::WetPast, $rail->bikeId, [$chain], $today->date, null, false, Verb::Wipe);
            }
            $job = array_values(array_filter($jobs, fn(OpenJob $job) => in_array($chain->chainId, $job->chainIds, true)))[0] ?? null;
            $path = $chain->pastLimit || ($job !== null && ! $job->planned) ? null : WetPath::of($chain, $rail, $book->settings, $job?->doneS, $zone);
            // On its hook it has dried by itself after a day; what rust there is shows before the pot.
            $hung = $chain !== $rail->fitted && $path !== null && LocalDay::of($path->rideEndS ?? $path->dryByS, $zone)->date < $today->plus(-1)->date;
            if ($path !== null && $path->driedS === null && ! $hung) {
                $items[] = new NextItem(NextKind::Wet, $rail->bikeId, [$chain], $today->date, $path->late() ? null : $path->dryByS, $path->late(), Verb::Wet, wet: $path);
            } elseif ($path !== null && $chain === $rail->fitted) {
                $day = $path->nextRideS === null ? $today : LocalDay::of($path->nextRideS, $zone);
                $items[] = new NextItem(NextKind::WetDried, $rail->bikeId, [$chain], $day->date, null, false, Verb::Wet, ($path->options[0] ?? null)?->chain, wet: $path);
            }
        }

        return $items;
    }

    /** @return list<NextItem> */
    private static function wipe(Book $book, ChainState $chain, int $bikeId): array
    {
        $after = $book->settings->wipeRides();

        return $after > 0 && $chain->ridesSinceCare >= $after && $chain->life !== null && ! $chain->life->due()
            ? [new NextItem(NextKind::Wipe, $bikeId, [$chain], null, null, false, Verb::Wipe)]
            : [];
    }

    /**
     * @param list<int> $inJob
     *
     * @return list<NextItem>
     */
    private static function noneWaxed(Rail $rail, ChainState $fitted, LocalDay $today, array $inJob): array
    {
        $due = $fitted->life !== null && $fitted->life->due();
        $soon = $rail->goodUntil !== null && $rail->goodUntil->daysAhead <= self::NONE_WAXED_DAYS;
        $waxed = array_filter($rail->hanging, fn(ChainState $chain) => $chain->rideable());
        $waiting = array_values(array_filter($rail->forThePot(), fn(ChainState $chain) => ! in_array($chain->chainId, $inJob, true)));
        $dippable = $waiting !== [] ? $waiting : ($due ? [$fitted] : []);
        if ($waxed !== [] || (! $due && ! $soon) || $fitted->terms->dripOnly) {
            return [];
        }

        return [new NextItem(
            NextKind::NoneWaxed,
            $rail->bikeId,
            [$fitted, ...$dippable],
            $due ? $today->date : $rail->goodUntil->date,
            null,
            false,
            $dippable === [] ? null : Verb::Dip,
            goodUntil: $rail->goodUntil,
        )];
    }

    /**
     * @param list<Rail> $rails
     * @param list<int> $inJob
     *
     * @return list<NextItem>
     */
    private static function spentWaiting(array $rails, array $inJob): array
    {
        $spent = fn(ChainState $chain) => $chain->status !== ChainStatus::Bare && ! in_array($chain->chainId, $inJob, true);
        $chains = array_merge(...array_map(fn(Rail $rail) => array_values(array_filter($rail->forThePot(), $spent)), $rails));
        if ($chains === []) {
            return [];
        }
        $dates = array_filter(array_map(fn(Rail $rail) => $rail->goodUntil?->date, array_filter($rails, fn(Rail $rail) => $rail->forThePot() !== [])));

        return [new NextItem(NextKind::SpentWaiting, null, $chains, $dates === [] ? null : min($dates), null, false, Verb::Dip)];
    }

    /** @return list<NextItem> rides that have no chain or no bike to go to */
    private static function openRides(Book $book, LocalDay $today): array
    {
        $items = array_map(
            fn(Ride $ride) => new NextItem(NextKind::NoBike, null, [], $today->date, null, false, Verb::ChooseBike, rides: [$ride]),
            $book->ridesWithoutBike,
        );
        $byBike = [];
        foreach ($book->ridesWithoutChain() as $ride) {
            $byBike[(int) $ride->bikeId][] = $ride;
        }
        foreach ($byBike as $bikeId => $rides) {
            $items[] = new NextItem(NextKind::NoChain, $bikeId, [], $today->date, null, false, Verb::Fit, rides: $rides);
        }

        return $items;
    }

    /**
     * @param list<OpenJob> $jobs
     *
     * @return list<NextItem>
     */
    private static function jobs(Book $book, array $jobs, int $nowS, DateTimeZone $zone): array
    {
        return array_map(fn(OpenJob $job) => new NextItem(
            NextKind::Job,
            $book->bikeOfChain($job->chainIds[0] ?? 0, $nowS),
            $chains = array_map(fn(int $id) => $book->chain($id, $nowS), $job->chainIds),
            LocalDay::of(max($nowS, $job->dueS ?? $nowS), $zone)->date,
            $job->dueS !== null && $job->dueS > $nowS ? $job->dueS : null,
            false,
            Verb::Go,
            // Bare steel waits no longer for a job than for anything else.
            urgent: array_filter($chains, fn(ChainState $chain) => $chain->bare !== null && $chain->bare->state !== BareState::Ok) !== [],
            job: $job,
        ), $jobs);
    }

    /**
     * @param array<int, BathState> $baths
     *
     * @return list<NextItem>
     */
    private static function baths(array $baths): array
    {
        return array_values(array_map(
            fn(BathState $bath) => new NextItem(NextKind::Bath, null, [], null, null, false, Verb::Jar, bath: $bath),
            array_filter($baths, fn(BathState $bath) => $bath->ledger !== null && $bath->ledger->next !== BathNext::Ok),
        ));
    }

    /**
     * @param array<int, JarState> $jars
     *
     * @return list<NextItem>
     */
    private static function jars(array $jars, LocalDay $today): array
    {
        $items = [];
        foreach ($jars as $jar) {
            if ($jar->spent()) {
                $items[] = new NextItem(NextKind::JarSpent, null, [], null, null, false, Verb::Jar, jar: $jar);
            } elseif ($jar->settledS() !== null && $jar->settledS() <= $today->endS()) {
                $items[] = new NextItem(NextKind::JarSettled, null, [], $today->date, null, false, Verb::Jar, jar: $jar);
            }
        }

        return $items;
    }

    /** @return list<NextItem> one line for each bike whose commute filled itself in */
    private static function commutes(Book $book, LocalDay $today): array
    {
        $items = [];
        foreach ($book->bikeIds as $bikeId) {
            $rides = array_values(array_filter($book->ridesOf($bikeId), fn(Ride $ride) => $ride->guess?->commuteId !== null));
            if ($rides !== []) {
                $items[] = new NextItem(NextKind::Commute, $bikeId, [], $today->date, null, false, Verb::Confirm, rides: $rides);
            }
        }

        return $items;
    }
}
