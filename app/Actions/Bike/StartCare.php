<?php

declare(strict_types=1);

namespace App\Actions\Bike;

use App\Guided\GuidedKind;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\GuidedJob;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Care\CarePlan;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Drivetrain;

/** The guided clean of a drivetrain begins. Its id comes from the form: sent twice, it begins once. */
final readonly class StartCare
{
    public function __construct(private ReadBook $readBook, private AppClock $clock) {}

    /** @param bool $deep down to metal, with a degreaser */
    public function __invoke(ActionContext $by, Bike $bike, bool $deep, bool $painted): GuidedJob
    {
        return WriteTransaction::run(function () use ($by, $bike, $deep, $painted): GuidedJob {
            $begun = GuidedJob::query()->in($by->workshop)->find($by->actionId);
            if ($begun !== null) {
                return $begun;
            }
            $book = ($this->readBook)($by->workshop);
            $nowS = $this->clock->unixS();
            $fitted = $book->fittings->componentOn($bike->id, $nowS);
            $plan = CarePlan::of(Drivetrain::of($book->settings, $bike->id, $fitted ?? 0), $deep, $painted);
            Workshop::query()->whereKey($by->workshop->id)->increment('revision');
            $by->workshop->refresh();

            return GuidedJob::query()->create([
                'id' => $by->actionId,
                'workshop_id' => $by->workshop->id,
                'user_id' => $by->user?->id,
                'kind' => GuidedKind::Care,
                'title' => '',
                'steps' => array_map(fn(JobStep $step) => $step->toArray(), $plan->steps),
                'chains' => [],
                'terms' => ['bike' => $bike->id, 'done_step' => $plan->doneStep],
                'started_at' => $nowS,
                'begun_at' => $nowS,
            ]);
        });
    }
}
