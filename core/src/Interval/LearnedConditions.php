<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Maths\Memo;
use Dripel\Core\Maths\Normal;

/**
 * What a kilometre in each condition costs this rider, by the wax cycles of all bikes that are listened to: factors.learn over the logbook.
 * The prior is the house rule, whatever is set: what is learned must not follow what it proposed.
 */
final readonly class LearnedConditions
{
    /** A band so much narrower than the prior's is sure enough to go by: house rule. */
    private const SETTLED = 0.5;

    /** @param list<LearnedCondition> $conditions all but dry, which the others are counted in, and those never ridden */
    private function __construct(
        public int $noises,
        /** Cycles that ended while they were quiet. */
        public int $quiet,
        public array $conditions,
    ) {}

    /** Null while no chain was ever heard. */
    public static function of(Book $book, int $nowS, Memo $memo): ?self
    {
        return $book->kept('learned conditions', fn() => self::learned($book, $nowS, $memo), $nowS);
    }

    private static function learned(Book $book, int $nowS, Memo $memo): ?self
    {
        $ofBikes = array_map(fn(int $bikeId) => LearnedByEar::cyclesOf($book, $bikeId, $nowS), $book->bikeIds);
        $cycles = array_values(array_filter(array_map(fn(EarCycle $one) => $one->ridden, array_merge(...$ofBikes))));
        $noises = count(array_filter($cycles, fn(ConditionCycle $cycle) => $cycle->ended === CycleEnd::Noise));
        if ($noises === 0) {
            return null;
        }
        $in = new FactorsLearnInput($cycles, LearnedByEar::prior(Settings::INTERVAL_KM), Factors::houseRule());
        /** @var FactorsLearnResult $result */
        $result = $memo->of('factors ' . sha1(serialize($in)), fn() => (new FactorsLearn())($in));
        $declined = $book->settings->factorsDeclined();
        $conditions = [];
        foreach (Condition::cases() as $condition) {
            $learned = $result->factors[$condition->value];
            if ($condition !== Condition::Dry && $learned->cycles > 0) {
                $conditions[] = self::condition(
                    $condition,
                    $learned,
                    $book->settings->factor($condition, $nowS),
                    $noises,
                    $in->logSd,
                    $declined->of($condition),
                );
            }
        }

        return new self($noises, count($cycles) - $noises, $conditions);
    }

    /** @return list<LearnedCondition> what is offered */
    public function offers(): array
    {
        return array_values(array_filter($this->conditions, fn(LearnedCondition $one) => $one->offered()));
    }

    /** Each dry sound is taken to say as much as those so far did. */
    private static function condition(
        Condition $condition,
        LearnedFactor $learned,
        float $now,
        int $noises,
        float $priorSd,
        ?float $declined,
    ): LearnedCondition {
        $sd = log($learned->p90 / $learned->p10) / (2 * Normal::quantile(0.9));
        $wanted = 1.0 / (self::SETTLED * $priorSd) ** 2;
        $each = (1.0 / $sd ** 2 - 1.0 / $priorSd ** 2) / $noises;
        $settled = 1.0 / $sd ** 2 >= $wanted;

        return new LearnedCondition(
            $condition,
            $learned,
            $now,
            $settled,
            $settled || $each <= 0.0 ? null : (int) ceil(($wanted - 1.0 / $sd ** 2) / $each),
            $declined,
        );
    }
}
