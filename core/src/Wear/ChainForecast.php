<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Closure;
use Dripel\Core\Input\Check;
use Dripel\Core\Interval\LifeCurve;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainHistory;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\TopUp;

/** The wear of one chain of the logbook: its readings as wear.forecast takes them, and what follows. */
final class ChainForecast
{
    /** A cycle that was really ridden lies within these, in effective km; anything else is a gap in the book. */
    private const SHORTEST_KM = 50.0;

    private const LONGEST_KM = 1000.0;

    /** How far ahead a band is drawn where the limit is far: house rule, in parts of the way so far. */
    private const AHEAD = 1.0;

    private const POINTS = 16;

    /** 99 % lie between one minus this and this. */
    private const LIKELY = 0.995;

    private ?WearBelief $belief = null;

    private ?ChainReadings $readings = null;

    /**
     * @param Closure(): ChainReadings $made the readings behind it, made when they are first asked for: most only want what follows
     * @param float $nowKm on the chain
     */
    public function __construct(
        private readonly Closure $made,
        public readonly float $limitPct,
        public readonly float $nowKm,
        public readonly float $intervalKm,
        public readonly WearForecastResult $result,
    ) {}

    public function readings(): ChainReadings
    {
        return $this->readings ??= ($this->made)();
    }

    /**
     * What wear.forecast takes of a chain by the house rule; null where its km are not known. What it was ridden on oil before its
     * first wax says nothing of how it wears on wax: only readings from its first coat on count then, and where its line begins is
     * left open.
     *
     * @param float|null $intervalKm where it was worked out already
     */
    public static function readingsOf(Book $book, ChainState $chain, ?float $intervalKm = null): ?ChainReadings
    {
        // Before it came, used, nobody counted.
        $opening = $book->history($chain->chainId)->last(Opening::class);
        if (!$chain->km->whole || ($opening !== null && $opening->moment->unixS > $chain->nowS)) {
            return null;
        }
        $history = $book->history($chain->chainId)->until($chain->nowS);
        $firstKm = self::firstWaxKm($history) ?? 0.0;
        $readings = [];
        foreach ($history->events as $event) {
            if ($event instanceof Reading && ($before = $history->kmBefore($event))->whole && $before->km >= $firstKm - Check::EPSILON) {
                $readings[] = [$event, $before->km];
            }
        }
        $prior = WearPrior::ofInterval(
            $chain->terms->limitPct,
            $intervalKm ?? self::intervalKm($book, $chain),
            $book->settings->lifeCurve(),
        );

        return new ChainReadings($chain->terms->limitPct, $readings, $firstKm > 0.0 ? $prior->startingAnywhere() : $prior, $chain->km->km);
    }

    /** Its km at its first coat of wax, 0 where it came with one; null: it never had any. */
    public static function firstWaxKm(ChainHistory $history): ?float
    {
        if ($history->last(Opening::class)?->waxed() === true) {
            return 0.0;
        }
        foreach ($history->events as $event) {
            if ($event instanceof Dip || $event instanceof TopUp) {
                return $history->kmBefore($event)->km;
            }
        }

        return null;
    }

    /**
     * The interval at which a chain was really waxed, in effective km: from its first coat to its last, by coat; where nobody knows,
     * the one that was set when it was waxed. A coat of drip wax counts as the wax interval that it wears like.
     */
    public static function intervalKm(Book $book, ChainState $chain): float
    {
        $history = $book->history($chain->chainId)->until($chain->nowS);
        $drip = $chain->terms->dripOnly;
        $asWax = fn(float $km): float => $drip ? $book->settings->dripAsWax() * $km : $km;
        $coats = array_values(
            array_filter($history->events, fn(Entry $entry) => $entry instanceof Dip || ($drip && $entry instanceof TopUp)),
        );
        if (count($coats) > 1) {
            $before = $history->rides->countUpTo($coats[0]);
            $ridden = $history->rides->slice($before, $history->rides->countUpTo($coats[count($coats) - 1]) - $before);
            $km = $ridden->effectiveKm($book->settings) / (count($coats) - 1);

            return min(self::LONGEST_KM, max(self::SHORTEST_KM, $asWax($km)));
        }
        $bikeId = $book->bikeOfChain($chain->chainId, $chain->nowS);

        return $asWax(
            $bikeId === null ? $chain->terms->intervalKm : $book->terms()->setKm($bikeId, $chain->wax->dip->moment->unixS ?? $chain->nowS),
        );
    }

    /** @return list<array{float, float, float, float}> km, and the elongation there: 10 %, mean, 90 % */
    public function band(): array
    {
        $farKm = $this->farKm();

        return array_map(function (int $i) use ($farKm): array {
            $x = ($farKm * $i) / self::POINTS / 1000.0;

            return [1000.0 * $x, $this->belief()->quantile($x, 0.1), $this->belief()->mean($x), $this->belief()->quantile($x, 0.9)];
        }, range(0, self::POINTS));
    }

    /** How many times as fast as the life points expect at its interval it wears. */
    public function factor(LifeCurve $curve): float
    {
        return ($this->result->rateP50 * $curve->lifeKm($this->intervalKm)) / (1000.0 * $this->limitPct);
    }

    /** @return list<LimitOutcome> what each school of limits would make of it; costs in minor units */
    public function schools(int $speeds, float $chainMinor, float $cassetteMinor): array
    {
        return LimitOutcome::all($this->belief(), $speeds, $chainMinor, $cassetteMinor);
    }

    /** To where the limit is reached most likely, but not out of all proportion to what was ridden. */
    public function farKm(): float
    {
        $nowKm = max(500.0, $this->nowKm);

        return $nowKm + min($nowKm * (1 + self::AHEAD), max(0.2 * $nowKm, $this->result->kmToLimitP90 ?? INF));
    }

    /**
     * What a reading taken now would most likely say, in 99 of 100 cases, if it is not that: null where it is.
     *
     * @return array{float, float}|null lower and upper, %
     */
    public function contradicts(WearReadingResult $reading): ?array
    {
        $now = ForecastReading::of($this->nowKm, $reading);
        $band = ReadingBand::of($this->belief(), $now, self::LIKELY);

        return $band->holds($now) ? null : [$band->lowPct, $band->highPct];
    }

    /** The same chain with one more reading, taken now. */
    public function with(WearReadingInput $reading): self
    {
        $chain = $this->readings()->with($reading);

        return new self(fn() => $chain, $this->limitPct, $this->nowKm, $this->intervalKm, (new WearForecast())($chain->input()));
    }

    private function belief(): WearBelief
    {
        return $this->belief ??= WearForecast::belief($this->readings()->input());
    }
}
