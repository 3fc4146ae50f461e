<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

/** Pots against the minutes that they were said to take: within a fifth of them, and never closer than five minutes. House rule. */
final readonly class GradeHeat
{
    private const SHARE = 0.2;

    private const LEAST_MIN = 5.0;

    /**
     * @param list<HeatUp> $heatUps
     *
     * @return list<GradedPromise> in the order in which they were made
     */
    public static function of(array $heatUps, int $fromS, int $nowS): array
    {
        $promises = [];
        foreach ($heatUps as $one) {
            if ($one->pluggedS < $fromS || $one->pluggedS >= $nowS) {
                continue;
            }
            $within = max(self::LEAST_MIN, self::SHARE * $one->saidMin);
            $kept = abs($one->cameMin - $one->saidMin) <= $within;
            $promises[] = new GradedPromise(
                PromiseKind::Heat,
                $one->pluggedS,
                null,
                null,
                $kept,
                $one->saidMin,
                $one->cameMin,
                low: $one->saidMin - $within,
                high: $one->saidMin + $within,
                off: $kept ? 0.0 : abs($one->cameMin - $one->saidMin) / max($within, $one->saidMin),
                potId: $one->potId,
            );
        }
        usort($promises, fn(GradedPromise $a, GradedPromise $b) => $a->madeS <=> $b->madeS);

        return $promises;
    }
}
