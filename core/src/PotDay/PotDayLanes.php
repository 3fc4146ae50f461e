<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobSpan;
use Dripel\Core\Guided\JobStep;

/** A pot day as lanes on one time axis: the pot, and each chain. What takes no time worth drawing is left out. */
final readonly class PotDayLanes
{
    /** The pot's own lane. */
    public const POT = 0;

    private const DRAWN = [
        PotDayPlan::JAR_FIRST => 'jars',
        PotDayPlan::JAR_SECOND => 'jars',
        'jar_dry' => 'dry',
        'rinse' => 'rinse',
        'dry' => 'dry',
        'under' => 'under',
        'lift' => 'drain',
        'set' => 'set',
        'flex' => 'flex',
    ];

    /**
     * @param list<JobStep> $steps
     * @param list<JobSpan> $spans
     *
     * @return array<int, list<PotDayBlock>> by chain; the pot's first
     */
    public static function of(array $steps, array $spans, int $nowS): array
    {
        $lanes = [self::POT => self::pot($steps, $spans, $nowS)];
        foreach ($spans as $span) {
            $code = self::DRAWN[$steps[$span->step]->code] ?? null;
            if ($code === null || $span->answer === JobEventKind::Skip) {
                continue;
            }
            foreach ($steps[$span->step]->chains as $chainId) {
                $lanes[$chainId][] = new PotDayBlock($code, $span->fromS, $span->endS, $span->done, !$span->done && $span->fromS <= $nowS);
            }
        }

        return $lanes;
    }

    /**
     * @param list<JobStep> $steps
     * @param list<JobSpan> $spans
     *
     * @return list<PotDayBlock>
     */
    private static function pot(array $steps, array $spans, int $nowS): array
    {
        $of = function (string $code) use ($steps, $spans): ?JobSpan {
            foreach ($spans as $span) {
                if ($steps[$span->step]->code === $code) {
                    return $span;
                }
            }

            return null;
        };
        [$plugged, $hot, $off] = [$of(PotDayPlan::PLUG_IN), $of(PotDayPlan::HEAT), $of(PotDayPlan::OFF)];
        if ($plugged === null || $hot === null || $off === null) {
            return [];
        }

        return [
            new PotDayBlock('heat', $plugged->endS, $hot->endS, $hot->done, $plugged->done && !$hot->done),
            new PotDayBlock('hold', $hot->endS, $off->endS, $off->done, $hot->done && !$off->done),
        ];
    }
}
