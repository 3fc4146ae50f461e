<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;

/**
 * Jars take turns: a dirty jar is handed in, the clean one becomes the dirty one, a fresh one is filled where it stood. Common
 * practice.
 */
final readonly class JarTurns
{
    /**
     * @param array<int, JarState> $jars as they stand before
     * @param float $handedMl
     *
     * @return array<int, JarRole> what changes, by jar; empty unless all of a dirty jar is handed in and a clean one holds the same
     */
    public static function after(array $jars, int $jarId, float $handedMl): array
    {
        $jar = $jars[$jarId] ?? null;
        if ($jar === null || $jar->role !== JarRole::Dirty || $handedMl < $jar->volumeMl - Check::EPSILON) {
            return [];
        }
        foreach ($jars as $other) {
            if ($other->role === JarRole::Clean && $other->solvent === $jar->solvent && $other->volumeMl > 0.0) {
                return [$other->jarId => JarRole::Dirty, $jarId => JarRole::Clean];
            }
        }

        return [];
    }
}
