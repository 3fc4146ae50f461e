<?php

declare(strict_types=1);

namespace App\Actions\Bike;

use App\Guided\BeginJob;
use App\Guided\GuidedKind;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\GuidedJob;
use App\Support\AppClock;
use Dripel\Core\Care\CarePlan;
use Dripel\Core\Logbook\Drivetrain;

/** The guided clean of a drivetrain begins. */
final readonly class StartCare
{
    public function __construct(private BeginJob $beginJob, private ReadBook $readBook, private AppClock $clock) {}

    /** @param bool $deep down to metal, with a degreaser */
    public function __invoke(ActionContext $by, Bike $bike, bool $deep, bool $painted): GuidedJob
    {
        return ($this->beginJob)($by, GuidedKind::Care, function () use ($by, $bike, $deep, $painted): array {
            $book = ($this->readBook)($by->workshop);
            $fitted = $book->fittings()->componentOn($bike->id, $this->clock->unixS());
            $plan = CarePlan::of(Drivetrain::of($book->settings, $bike->id, $fitted ?? 0), $deep, $painted);

            return ['steps' => $plan->steps, 'chains' => [], 'terms' => ['bike' => $bike->id, 'done_step' => $plan->doneStep]];
        });
    }
}
