<?php

declare(strict_types=1);

namespace App\Pot;

use App\Actions\PotDay\PotDayJob;
use App\Devices\ReadTemperatures;
use App\Guided\GuidedKind;
use App\Models\GuidedJob;
use App\Models\Workshop;
use Dripel\Core\HowRight\HeatUp;

/** How long pots were said to take on the guided pot days of some time, and took: by a probe that was in the wax, else by the taps. */
final readonly class ReadHeatUps
{
    public function __construct(private ReadTemperatures $readTemperatures) {}

    /** @return list<HeatUp> in order of time */
    public function __invoke(Workshop $workshop, int $fromS, int $untilS): array
    {
        $jobs = GuidedJob::query()
            ->in($workshop)
            ->where('kind', GuidedKind::PotDay)
            ->whereNotNull('ended_at')
            ->whereBetween('begun_at', [$fromS, $untilS])
            ->orderBy('begun_at')
            ->with('taps')
            ->get();

        return array_values(array_filter(array_map($this->of(...), array_values($jobs->all()))));
    }

    /** Null where it was not waited for. */
    public function of(GuidedJob $job): ?HeatUp
    {
        $potId = PotDayJob::choices($job)->potId;
        $targetC = PotDayJob::terms($job)->pot->targetC;

        return HeatUp::of($potId, $job->run(), $this->readTemperatures->firstS($potId, $targetC, $job->started_at, (int) $job->ended_at));
    }
}
