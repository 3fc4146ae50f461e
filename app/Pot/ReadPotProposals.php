<?php

declare(strict_types=1);

namespace App\Pot;

use App\Actions\Pot\CalibratePot;
use App\Actions\PotDay\PotDayJob;
use App\Guided\GuidedKind;
use App\Logbook\ReadBook;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Models\Workshop;
use Dripel\Core\HowRight\GradeHeat;
use Dripel\Core\HowRight\HeatUp;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Pot\PotCalibrateResult;
use Dripel\Core\Pot\PotFacts;

/** What the last heat-up of each pot asks to be known better: only where its promise was broken and a probe was in the wax. */
final readonly class ReadPotProposals
{
    /** So many pot days back one of a pot is looked for. */
    private const LAST = 20;

    /** What differs by less is taken already: parts of its power, and W/K. */
    private const ALIKE = 0.005;

    public function __construct(private ReadHeatUps $readHeatUps, private ReadBook $readBook, private CalibratePot $calibratePot) {}

    /** @return list<PotProposal> one a pot */
    public function __invoke(Workshop $workshop): array
    {
        $settings = $this->readBook->settings($workshop);
        $last = [];
        $jobs = GuidedJob::query()
            ->in($workshop)
            ->where('kind', GuidedKind::PotDay)
            ->whereNotNull('ended_at')
            ->whereNotNull('begun_at')
            ->orderByDesc('begun_at')
            ->limit(self::LAST)
            ->with('taps')
            ->get();
        foreach ($jobs as $job) {
            $last[PotDayJob::choices($job)->potId] ??= $job;
        }

        return array_values(array_filter(array_map(fn(GuidedJob $job) => $this->of($job, $settings), $last)));
    }

    private function of(GuidedJob $job, Settings $settings): ?PotProposal
    {
        $heatUp = $this->readHeatUps->of($job);
        $pot = Pot::query()->live()->whereKey($heatUp?->potId)->first();
        if (
            $heatUp === null ||
            $pot === null ||
            self::kept($heatUp) ||
            !CalibratePot::logged($job) ||
            $settings->text(SettingKey::PotFitDeclined, $pot->id) === $job->id
        ) {
            return null;
        }
        $found = $this->calibratePot->fromPotDay($pot, $job);

        return self::isKnown(PotFacts::of($settings, $pot->id), $found) ? null : new PotProposal($heatUp, $job->id, $found);
    }

    private static function kept(HeatUp $one): bool
    {
        return GradeHeat::of([$one], $one->pluggedS, $one->pluggedS + 1)[0]->kept;
    }

    private static function isKnown(PotFacts $facts, PotCalibrateResult $found): bool
    {
        return abs($facts->efficiency - $found->efficiency) < self::ALIKE && abs($facts->lossWPerK - $found->lossWPerK) < self::ALIKE;
    }
}
