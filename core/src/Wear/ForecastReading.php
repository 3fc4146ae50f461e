<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** One reading of a chain at so many km: a value with its uncertainty, or an interval open to one side at most. km, %. */
final readonly class ForecastReading
{
    /** How sharp the edge of an interval is where nobody says: house rule. */
    public const EDGE_PCT = 0.03;

    /** No chain is read finer, whatever its gauge is said to do: house rule. */
    private const FINEST_PCT = 1e-3;

    /** @throws InvalidInput at the field: km not below 0, sigma above 0, lower below upper, one of them at least */
    private function __construct(
        public float $km,
        public ?float $valuePct,
        public ?float $lowerPct,
        public ?float $upperPct,
        public float $sigmaPct,
    ) {
        Check::notNegative('km', $km);
        Check::positive('sigma_pct', $sigmaPct);
        $valuePct === null || Check::finite('value_pct', $valuePct);
        $lowerPct === null || Check::finite('lower_pct', $lowerPct);
        $upperPct === null || Check::finite('upper_pct', $upperPct);
        $lowerPct === null || $upperPct === null || $lowerPct < $upperPct || throw new InvalidInput('upper_pct', 'must be above lower_pct');
    }

    public static function of(float $km, WearReadingResult $reading): self
    {
        return $reading->valuePct !== null
            ? self::exact($km, $reading->valuePct, max(self::FINEST_PCT, $reading->sigmaPct ?? self::EDGE_PCT))
            : self::interval($km, $reading->lowerPct, $reading->upperPct);
    }

    public static function exact(float $km, float $valuePct, float $sigmaPct): self
    {
        return new self($km, $valuePct, null, null, $sigmaPct);
    }

    public static function interval(float $km, ?float $lowerPct, ?float $upperPct, float $sigmaPct = self::EDGE_PCT): self
    {
        $lowerPct !== null ||
            $upperPct !== null ||
            throw new InvalidInput('lower_pct', 'must be given, or upper_pct: an interval open to both sides says nothing');

        return new self($km, null, $lowerPct, $upperPct, $sigmaPct);
    }

    public static function from(Fields $in): self
    {
        $in->only('km', 'value_pct', 'lower_pct', 'upper_pct', 'sigma_pct');
        $bounds = $in->has('lower_pct') || $in->has('upper_pct');
        if ($in->has('value_pct')) {
            $bounds && throw new InvalidInput('value_pct', 'must not stand beside lower_pct or upper_pct');

            return self::exact($in->number('km'), $in->number('value_pct'), $in->number('sigma_pct'));
        }
        $bounds || throw new InvalidInput('value_pct', 'must be given, or lower_pct and upper_pct');
        $bound = fn(string $name): ?float => $in->has($name) ? $in->numberOrNull($name) : null;

        return self::interval($in->number('km'), $bound('lower_pct'), $bound('upper_pct'), $in->number('sigma_pct', self::EDGE_PCT));
    }

    /** Whether this reading alone says that a limit is reached. */
    public function reaches(float $limitPct): bool
    {
        return (new WearReadingResult($this->valuePct, $this->sigmaPct, $this->lowerPct, $this->upperPct))->reaches($limitPct);
    }
}
