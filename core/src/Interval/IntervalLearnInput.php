<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The wax cycles of a bike, what was known before, and how many may turn noisy before the interval is over. */
final readonly class IntervalLearnInput
{
    /** One cycle in five may be heard: house rule. */
    public const QUANTILE = 0.2;

    /**
     * @param list<WaxCycle> $cycles
     *
     * @throws InvalidInput at `cycles` without a prior, unless two of them ended noisy at different km; at `quantile` unless between 0 and
     * 1
     */
    public function __construct(public array $cycles, public ?LearnPrior $prior, public float $quantile = self::QUANTILE)
    {
        ($quantile > 0.0 && $quantile < 1.0) || throw new InvalidInput('quantile', 'must be between 0 and 1');
        if ($prior === null) {
            Check::notEmpty('cycles', $cycles);
            $noisy = array_unique(array_map(fn(WaxCycle $cycle) => $cycle->km, $this->noises()), SORT_NUMERIC);
            count($noisy) >= 2 ||
                throw new InvalidInput('cycles', 'must hold two that ended noisy, at different km, where there is no prior');
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('cycles', 'prior', 'quantile');

        return new self(
            $in->list('cycles', WaxCycle::from(...)),
            $in->nestedOrNull('prior', LearnPrior::from(...)),
            $in->number('quantile', self::QUANTILE),
        );
    }

    /** @return list<WaxCycle> */
    public function noises(): array
    {
        return array_values(array_filter($this->cycles, fn(WaxCycle $cycle) => $cycle->ended === CycleEnd::Noise));
    }
}
