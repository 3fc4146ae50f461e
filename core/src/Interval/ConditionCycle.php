<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** One dip and what was ridden on it until its end, by condition; km as ridden. */
final readonly class ConditionCycle
{
    /** @var non-empty-array<string, float> km by condition, those that were ridden */
    public array $km;

    /**
     * @param array<string, float> $km by the condition's name
     * @param Condition $last in which its last kilometres were ridden
     *
     * @throws InvalidInput at `km` below 0, or where nothing was ridden; at `last` unless some of it was
     */
    public function __construct(array $km, public Condition $last, public CycleEnd $ended)
    {
        foreach ($km as $condition => $each) {
            Check::notNegative("km.{$condition}", $each);
        }
        $ridden = array_filter($km, fn(float $each) => $each > 0.0);
        $this->km = $ridden !== [] ? $ridden : throw new InvalidInput('km', 'must have something ridden');
        isset($ridden[$last->value]) || throw new InvalidInput('last', 'must be a condition that was ridden');
    }

    public static function from(Fields $in): self
    {
        $in->only('km', 'last', 'ended');
        $km = $in->nested('km', function (Fields $by): array {
            $by->only(...array_map(fn(Condition $condition) => $condition->value, Condition::cases()));

            return array_combine($by->names(), array_map($by->number(...), $by->names()));
        });

        return new self($km, $in->choice('last', Condition::class), $in->choice('ended', CycleEnd::class));
    }
}
