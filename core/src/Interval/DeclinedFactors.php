<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** Learned factors of conditions that somebody declined, one a condition, the newest last. */
final readonly class DeclinedFactors
{
    /** @param array<string, float> $factors by condition */
    private function __construct(public array $factors) {}

    /** @param array<mixed> $pairs of a condition and its factor, as a setting keeps them; what is none is left out */
    public static function ofPairs(array $pairs): self
    {
        $factors = [];
        foreach ($pairs as $pair) {
            if (is_array($pair) && is_string($pair[0] ?? null) && is_numeric($pair[1] ?? null) && Condition::tryFrom($pair[0])) {
                $factors[$pair[0]] = (float) $pair[1];
            }
        }

        return new self($factors);
    }

    public function of(Condition $condition): ?float
    {
        return $this->factors[$condition->value] ?? null;
    }

    public function with(Condition $condition, float $factor): self
    {
        return new self([...array_diff_key($this->factors, [$condition->value => 0]), $condition->value => $factor]);
    }

    /** Of which one was declined last; null: none was. */
    public function newest(): ?Condition
    {
        $condition = array_key_last($this->factors);

        return $condition === null ? null : Condition::from($condition);
    }

    /** @return list<array{string, float}> */
    public function pairs(): array
    {
        return array_map(
            fn(string $condition, float $factor) => [$condition, $factor],
            array_keys($this->factors),
            array_values($this->factors),
        );
    }
}
