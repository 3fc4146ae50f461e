<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Maths\Memo;

/**
 * How right Dripel was: what it would have promised in the last year, made anew with today's rules from what was known on each day, against
 * what came. Nothing that was written down later is looked at when a promise is made.
 */
final readonly class HowRight
{
    /** So many weeks are looked back upon. */
    public const WEEKS = 52;

    private const WORST = 10;

    /** The parts of the scale of likelihoods that are told together. House rule. */
    private const PARTS = [0.0, 0.3, 0.6, 0.8, 0.95, 1.01];

    /** @param list<PromiseGrade> $grades one a kind, those without a promise too */
    private function __construct(public array $grades, public int $fromS, public int $nowS) {}

    /**
     * @param GradeGoodUntil $goodUntil of the same
     * @param int|null $potCapacity chains that the largest pot takes at once
     * @param list<HeatUp> $heatUps of that year
     */
    public static function of(
        RecordedBook $recorded,
        int $nowS,
        GradeGoodUntil $goodUntil,
        ?int $potCapacity,
        Memo $memo,
        array $heatUps = [],
    ): self {
        $book = $recorded->asKnown($nowS);
        $fromS = self::fromS($recorded, $nowS);
        $promises = [
            PromiseKind::GoodUntil->value => $goodUntil->promises,
            PromiseKind::Wear->value => GradeWear::of($recorded, $book, $fromS, $nowS, $memo),
            PromiseKind::Week->value => GradeWeek::of($recorded, $book, $fromS, $nowS),
            PromiseKind::Plan->value => GradePlan::of($recorded, $book, $fromS, $nowS, $potCapacity, $memo),
            PromiseKind::Ear->value => GradeEar::of($recorded, $book, $fromS, $nowS),
            PromiseKind::Heat->value => GradeHeat::of($heatUps, $fromS, $nowS),
            PromiseKind::Bath->value => GradeBath::of($recorded, $book->settings, $fromS, $nowS),
            PromiseKind::Bottle->value => GradeBottle::of($recorded, $book, $fromS, $nowS),
        ];

        return new self(
            array_map(fn(PromiseKind $kind) => new PromiseGrade($kind, $promises[$kind->value]), PromiseKind::cases()),
            $fromS,
            $nowS,
        );
    }

    /** The good-until days alone: what the margin of the plan follows from. */
    public static function goodUntil(RecordedBook $recorded, int $nowS): GradeGoodUntil
    {
        return GradeGoodUntil::of($recorded, $recorded->asKnown($nowS), self::fromS($recorded, $nowS), $nowS);
    }

    private static function fromS(RecordedBook $recorded, int $nowS): int
    {
        return max($nowS - 7 * 86400 * self::WEEKS, $recorded->beganS() ?? $nowS);
    }

    /** @return list<GradedPromise> those that were broken by most, of all kinds */
    public function worst(): array
    {
        $broken = array_values(array_filter($this->promises(), fn(GradedPromise $one) => !$one->kept));
        usort($broken, fn(GradedPromise $a, GradedPromise $b) => $b->off <=> $a->off ?: $b->madeS <=> $a->madeS);

        return array_slice($broken, 0, self::WORST);
    }

    /** @return list<CalibrationPoint> of those that were said to be about as likely: how many came true */
    public function calibration(): array
    {
        $likely = array_filter($this->promises(), fn(GradedPromise $one) => $one->likely !== null);
        $points = [];
        for ($part = 1; $part < count(self::PARTS); $part++) {
            $in = array_filter(
                $likely,
                fn(GradedPromise $one) => $one->likely >= self::PARTS[$part - 1] && $one->likely < self::PARTS[$part],
            );
            $in === [] ||
                ($points[] = new CalibrationPoint(
                    array_sum(array_map(fn(GradedPromise $one) => (float) $one->likely, $in)) / count($in),
                    count(array_filter($in, fn(GradedPromise $one) => $one->kept)),
                    count($in),
                ));
        }

        return $points;
    }

    /** @return list<GradedPromise> */
    private function promises(): array
    {
        return array_merge(...array_map(fn(PromiseGrade $grade) => $grade->promises, $this->grades));
    }
}
