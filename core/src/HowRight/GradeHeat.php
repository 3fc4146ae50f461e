<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

/** Pots against the minutes that they were said to take: within a fifth of them, and never closer than five minutes. House rule. */
final readonly class GradeHeat
{
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
            $promises[] = GradedPromise::about(
                PromiseKind::Heat,
                $one->pluggedS,
                $one->saidMin,
                $one->cameMin,
                self::LEAST_MIN,
                potId: $one->potId,
            );
        }
        usort($promises, fn(GradedPromise $a, GradedPromise $b) => $a->madeS <=> $b->madeS);

        return $promises;
    }
}
