<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Wear\BikeWear;
use Dripel\Core\Wear\WorkshopWear;

/** What interval a bike is advised, from how its own chains wear and when they get loud. km. */
final readonly class BikeAdvice
{
    /** More often nobody heats a pot: house rule. */
    public const FLOOR_KM = 100.0;

    /** Figures closer together than this are the same advice: house rule, in parts of the interval. */
    private const SAME = 0.05;

    private function __construct(
        public IntervalAdviseInput $input,
        public IntervalAdviseResult $result,
        public BikeWear $wear,
        public float $intervalKm,
    ) {}

    /**
     * Null while its chains were not measured enough to say anything of their wear, and none was ever heard.
     *
     * @param float|null $targetLifeKm null: what the curve lets expect of the middle school
     */
    public static function of(BikeWear $wear, LifeCurve $curve, ?float $targetLifeKm, ?LearnedByEar $learned = null): ?self
    {
        if (!$wear->enough && $learned === null) {
            return null;
        }
        $input = new IntervalAdviseInput(
            IntervalSchool::Long->km(),
            $learned?->result->intervalKm,
            $wear->enough ? $targetLifeKm ?? self::usualLifeKm($curve) : null,
            1.0 / $wear->factor(),
            $curve,
        );

        $result = (new IntervalAdvise())($input);

        return new self($input, $result, $wear, max(self::FLOOR_KM, $result->intervalKm));
    }

    /** Of a bike of the logbook: its own chains, what is wanted of them, and when they get loud. */
    public static function ofBike(Book $book, WorkshopWear $wear, int $bikeId, ?LearnedByEar $learned): ?self
    {
        return self::of($wear->ofBike($bikeId), $book->settings->lifeCurve(), $book->settings->targetLifeKm($bikeId), $learned);
    }

    /** Whether it lies where no life point was measured, so that only the slope of the end speaks. */
    public function outside(): bool
    {
        return $this->input->curve->extrapolates($this->intervalKm);
    }

    /** Whether so often a pot would have to be heated that nobody does: the floor is advised instead. */
    public function floored(): bool
    {
        return $this->intervalKm > $this->result->intervalKm;
    }

    /** What a chain lives that is waxed by the middle school. */
    public static function usualLifeKm(LifeCurve $curve): float
    {
        return $curve->lifeKm(Settings::INTERVAL_KM);
    }

    /** How long a chain of the bike would live so. */
    public function lifeKm(): float
    {
        return $this->input->lifeFactor * $this->input->curve->lifeKm($this->intervalKm);
    }

    /** Whether an interval is what is advised, near enough. */
    public function is(?float $intervalKm): bool
    {
        return $intervalKm !== null && abs($intervalKm / $this->intervalKm - 1.0) <= self::SAME;
    }
}
