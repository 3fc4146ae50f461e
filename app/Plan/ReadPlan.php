<?php

declare(strict_types=1);

namespace App\Plan;

use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\PlannedRide;
use App\Models\Workshop;
use App\Pot\PotFacts;
use App\Pot\ReadBaths;
use App\Support\AppClock;
use App\Support\CacheMemo;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;

/** The weeks ahead of a workshop: the one plan that every page reads, with what was worked out before. */
final readonly class ReadPlan
{
    public function __construct(
        private ReadBook $readBook,
        private ReadBaths $readBaths,
        private OpenJobs $openJobs,
        private CacheMemo $memo,
        private AppClock $clock,
    ) {}

    /** @param list<OpenJob>|null $jobs where they were read already */
    public function __invoke(Workshop $workshop, ?array $jobs = null): WorkshopPlan
    {
        $book = ($this->readBook)($workshop);
        $nowS = $this->clock->unixS();
        $zone = $book->settings->zone();

        return WorkshopPlan::of(
            $book,
            Rail::all($book, $nowS, $zone),
            PlanTerms::of($book, $this->capacity($workshop), $nowS),
            array_map(fn(PlannedRide $ride) => $ride->toCore(), $this->rides($workshop)),
            $nowS,
            $zone,
            array_values(array_filter(array_map(fn(OpenJob $job) => $job->booked(), $jobs ?? ($this->openJobs)($workshop)))),
            $this->memo,
        );
    }

    /** @return list<PlannedRide> that are still to come, the next first */
    public function rides(Workshop $workshop): array
    {
        $today = LocalDay::of($this->clock->unixS(), $this->readBook->settings($workshop)->zone())->date;

        return array_values(
            PlannedRide::query()
                ->in($workshop)
                ->live()
                ->where('until_date', '>=', $today)
                ->orderBy('from_date')
                ->orderBy('id')
                ->get()
                ->all(),
        );
    }

    /** Chains that the largest pot takes at once, as full as it is; null: no pot is known. */
    private function capacity(Workshop $workshop): ?int
    {
        $settings = $this->readBook->settings($workshop);
        $most = null;
        foreach (($this->readBaths)($workshop) as $potId => $bath) {
            if ($bath->ledger !== null) {
                $most = max($most ?? 1, PotFacts::of($settings, $potId)->chainsAtOnce($bath->ledger->waxG));
            }
        }

        return $most;
    }
}
