<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/**
 * Which jar serves which bath if nobody says otherwise: the dirty jar takes the first dirt, the clean jar the second bath,
 * and whatever follows is fresh and goes into the waste can. Spent jars, those that stand to settle and those with too little are left out.
 */
final readonly class JarChoice
{
    /**
     * @param array<int, JarState> $jars
     * @param list<int> $busy jars that another job has open
     *
     * @return list<BathSource> one for each bath
     */
    public static function propose(Protocol $protocol, array $jars, array $busy = []): array
    {
        $free = array_filter($jars, fn(JarState $jar) => !in_array($jar->jarId, $busy, true) && !$jar->spent() && $jar->settlingS === null);
        $baths = $protocol->baths();
        [$sources, $done, $poured] = [[], [], []];
        foreach ($baths as $bath) {
            $solvent = $bath->solvent ?? Solvent::Water;
            $nth = $done[$solvent->value] = ($done[$solvent->value] ?? 0) + 1;
            $ofIt = count(array_filter($baths, fn(ProtocolStep $other) => $other->solvent === $solvent));
            $dirty = self::find($free, JarRole::Dirty, $bath);
            // A clean jar that takes the first dirt is clean no longer, unless one bath is all there is.
            $jar = match ($nth) {
                1 => $dirty ?? ($ofIt === 1 ? self::find($free, JarRole::Clean, $bath) : null),
                2 => self::find($free, JarRole::Clean, $bath),
                default => null,
            };
            // What is in a scrubber box on the bike is not poured back.
            if ($bath->kind !== StepKind::Scrub && $jar !== null) {
                $sources[] = BathSource::jar($jar->jarId, $jar->volumeMl, $jar->greaseG, $jar->flashC, $jar->boilingC);
                continue;
            }
            // What is poured off first decides what an empty can is for: solvents are not mixed.
            $cans = array_filter($free, fn(JarState $can) => ($poured[$can->jarId] ?? $solvent) === $solvent);
            $into = $solvent->isStocked() ? self::waste($cans, $solvent) : null;
            $into === null || ($poured[$into] = $solvent);
            $sources[] = BathSource::fresh($into);
        }

        return $sources;
    }

    /** @param array<int, JarState> $jars */
    private static function find(array $jars, JarRole $role, ProtocolStep $bath): ?JarState
    {
        foreach ($jars as $jar) {
            if ($jar->role === $role && $jar->solvent === $bath->solvent && $jar->volumeMl >= (float) $bath->volumeMl) {
                return $jar;
            }
        }

        return null;
    }

    /** @param array<int, JarState> $jars a can that holds the same, else an empty one */
    private static function waste(array $jars, Solvent $solvent): ?int
    {
        $cans = array_filter(
            $jars,
            fn(JarState $jar) => $jar->role === JarRole::Waste && ($jar->solvent === $solvent || $jar->solvent === null),
        );
        usort($cans, fn(JarState $a, JarState $b) => ($b->solvent === $solvent) <=> ($a->solvent === $solvent));

        return ($cans[0] ?? null)?->jarId;
    }
}
