<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\Translator;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\LearnedCondition;
use Dripel\Core\Interval\LearnedConditions;

/**
 * What a kilometre in each condition costs the rider, as it was learned by ear.
 *
 * @phpstan-type LearnedRow array{
 *     condition: value-of<Condition>,
 *     name: string,
 *     now: string,
 *     learned: string,
 *     band: array{low: float, high: float, at: float, now: float},
 *     text: string,
 *     offer: string|null,
 * }
 * @phpstan-type LearnedView array{text: string, rows: list<LearnedRow>}
 */
final readonly class LearnedProps
{
    /** Factors are drawn from nought to this, or as far as the widest band. */
    private const TOP = 4.0;

    public function __construct(private Translator $translator) {}

    /** @return LearnedView */
    public function of(LearnedConditions $learned): array
    {
        $top = max([self::TOP, ...array_map(fn(LearnedCondition $one) => min(8.0, ceil($one->learned->p90)), $learned->conditions)]);

        return [
            'text' => trans_choice('wear.learned.text', $learned->noises, ['quiet' => (string) $learned->quiet]),
            'rows' => array_map(fn(LearnedCondition $one) => $this->row($one, $top), $learned->conditions),
        ];
    }

    /** @return LearnedRow */
    private function row(LearnedCondition $one, float $top): array
    {
        $share = fn(float $factor): float => min(1.0, $factor / $top);
        $factor = $this->number($one->factor());

        return [
            'condition' => $one->condition->value,
            'name' => $this->translator->say("chain.condition.{$one->condition->value}"),
            'now' => $this->number($one->now),
            'learned' => $this->translator->say('wear.learned.band', [
                'factor' => $this->number($one->learned->factor),
                'low' => $this->number($one->learned->p10),
                'high' => $this->number($one->learned->p90),
            ]),
            'band' => [
                'low' => $share($one->learned->p10),
                'high' => $share($one->learned->p90),
                'at' => $share($one->learned->factor),
                'now' => $share($one->now),
            ],
            'text' => match (true) {
                $one->offered() => $this->translator->say('wear.learned.offered', ['factor' => $factor, 'now' => $this->number($one->now)]),
                $one->settled && $one->isDeclined() => $this->translator->say('wear.learned.declined', ['factor' => $factor]),
                $one->settled => $this->translator->say('wear.learned.same'),
                $one->moreNoises === null => $this->translator->say('wear.learned.nothing'),
                default => trans_choice('wear.learned.more', $one->moreNoises),
            },
            'offer' => $one->offered() ? $factor : null,
        ];
    }

    private function number(float $factor): string
    {
        return $this->translator->quantities->number($factor, 1);
    }
}
