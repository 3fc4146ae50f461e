<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The wax cycles of a rider by condition, and what was known before of the factors and of when wax gets loud. */
final readonly class FactorsLearnInput
{
    /** How far a factor may be from its prior: 0.5 is a factor of 1.65 either way. House rule. */
    public const LOG_SD = 0.5;

    /**
     * @param list<ConditionCycle> $cycles
     * @param Factors $factors the prior medians; dry is 1
     * @param float $logSd of each
     *
     * @throws InvalidInput at `cycles` if there are none, at `factors.dry` unless 1, at `log_sd` unless above 0
     */
    public function __construct(public array $cycles, public LearnPrior $prior, public Factors $factors, public float $logSd = self::LOG_SD)
    {
        Check::notEmpty('cycles', $cycles);
        Check::positive('log_sd', $logSd);
        $factors->of(Condition::Dry) === 1.0 ||
            throw new InvalidInput('factors.dry', 'must be 1: a dry kilometre is what the others are counted in');
    }

    public static function from(Fields $in): self
    {
        $in->only('cycles', 'factors', 'log_sd', 'prior');

        return new self(
            $in->list('cycles', ConditionCycle::from(...)),
            $in->nested('prior', LearnPrior::from(...)),
            $in->has('factors') ? $in->nested('factors', Factors::from(...)) : Factors::houseRule(),
            $in->number('log_sd', self::LOG_SD),
        );
    }
}
