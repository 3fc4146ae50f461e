<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Model;

/**
 * How a pot of wax warms up, melts and settles; without power, how it cools. Minutes and °C, unrounded; the law is HeatCourse's.
 * Source: lumped capacitance with latent heat spread over the melting range, any textbook of heat transfer (memory).
 */
final readonly class PotHeat implements Model
{
    /** How far the curve goes where the target is never reached. */
    public const CURVE_MIN = 600.0;

    private const S_PER_MIN = 60.0;

    private const MOST_POINTS = 100_000;

    /** @throws InvalidInput at `step_min` if the way to the target takes more than 100,000 steps */
    public function __invoke(PotHeatInput $in): PotHeatResult
    {
        $course = $in->course();
        $toLiquid = $in->startC >= $in->wax->meltToC ? 0.0 : $course->secondsTo($in->startC, $in->wax->meltToC);
        $toTarget = $course->secondsTo($in->startC, $in->targetC);

        return new PotHeatResult(
            $toLiquid === null ? null : $toLiquid / self::S_PER_MIN,
            $toTarget === null ? null : $toTarget / self::S_PER_MIN,
            $course->equilibriumC(),
            $this->curve($in, $course, $toTarget === null ? self::CURVE_MIN : $toTarget / self::S_PER_MIN),
        );
    }

    public function compute(Fields $input): array
    {
        return $this(PotHeatInput::from($input))->toArray();
    }

    /** @return list<HeatPoint> from 0 to the first step that is not before the end */
    private function curve(PotHeatInput $in, HeatCourse $course, float $untilMin): array
    {
        $steps = (int) min(self::MOST_POINTS + 1, ceil($untilMin / $in->stepMin - Check::EPSILON));
        $steps <= self::MOST_POINTS || throw new InvalidInput('step_min', 'makes a curve of more than 100,000 points; take a longer step');
        $points = [];
        for ($i = 0; $i <= $steps; $i++) {
            $celsius = $course->after($in->startC, $i * $in->stepMin * self::S_PER_MIN);
            $points[] = new HeatPoint($i * $in->stepMin, $celsius, $in->wax->liquidFraction($celsius));
        }

        return $points;
    }
}
