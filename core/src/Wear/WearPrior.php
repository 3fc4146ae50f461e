<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;

/** What is known of a kind of chain before one is measured: its rate log-normal in % per 1000 km, its first elongation normal in %. */
final readonly class WearPrior
{
    public function __construct(public float $rateMedian, public float $rateLogSd, public float $initialMean, public float $initialSd)
    {
        Check::positive('rate_pct_per_1000km.median', $rateMedian);
        Check::positive('rate_pct_per_1000km.log_sd', $rateLogSd);
        Check::finite('initial_pct.mean', $initialMean);
        Check::positive('initial_pct.sd', $initialSd);
    }

    public static function from(Fields $in): self
    {
        $in->only('rate_pct_per_1000km', 'initial_pct');
        [$median, $logSd] = $in->nested('rate_pct_per_1000km', fn(Fields $rate): array => [$rate->only('median', 'log_sd')->number('median'), $rate->number('log_sd')]);
        [$mean, $sd] = $in->nested('initial_pct', fn(Fields $initial): array => [$initial->only('mean', 'sd')->number('mean'), $initial->number('sd')]);

        return new self($median, $logSd, $mean, $sd);
    }
}
