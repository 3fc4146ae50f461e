<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** What is known before any cycle: the median in km and the shape, both normal in the logarithm. */
final readonly class LearnPrior
{
    /** @throws InvalidInput at the field unless above 0 */
    public function __construct(public float $medianKm, public float $logSd, public float $shapeMedian, public float $shapeLogSd)
    {
        Check::positive('median_km', $medianKm);
        Check::positive('log_sd', $logSd);
        Check::positive('shape_median', $shapeMedian);
        Check::positive('shape_log_sd', $shapeLogSd);
    }

    public static function from(Fields $in): self
    {
        $in->only('median_km', 'log_sd', 'shape_median', 'shape_log_sd');

        return new self($in->number('median_km'), $in->number('log_sd'), $in->number('shape_median'), $in->number('shape_log_sd'));
    }
}
