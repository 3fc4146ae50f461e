<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Actions\Guided\Tap;
use App\Devices\ReadTemperatures;
use App\Exceptions\NotPossible;
use App\Guided\GuidedWork;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Models\Temperature;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\Translator;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\PotDay\PotDayPlan;

/** A pot day: once the last chain hangs and the pot is off, the run is the record. Given up, what was done by then was done. */
final readonly class PotDayWork implements GuidedWork
{
    public function __construct(
        private RecordPotDay $recordPotDay,
        private ReadTemperatures $readTemperatures,
        private ReadBook $readBook,
        private AppClock $clock,
    ) {}

    public function noted(GuidedJob $job, Tap $tap): void
    {
        if (isset($tap->about['celsius'])) {
            Temperature::query()->create([
                'workshop_id' => $job->workshop_id,
                'pot_id' => PotDayJob::choices($job)->potId,
                'at' => min($tap->atS, $this->clock->unixS()),
                'received_at' => $this->clock->unixS(),
                'temp_c' => (float) $tap->about['celsius'],
            ]);
        }
    }

    public function measured(GuidedJob $job, JobRun $run, int $atS): bool
    {
        return $run->step()?->readingC !== null && PotDayJob::bath($job, $run, $this->readTemperatures, $atS)->readMelted();
    }

    public function impossible(GuidedJob $job, JobRun $run, int $atS): ?NotPossible
    {
        $bath = PotDayJob::bath($job, $run, $this->readTemperatures, $atS);
        if (!in_array($run->step()?->code, PotDayPlan::WANTS_LIQUID, true) || !$bath->solid()) {
            return null;
        }
        $quantities = (new Translator($this->readBook->settings(Workshop::query()->findOrFail($job->workshop_id)), $this->clock->unixS()))
            ->quantities;

        return new NotPossible('celsius', $bath->readC === null ? 'pot_day.solid_expected' : 'pot_day.solid_read', [
            'bath' => $quantities->temperature($bath->celsius),
            'melts' => $quantities->temperature(PotDayJob::terms($job)->pot->wax->meltFromC),
        ]);
    }

    public function record(ActionContext $by, GuidedJob $job, JobRun $run): ?Action
    {
        return $run->endedS($job->terms['record_step']) === null ? null : ($this->recordPotDay)($by, $job, $run);
    }

    public function recordSoFar(ActionContext $by, GuidedJob $job, JobRun $run): ?Action
    {
        // Plugged in, the wax may have got too hot; the jars may have had their chains. Before, nothing was done.
        return count($run->turns) === 1 ? null : ($this->recordPotDay)($by, $job, $run);
    }
}
