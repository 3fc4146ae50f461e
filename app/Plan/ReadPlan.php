<?php

declare(strict_types=1);

namespace App\Plan;

use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\PlannedRide;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Support\AppClock;
use App\Support\CacheMemo;
use App\Wear\ReadWear;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PassedPot;
use Dripel\Core\Plan\PlannedRide as Planned;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Pot\PotFacts;

/** The weeks ahead of a workshop: the one plan that every page reads, with what was worked out before. */
final class ReadPlan
{
    /** @var array<string, list<PlannedRide>> by workshop, revision and day */
    private array $rides = [];

    public function __construct(
        private readonly ReadBook $readBook,
        private readonly ReadWear $readWear,
        private readonly ReadBaths $readBaths,
        private readonly OpenJobs $openJobs,
        private readonly CacheMemo $memo,
        private readonly AppClock $clock,
    ) {}

    /** @param list<OpenJob>|null $jobs where they were read already */
    public function __invoke(Workshop $workshop, ?array $jobs = null): WorkshopPlan
    {
        return $this->asOf($workshop, $this->clock->unixS(), $jobs ?? ($this->openJobs)($workshop));
    }

    /** The pot day of yesterday, if the plan of then asked for one and nobody held it. */
    public function passed(Workshop $workshop): ?PassedPot
    {
        $book = ($this->readBook)($workshop);
        $nowS = $this->clock->unixS();
        $terms = PlanTerms::of($book, $this->capacity($workshop), $nowS);
        $jobs = ($this->openJobs)($workshop);
        // A pot that is at work since then is held, only late.
        $held = array_filter($jobs, fn(OpenJob $job) => $job->booked()?->begun === true) !== [];
        $thenS = PassedPot::asOfS(LocalDay::of($nowS, $book->settings->zone()), $terms);

        return $held ? null : PassedPot::of($book, $this->asOf($workshop, $thenS, $jobs));
    }

    /** @param list<OpenJob> $jobs */
    private function asOf(Workshop $workshop, int $atS, array $jobs): WorkshopPlan
    {
        $book = ($this->readBook)($workshop);
        $zone = $book->settings->zone();

        return WorkshopPlan::of(
            $book,
            Rail::all($book, $atS, $zone, ($this->readWear)($workshop, $atS)),
            PlanTerms::of($book, $this->capacity($workshop), $atS),
            $this->planned($workshop, LocalDay::of($atS, $zone)),
            $atS,
            $zone,
            array_values(array_filter(array_map(fn(OpenJob $job) => $job->booked(), $jobs))),
            $this->memo->in($workshop),
        );
    }

    /** One bike, and how long its wax will do: for who asks for nothing else of the plan. */
    public function rail(Workshop $workshop, int $bikeId): Rail
    {
        $book = ($this->readBook)($workshop);
        $zone = $book->settings->zone();
        $nowS = $this->clock->unixS();

        return Rail::ahead(
            $book,
            $bikeId,
            $this->planned($workshop, LocalDay::of($nowS, $zone)),
            $nowS,
            $zone,
            ($this->readWear)($workshop, $nowS),
        );
    }

    /** @return list<Rail> every bike as it stands, without what it will be ridden */
    public function rails(Workshop $workshop): array
    {
        $book = ($this->readBook)($workshop);
        $nowS = $this->clock->unixS();

        return Rail::all($book, $nowS, $book->settings->zone(), ($this->readWear)($workshop, $nowS));
    }

    /** @return list<Planned> */
    private function planned(Workshop $workshop, LocalDay $from): array
    {
        return array_map(fn(PlannedRide $ride) => $ride->toCore(), $this->rides($workshop, $from->date));
    }

    /** @return list<PlannedRide> that are still to come, the next first */
    public function rides(Workshop $workshop, ?string $from = null): array
    {
        $from ??= LocalDay::of($this->clock->unixS(), $this->readBook->settings($workshop)->zone())->date;

        return $this->rides["{$workshop->id} {$workshop->revision} {$from}"] ??= array_values(
            PlannedRide::query()
                ->in($workshop)
                ->live()
                ->where('until_date', '>=', $from)
                ->orderBy('from_date')
                ->orderBy('id')
                ->get()
                ->all(),
        );
    }

    /** Chains that the largest pot takes at once, as full as it is; null: no pot is known. */
    public function capacity(Workshop $workshop): ?int
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
