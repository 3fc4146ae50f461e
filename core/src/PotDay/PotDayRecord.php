<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobTurn;

/** What really became of the chains of a pot day: a chain was waxed if it went in and was hung. */
final readonly class PotDayRecord
{
    /** What was had only if it was not passed over. */
    private const HAD = [PotDayPlan::IN, PotDayPlan::RINSE, PotDayPlan::POWDER, PotDayPlan::JAR_FIRST, PotDayPlan::JAR_SECOND];

    /** What took less was warm already: house rule, ten minutes. */
    private const HEATED_S = 600;

    /** @return list<DippedThen> in the order in which they were hung */
    public static function of(JobRun $run): array
    {
        $last = [];
        $dipped = [];
        foreach ($run->turns as $turn) {
            $step = $run->steps[$turn->step];
            // Passed over, a rinse was not had and a chain did not go in; who lifted and hung it does not matter.
            if ($turn->endS === null || ($turn->answer === JobEventKind::Skip && in_array($step->code, self::HAD, true))) {
                continue;
            }
            foreach ($step->chains as $chainId) {
                $last[$chainId][$step->code] = $turn;
                if (
                    $step->code === PotDayPlan::HANG &&
                    isset($last[$chainId][PotDayPlan::IN]) &&
                    ($last[$chainId][PotDayPlan::UNDER]->said ?? null) !== WaxedSo::No->value
                ) {
                    $dipped[$chainId] = [$last[$chainId], $turn];
                } elseif ($step->code === PotDayPlan::POWDER && isset($dipped[$chainId])) {
                    $dipped[$chainId][0] = $last[$chainId];
                }
            }
        }

        return array_map(
            fn(int $chainId, array $turns) => self::dip($chainId, $turns[0], $turns[1]),
            array_keys($dipped),
            array_values($dipped),
        );
    }

    /** @return list<array{int, float}> when and how much lamp oil was added because it did not smear */
    public static function oil(JobRun $run): array
    {
        $added = [];
        foreach ($run->turns as $turn) {
            $step = $run->steps[$turn->step];
            if ($step->code === PotDayPlan::SMEAR && $turn->answer === JobEventKind::Again && $turn->endS !== null) {
                $grams = self::oilG((string) $step->about['oil_g'], $turn->round);
                $grams === null || ($added[] = [$turn->endS, $grams]);
            }
        }

        return $added;
    }

    /** How much is added when it does not smear in this round; null where more would not help. */
    public static function oilG(string $steps, int $round): ?float
    {
        $grams = explode(' ', $steps)[$round - 1] ?? '';

        return is_numeric($grams) ? (float) $grams : null;
    }

    /** What a chain took along, in g, from its mass before and after; null where one was not weighed, or it cannot have grown lighter. */
    public static function pickupG(?float $beforeG, ?float $afterG): ?float
    {
        return $beforeG === null || $afterG === null || $afterG < $beforeG ? null : $afterG - $beforeG;
    }

    /**
     * While the wax alone was heated at one power: from plugging in to the change of power or the first chain.
     *
     * @return array{int, int}|null Unix seconds; null where it never came so far
     */
    public static function heatUp(JobRun $run): ?array
    {
        $ended = [];
        foreach ($run->turns as $turn) {
            $code = $run->steps[$turn->step]->code;
            // What lies on the set wax was looked at before the plug.
            (isset($ended[PotDayPlan::PLUG_IN]) || $code === PotDayPlan::PLUG_IN) && ($ended[$code] ??= $turn->endS);
        }
        $until = array_filter([$ended[PotDayPlan::TO_LOW] ?? null, $ended[PotDayPlan::CHECK] ?? null, $ended[PotDayPlan::HEAT] ?? null]);

        return isset($ended[PotDayPlan::PLUG_IN]) && $until !== [] ? [$ended[PotDayPlan::PLUG_IN], min($until)] : null;
    }

    /** How long it took from the plug until it was hot, in seconds; null where it never came so far, or was not begun cold. */
    public static function heated(JobRun $run): ?int
    {
        $ended = [];
        foreach ($run->turns as $turn) {
            $turn->answer === JobEventKind::Done && ($ended[$run->steps[$turn->step]->code] ??= $turn->endS);
        }
        $seconds = isset($ended[PotDayPlan::PLUG_IN], $ended[PotDayPlan::HEAT])
            ? $ended[PotDayPlan::HEAT] - $ended[PotDayPlan::PLUG_IN]
            : 0;

        return $seconds >= self::HEATED_S ? $seconds : null;
    }

    /** @param array<string, JobTurn> $turns the last of each code */
    private static function dip(int $chainId, array $turns, JobTurn $hung): DippedThen
    {
        $inS = (int) $turns[PotDayPlan::IN]->endS;
        $outS = isset($turns[PotDayPlan::LIFT]) ? $turns[PotDayPlan::LIFT]->startS : $hung->startS;

        return new DippedThen(
            $chainId,
            (int) $hung->endS,
            $turns[PotDayPlan::IN]->startS,
            max(0, $outS - $inS),
            ($turns[PotDayPlan::UNDER] ?? null)?->signS,
            isset($turns[PotDayPlan::RINSE]) || isset($turns[PotDayPlan::JAR_SECOND]),
            isset($turns[PotDayPlan::POWDER]),
            ($turns[PotDayPlan::UNDER]->said ?? null) === WaxedSo::Partly->value,
        );
    }
}
