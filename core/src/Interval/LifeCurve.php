<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/**
 * Chain life over the interval between two dips: straight between its points in the logarithms of both, beyond them on with the
 * slope of the end. Intervals in effective km. The three points that ship are round figures of common practice, 400 km in the middle
 * of 8,000 to 10,000.
 */
final readonly class LifeCurve
{
    /** @var non-empty-list<LifePoint> the shortest interval first */
    private array $points;

    /**
     * @param list<LifePoint> $points in any order
     *
     * @throws InvalidInput at `life_points` unless two or more, at different intervals, life falling strictly with the interval
     */
    public function __construct(array $points)
    {
        count($points) >= 2 || throw new InvalidInput('life_points', 'must be two or more');
        usort($points, fn(LifePoint $a, LifePoint $b) => $a->intervalKm <=> $b->intervalKm);
        foreach (array_slice($points, 1) as $i => $point) {
            $point->intervalKm > $points[$i]->intervalKm || throw new InvalidInput('life_points', 'must be at different intervals');
            $point->lifeKm < $points[$i]->lifeKm ||
                throw new InvalidInput('life_points', 'must fall with the interval: a chain that is waxed less often lives shorter');
        }
        $this->points = $points;
    }

    public static function usual(): self
    {
        return new self([new LifePoint(200.0, 25_000.0), new LifePoint(300.0, 15_000.0), new LifePoint(400.0, 9_000.0)]);
    }

    /**
     * As it is kept: interval and life, km and km.
     *
     * @param list<array<mixed>> $pairs
     *
     * @throws InvalidInput at `life_points`
     */
    public static function ofPairs(array $pairs): self
    {
        return new self(
            array_map(function (array $pair): LifePoint {
                [$interval, $life] = [$pair[0] ?? null, $pair[1] ?? null];

                return is_numeric($interval) && is_numeric($life)
                    ? new LifePoint((float) $interval, (float) $life)
                    : throw new InvalidInput('life_points', 'must be interval and life in km, like [300, 15000]');
            }, $pairs),
        );
    }

    /** @return non-empty-list<array{float, float}> as it is kept */
    public function pairs(): array
    {
        return array_map(fn(LifePoint $point) => [$point->intervalKm, $point->lifeKm], $this->points);
    }

    /** @return non-empty-list<LifePoint> the shortest interval first */
    public function points(): array
    {
        return $this->points;
    }

    public static function in(Fields $in): self
    {
        return $in->has('life_points') ? new self($in->list('life_points', LifePoint::from(...))) : self::usual();
    }

    public function lifeKm(float $intervalKm): float
    {
        [$a, $b] = $this->segment(fn(LifePoint $end) => $intervalKm <= $end->intervalKm);

        return exp(
            log($a->lifeKm) + (log($intervalKm / $a->intervalKm) * log($b->lifeKm / $a->lifeKm)) / log($b->intervalKm / $a->intervalKm),
        );
    }

    /** Whether an interval lies beyond the points, where only the slope of the end speaks. */
    public function extrapolates(float $intervalKm): bool
    {
        return $intervalKm < $this->points[0]->intervalKm - Check::EPSILON ||
            $intervalKm > $this->points[count($this->points) - 1]->intervalKm + Check::EPSILON;
    }

    /** The longest interval with which a chain lives so long. */
    public function intervalKm(float $lifeKm): float
    {
        [$a, $b] = $this->segment(fn(LifePoint $end) => $lifeKm >= $end->lifeKm);

        return exp(log($a->intervalKm) + (log($lifeKm / $a->lifeKm) * log($b->intervalKm / $a->intervalKm)) / log($b->lifeKm / $a->lifeKm));
    }

    /**
     * @param callable(LifePoint): bool $before whether the place lies before the end of a segment
     *
     * @return array{LifePoint, LifePoint}
     */
    private function segment(callable $before): array
    {
        $last = count($this->points) - 1;
        for ($i = 1; $i < $last && !$before($this->points[$i]); $i++);

        return [$this->points[$i - 1], $this->points[$i]];
    }
}
