<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use DateTimeZone;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\WearForecastResult;

/** All that Next goes by, at one instant. */
final readonly class NextInput
{
    public LocalDay $today;

    /**
     * @param list<Rail> $rails of the same logbook and instant
     * @param list<OpenJob> $jobs
     * @param array<int, JarState> $jars
     * @param array<int, BathState> $baths
     * @param array<int, WearForecastResult> $forecasts by chain
     * @param int $ridesIn ride files that came in by themselves
     */
    public function __construct(
        public Book $book,
        public array $rails,
        public int $nowS,
        public DateTimeZone $zone,
        public WorkshopPlan $plan,
        public array $jobs = [],
        public array $jars = [],
        public array $baths = [],
        public array $forecasts = [],
        public int $ridesIn = 0,
        /** Null: everybody's. */
        public ?Whose $whose = null,
    ) {
        $this->today = LocalDay::of($nowS, $zone);
    }

    /** @return list<string> local days of pot days that were accepted */
    public function accepted(): array
    {
        return array_values(
            array_map(
                fn(OpenJob $job) => LocalDay::of((int) $job->dueS, $this->zone)->date,
                array_filter($this->jobs, fn(OpenJob $job) => $job->planned && $job->dueS !== null),
            ),
        );
    }

    /** Whether a guided job speaks for a chain. */
    public function inJob(ChainState $chain): bool
    {
        return $this->jobOf($chain) !== null;
    }

    /** Whether a guided job has a chain in hand. */
    public function underWay(ChainState $chain): bool
    {
        return array_filter($this->jobs, fn(OpenJob $job) => !$job->planned && in_array($chain->chainId, $job->chainIds, true)) !== [];
    }

    public function jobOf(ChainState $chain): ?OpenJob
    {
        return array_values(array_filter($this->jobs, fn(OpenJob $job) => in_array($chain->chainId, $job->chainIds, true)))[0] ?? null;
    }
}
