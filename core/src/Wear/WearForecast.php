<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Model;

/**
 * How worn a chain is, how sure that is, and when its limit comes, from coarse and mixed readings: e(x) = e0 + r·x. With a prior
 * Bayes' rule by quadrature (WearPosterior), without one maximum likelihood (WearFit). Deterministic. km, %, unrounded.
 * Source: any textbook of Bayesian statistics; censored Gaussian regression as R's survival::survreg has it.
 */
final readonly class WearForecast implements Model
{
    private const KM = 1000.0;

    /** From so likely on it is measured again, and retired: house rules. */
    private const MEASURE = 0.1;

    private const RETIRE = 0.5;

    /** @throws InvalidInput at `readings` where there is no prior and no finite maximum, or no chain can be all that was read */
    public function __invoke(WearForecastInput $in): WearForecastResult
    {
        return $this->from($in, self::belief($in));
    }

    /** What is believed, to be asked for more than one figure. */
    public static function belief(WearForecastInput $in): WearBelief
    {
        return $in->prior === null ? WearFit::of($in->readings) : WearPosterior::of($in->readings, $in->prior);
    }

    public function from(WearForecastInput $in, WearBelief $belief): WearForecastResult
    {
        $now = $in->nowKm / self::KM;
        $past = $belief->past($now, $in->limitPct);
        $until = fn(float $q): ?float => self::km(
            $belief->firstPast($now, $now + $in->horizonKm / self::KM, $in->limitPct, $q),
            $in->nowKm,
        );
        // The earliest of ten cases: from then on it is to be measured.
        $p10 = $until(self::MEASURE);

        return new WearForecastResult(
            $belief->rateMean(),
            $belief->rateQuantile(0.1),
            $belief->rateQuantile(0.5),
            $belief->rateQuantile(0.9),
            $belief->initialMean(),
            $belief->mean($now),
            $belief->quantile($now, 0.1),
            $belief->quantile($now, 0.9),
            $p10,
            $until(0.5),
            $until(0.9),
            $past,
            $p10 === null ? null : $in->nowKm + $p10,
            self::verdict($in, $past),
            $belief instanceof WearFit ? $belief->standardErrors() : null,
        );
    }

    public function compute(Fields $input): array
    {
        return $this(WearForecastInput::from($input))->toArray();
    }

    private static function km(?float $x, float $nowKm): ?float
    {
        return $x === null ? null : max(0.0, self::KM * $x - $nowKm);
    }

    private static function verdict(WearForecastInput $in, float $past): WearVerdict
    {
        $latestKm = max([-INF, ...array_map(fn(ForecastReading $reading) => $reading->km, $in->readings)]);
        $says = array_filter(
            $in->readings,
            fn(ForecastReading $reading) => $reading->km >= $latestKm - Check::EPSILON && $reading->reaches($in->limitPct),
        );

        return match (true) {
            $says !== [], $past >= self::RETIRE => WearVerdict::Retire,
            $past >= self::MEASURE => WearVerdict::Measure,
            default => WearVerdict::Keep,
        };
    }
}
