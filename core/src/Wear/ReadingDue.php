<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Logbook\ChainState;

/** Whether a chain is due to be measured: it may be past its limit, and has run on since it was last looked at. */
final readonly class ReadingDue
{
    /** A reading is good for so many km: house rule. */
    private const FRESH_KM = 100.0;

    public static function of(ChainState $chain, ?WearForecastResult $forecast): bool
    {
        return $forecast !== null &&
            !$chain->retired() &&
            !$chain->wear->pastLimit &&
            $forecast->verdict !== WearVerdict::Keep &&
            ($chain->wear->atKm === null || $chain->km->km - $chain->wear->atKm->km >= self::FRESH_KM);
    }
}
