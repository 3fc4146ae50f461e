<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Noise;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\WaxThen;

/**
 * When a bike's chains get loud, by the logbook: its wax cycles as interval.learn takes them, and what follows. A cycle ends at its
 * first dry sound; a top-up, the next dip, a strip and today cut it short while it is quiet.
 */
final readonly class LearnedByEar
{
    /** So many dry sounds, and a season of its own is learned: common sense, house rule. */
    private const SEASON_NOISES = 3;

    /**
     * What is known before: a chain kept to its interval is heard in one of five cases, give or take this in the logarithm; house rules.
     */
    private const LOG_SD = 0.5;

    private const SHAPE = 3.0;

    private const SHAPE_LOG_SD = 0.3;

    /**
     * @param list<EarCycle> $cycles in order of their ends
     * @param array<string, IntervalLearnResult> $seasons by EarSeason, those that were heard often enough
     */
    private function __construct(public array $cycles, public IntervalLearnResult $result, public array $seasons) {}

    /** Null while no chain of the bike was ever heard. */
    public static function of(Book $book, int $bikeId, int $nowS): ?self
    {
        return $book->kept("by ear {$bikeId}", fn() => self::learned($book, $bikeId, $nowS), $nowS);
    }

    private static function learned(Book $book, int $bikeId, int $nowS): ?self
    {
        $cycles = self::cyclesOf($book, $bikeId, $nowS);
        // Counted first: a curve that nobody is told of is not fitted.
        if ($cycles === []) {
            return null;
        }
        // Of the middle school, whatever is set: what is learned must not follow what it advised.
        $prior = self::prior(Settings::INTERVAL_KM);
        $seasons = [];
        foreach (EarSeason::cases() as $season) {
            $in = array_values(array_filter($cycles, fn(EarCycle $one) => EarSeason::of($one->endS, $book->settings->zone()) === $season));
            self::noises($in) < self::SEASON_NOISES || ($seasons[$season->value] = self::learn($in, $prior));
        }

        return new self($cycles, self::learn($cycles, $prior), $seasons);
    }

    /**
     * Of a bike, in order of their ends; none while no chain of it was ever heard: who does not listen says nothing by silence.
     *
     * @return list<EarCycle>
     */
    public static function cyclesOf(Book $book, int $bikeId, int $nowS): array
    {
        $histories = [];
        foreach ($book->chainIds as $chainId) {
            $book->settings->home($chainId, $nowS) === $bikeId && ($histories[] = $book->history($chainId)->until($nowS));
        }
        // Asked first: most bikes are never listened to, and their coats are many.
        if (!array_any($histories, fn(ChainHistory $history) => $history->last(Noise::class) !== null)) {
            return [];
        }
        $cycles = array_merge(...array_map(fn(ChainHistory $history) => self::ofChain($book, $history, $nowS), $histories));
        usort($cycles, fn(EarCycle $a, EarCycle $b) => $a->endS <=> $b->endS ?: $a->chainId <=> $b->chainId);

        return self::noises($cycles) === 0 ? [] : $cycles;
    }

    /** @param list<EarCycle> $cycles */
    private static function noises(array $cycles): int
    {
        return count(array_filter($cycles, fn(EarCycle $one) => $one->cycle->ended === CycleEnd::Noise));
    }

    public static function prior(float $intervalKm): LearnPrior
    {
        return new LearnPrior(
            $intervalKm * (M_LN2 / -log(1.0 - IntervalLearnInput::QUANTILE)) ** (1.0 / self::SHAPE),
            self::LOG_SD,
            self::SHAPE,
            self::SHAPE_LOG_SD,
        );
    }

    /** @param list<EarCycle> $cycles */
    private static function learn(array $cycles, LearnPrior $prior): IntervalLearnResult
    {
        return (new IntervalLearn())(new IntervalLearnInput(array_map(fn(EarCycle $one) => $one->cycle, $cycles), $prior));
    }

    /** @return list<EarCycle> */
    private static function ofChain(Book $book, ChainHistory $history, int $nowS): array
    {
        /** @var Dip|Opening|null $begun the wax under way */
        $begun = null;
        [$found, $rides] = [[], []];
        foreach ($history->entries() as $entry) {
            if ($entry instanceof Ride) {
                $rides[] = $entry;
                continue;
            }
            if ($entry instanceof Reading) {
                continue;
            }
            $how = $entry instanceof Noise ? CycleEnd::Noise : CycleEnd::Pulled;
            $found[] = self::cycle($book->settings, $history->chainId, $begun, $rides, $entry->moment->unixS, $how, false);
            // A coat that was only partly there says nothing of a whole one.
            $begun =
                ($entry instanceof Dip && !$entry->partly) || ($entry instanceof Opening && $entry->wax === WaxThen::Known) ? $entry : null;
            $rides = [];
        }
        $found[] = self::cycle($book->settings, $history->chainId, $begun, $rides, $nowS, CycleEnd::Pulled, true);

        return array_values(array_filter($found));
    }

    /**
     * Null where no wax was under way, or none of it was ridden.
     *
     * @param list<Ride> $rides
     */
    private static function cycle(
        Settings $settings,
        int $chainId,
        Dip|Opening|null $begun,
        array $rides,
        int $endS,
        CycleEnd $how,
        bool $open,
    ): ?EarCycle {
        $summedKm = $begun instanceof Opening ? $begun->sinceWaxKm ?? 0.0 : 0.0;
        [$km, $by, $last] = [$summedKm, [], null];
        foreach ($rides as $ride) {
            $km += $ride->km * $settings->factor($ride->condition, $ride->moment->unixS);
            $by[$ride->condition->value] = ($by[$ride->condition->value] ?? 0.0) + $ride->km;
            $last = $ride->km > 0.0 ? $ride->condition : $last;
        }
        if ($begun === null || $km <= 0.0) {
            return null;
        }
        $ridden = $last === null || $summedKm > 0.0 ? null : new ConditionCycle($by, $last, $how);

        return new EarCycle($chainId, $begun->moment->unixS, $endS, new WaxCycle($km, $how), $open, $ridden);
    }
}
