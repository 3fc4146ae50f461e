<?php

declare(strict_types=1);

namespace Tests\Core\Next;

use DateTimeZone;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Next\NextInput;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextList;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;

/** What Next goes by at an instant, with the plan of that instant. */
final class Asked
{
    /**
     * @param list<OpenJob> $jobs
     * @param array<string, mixed> $more of NextInput
     */
    public static function input(Book $book, int $nowS, DateTimeZone $zone, array $jobs = [], array $more = []): NextInput
    {
        $rails = Rail::all($book, $nowS, $zone);
        $booked = array_values(array_filter(array_map(fn(OpenJob $job) => $job->booked(), $jobs)));
        $plan = WorkshopPlan::of($book, $rails, PlanTerms::of($book, null, $nowS), [], $nowS, $zone, $booked);

        return new NextInput($book, $rails, $nowS, $zone, $plan, $jobs, ...$more);
    }

    /** @return list<NextItem> with what a line stands for one by one */
    public static function oneByOne(NextInput $in): array
    {
        return array_merge(...array_map(fn(NextItem $item) => $item->steps ?: [$item], NextList::of($in)));
    }
}
