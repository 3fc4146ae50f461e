<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** How many kilometres of wax one ridden kilometre takes, by condition. All above 0; the defaults are house rules. */
final readonly class Factors
{
    private const HOUSE_RULE = ['indoor' => 0.8, 'dry' => 1.0, 'dusty' => 1.5, 'damp' => 1.5, 'wet' => 2.5, 'muddy' => 3.5];

    /** @param array<string, float> $byCondition */
    private function __construct(private array $byCondition) {}

    public static function houseRule(): self
    {
        return new self(self::HOUSE_RULE);
    }

    /** @throws InvalidInput at the condition's name unless above 0 */
    public function with(Condition $condition, float $factor): self
    {
        return new self([$condition->value => Check::positive($condition->value, $factor)] + $this->byCondition);
    }

    public static function from(Fields $in): self
    {
        $in->only(...array_keys(self::HOUSE_RULE));
        $factors = self::houseRule();
        foreach ($in->names() as $name) {
            $factors = $factors->with(Condition::from($name), $in->number($name));
        }

        return $factors;
    }

    public function of(Condition $condition): float
    {
        return $this->byCondition[$condition->value];
    }

    public function isHouseRule(Condition $condition): bool
    {
        return $this->of($condition) === self::HOUSE_RULE[$condition->value];
    }

    /** @return array<string, float> by the condition's name */
    public function toArray(): array
    {
        return array_replace(self::HOUSE_RULE, $this->byCondition);
    }
}
