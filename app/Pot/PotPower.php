<?php

declare(strict_types=1);

namespace App\Pot;

use App\Actions\PotDay\PotDayJob;
use App\Guided\GuidedKind;
use App\Models\GuidedJob;
use App\Models\Workshop;
use Dripel\Core\Pot\PotFacts;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PowerKnown;
use Dripel\Core\Pot\UsualHeat;
use Dripel\Core\PotDay\PotDayRecord;
use Dripel\Core\PotDay\PowerProgram;

/**
 * How strong a pot is on low and on high: as its owner says, else by the minutes that it took the last time, else as such a pot usually
 * is. So one whose plate nobody read is planned all the same.
 */
final readonly class PotPower
{
    private const LOOKED_BACK = 20;

    private function __construct(public float $watts, public PowerKnown $known) {}

    /** @param PotHeatInput $cold with its wax as it would be heated; its power is not looked at */
    public static function of(Workshop $workshop, int $potId, PotFacts $facts, bool $high, PotHeatInput $cold): self
    {
        $said = $high ? $facts->highW : $facts->lowW;
        if ($said !== null) {
            return new self($said, PowerKnown::Said);
        }
        $minutes = self::lastMinutes($workshop, $potId, $high, $cold);
        $watts = UsualHeat::powerW($cold, $minutes ?? UsualHeat::minutes($facts->kind, $high, $cold->waxG));

        return new self(
            match (true) {
                $high && $facts->lowW !== null => max($watts, $facts->lowW),
                !$high && $facts->highW !== null => min($watts, $facts->highW),
                default => $watts,
            },
            $minutes === null ? PowerKnown::Usual : PowerKnown::LastTime,
        );
    }

    /** How long it took the last time on this setting, for so much wax as there is now. */
    private static function lastMinutes(Workshop $workshop, int $potId, bool $high, PotHeatInput $cold): ?float
    {
        $jobs = GuidedJob::query()
            ->in($workshop)
            ->where('kind', GuidedKind::PotDay)
            ->whereNotNull('begun_at')
            ->with('taps')
            ->orderByDesc('started_at')
            ->limit(self::LOOKED_BACK)
            ->get();
        foreach ($jobs as $job) {
            $choices = PotDayJob::choices($job);
            $heated =
                $choices->potId !== $potId || ($choices->program !== PowerProgram::Low) !== $high
                    ? null
                    : PotDayRecord::heated($job->run());
            if ($heated !== null) {
                return UsualHeat::minutesAsThen($heated, PotDayJob::terms($job)->pot->waxG, $cold->waxG);
            }
        }

        return null;
    }
}
