<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/**
 * What stripping so many new chains takes from the can: load by load as many as go through the jars together, each bath from the jar that
 * serves it as long as that does its cleanings, and fresh where none does.
 */
final readonly class FreshSolvent
{
    /** Chains that go through the jars together: common practice. */
    private const TOGETHER = 3;

    /**
     * @param array<int, JarState> $jars
     *
     * @return array<string, float> ml by solvent, of those that are bought
     */
    public static function of(Protocol $protocol, array $jars, int $chains): array
    {
        $fresh = [];
        while ($chains > 0) {
            $load = min($chains, self::TOGETHER);
            $chains -= $load;
            $together = $protocol->forChains($load);
            foreach (JarChoice::propose($together, $jars) as $n => $source) {
                $bath = $together->baths()[$n];
                if ($source->jarId !== null) {
                    $jars[$source->jarId] = $jars[$source->jarId]->after($load);
                } elseif ($bath->solvent?->isStocked() === true) {
                    $fresh[$bath->solvent->value] = ($fresh[$bath->solvent->value] ?? 0.0) + $bath->boughtMl();
                }
            }
        }

        return $fresh;
    }
}
