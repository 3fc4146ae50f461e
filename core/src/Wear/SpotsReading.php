<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;

/** The same instrument at several spots round the chain: the worst spot counts. */
final readonly class SpotsReading implements WearReadingInput
{
    /**
     * @param list<WearReadingInput> $spots
     *
     * @throws InvalidInput at `spots` if empty or nested, at `spots.N` if of another kind than the first
     */
    public function __construct(public array $spots)
    {
        foreach (Check::notEmpty('spots', $spots) as $index => $spot) {
            if ($spot instanceof self) {
                throw new InvalidInput("spots.{$index}.kind", 'must not be spots again');
            }
            if ($spot::class !== $spots[0]::class) {
                throw new InvalidInput("spots.{$index}.kind", 'must be of the same kind as the first spot');
            }
        }
    }

    public function result(): WearReadingResult
    {
        $results = array_map(fn(WearReadingInput $spot) => $spot->result(), $this->spots);
        usort($results, fn(WearReadingResult $a, WearReadingResult $b) => self::rank($b) <=> self::rank($a));
        $worst = $results[0];
        $best = $results[count($results) - 1];

        return $worst->withSpread($worst->valuePct === null || $best->valuePct === null ? null : $worst->valuePct - $best->valuePct);
    }

    /** @return array{float, float} */
    private static function rank(WearReadingResult $result): array
    {
        return $result->valuePct !== null ? [$result->valuePct, 0.0] : [$result->lowerPct ?? -INF, $result->upperPct ?? INF];
    }
}
