<?php

declare(strict_types=1);

namespace App\Plan;

use App\Logbook\ReadBook;
use App\Logbook\ReadRecorded;
use App\Models\Workshop;
use App\Pot\ReadHeatUps;
use App\Support\AppClock;
use App\Support\CacheMemo;
use Closure;
use Dripel\Core\HowRight\GradeGoodUntil;
use Dripel\Core\HowRight\HowRight;
use Dripel\Core\HowRight\Mondays;
use Dripel\Core\HowRight\ProposedMargin;
use Dripel\Core\HowRight\ReplayedYear;
use Dripel\Core\HowRight\ReplayYear;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Maths\KeptMemo;

/**
 * How right Dripel was, as of the last Monday morning. What was known then does not change any more: it is worked out once a week, at the
 * first question.
 */
final class ReadHowRight
{
    private const WEEK_S = 7 * 86400;

    /** @var array<string, RecordedBook> by workshop and revision */
    private array $read = [];

    public function __construct(
        private readonly ReadRecorded $readRecorded,
        private readonly ReadBook $readBook,
        private readonly ReadPlan $readPlan,
        private readonly ReadHeatUps $readHeatUps,
        private readonly CacheMemo $memo,
        private readonly AppClock $clock,
    ) {}

    /** Null before the first Monday of a workshop. */
    public function __invoke(Workshop $workshop): ?HowRight
    {
        $goodUntil = $this->goodUntil($workshop);
        $asOfS = $this->asOfS($workshop);
        if ($goodUntil === null || $asOfS === null) {
            return null;
        }
        $heatUps = ($this->readHeatUps)($workshop, $asOfS - self::WEEK_S * HowRight::WEEKS, $asOfS);

        return $this->kept(
            $workshop,
            'promises ' . md5(serialize($heatUps)),
            fn(RecordedBook $recorded, int $asOfS, ?int $capacity) => HowRight::of(
                $recorded,
                $asOfS,
                $goodUntil,
                $capacity,
                new KeptMemo(),
                $heatUps,
            ),
        );
    }

    /** A margin that would have been right more often; null: the one that is set is, or too few promises say so. */
    public function margin(Workshop $workshop): ?ProposedMargin
    {
        $goodUntil = $this->goodUntil($workshop);

        return $goodUntil === null ? null : ProposedMargin::of($goodUntil->marginsPct, $this->readBook->settings($workshop));
    }

    /** @return array<string, ReplayedYear>|null the last year as it was done and by each policy; null before its first four weeks */
    public function replay(Workshop $workshop): ?array
    {
        return $this->kept(
            $workshop,
            'year',
            fn(RecordedBook $recorded, int $asOfS, ?int $capacity) => ReplayYear::of($recorded, $asOfS, $capacity, new KeptMemo())?->all(),
        );
    }

    private function goodUntil(Workshop $workshop): ?GradeGoodUntil
    {
        return $this->kept($workshop, 'days', HowRight::goodUntil(...));
    }

    /**
     * What it takes to get there is of use to nothing else, and does not push out what is: only what comes of it is kept.
     *
     * @template T
     *
     * @param Closure(RecordedBook, int, int|null): T $make of all that was recorded, the Monday and the chains that the largest pot takes
     *
     * @return T|null null before the first Monday
     */
    private function kept(Workshop $workshop, string $what, Closure $make): mixed
    {
        $asOfS = $this->asOfS($workshop);
        if ($asOfS === null) {
            return null;
        }
        $recorded = $this->recorded($workshop);
        $capacity = $this->readPlan->capacity($workshop);

        return $this->memo
            ->in($workshop)
            ->of("howright {$what} {$asOfS} {$capacity} {$recorded->fingerprint($asOfS)}", fn() => $make($recorded, $asOfS, $capacity));
    }

    /** The last Monday morning; null: nothing was written down by then. */
    private function asOfS(Workshop $workshop): ?int
    {
        $nowS = $this->clock->unixS();
        // A day more: a week in which the clocks change is longer.
        $mondays = Mondays::between($nowS - self::WEEK_S - 86400, $nowS + 1, $this->readBook->settings($workshop)->zone());
        $asOfS = array_last($mondays);

        return ($this->recorded($workshop)->beganS() ?? PHP_INT_MAX) >= $asOfS ? null : $asOfS;
    }

    public function recorded(Workshop $workshop): RecordedBook
    {
        return $this->read["{$workshop->id} {$workshop->revision}"] ??= ($this->readRecorded)($workshop);
    }
}
