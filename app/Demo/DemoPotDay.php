<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Guided\Tap;
use App\Actions\Guided\TapJob;
use App\Actions\PotDay\PotDayChoices;
use App\Actions\PotDay\StartPotDay;
use App\Devices\SimulatedProbe;
use App\Logbook\ActionContext;
use App\Models\Chain;
use App\Models\Temperature;
use App\Support\AppClock;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\PotDay\PowerProgram;
use Illuminate\Support\Str;

/** A pot day of the demo, led to its end with the simulated probe in the wax. */
final readonly class DemoPotDay
{
    /** Between two readings of the probe, in seconds. */
    private const EVERY_S = 120;

    public function __construct(
        private StartPotDay $startPotDay,
        private TapJob $tapJob,
        private SimulatedProbe $probe,
        private AppClock $clock,
    ) {}

    /** @param list<Chain> $chains */
    public function lead(ActionContext $by, array $chains): void
    {
        $pot = DemoSolvents::pot($by, 0);
        $job = ($this->startPotDay)(
            $by,
            new PotDayChoices($pot->id, array_map(fn(Chain $chain) => $chain->id, $chains), PowerProgram::HighThenLow),
            false,
        );
        [$run, $taps] = self::asAsked($job->load('taps')->run());
        $endS = (int) $run->doneS();
        $rows = array_map(
            fn(int $atS) => [
                'workshop_id' => $job->workshop_id,
                'pot_id' => $pot->id,
                'at' => $atS,
                'received_at' => $atS,
                'temp_c' => $this->probe->celsius($job, $run, $atS),
            ],
            range($job->started_at, $endS, self::EVERY_S),
        );
        Temperature::query()->insert($rows);
        $this->clock->stopAt($endS);
        ($this->tapJob)($job, $by->user, $taps);
    }

    /** @return array{JobRun, list<Tap>} each step done once its time is up */
    private static function asAsked(JobRun $run): array
    {
        $taps = [];
        while (($turn = $run->current()) !== null && ($step = $run->step()) !== null) {
            $atS = max($turn->startS + ($step->seconds === null ? $step->handlingS : 0), $run->dueS() ?? 0);
            $kind = $step->sign === null ? JobEventKind::Done : JobEventKind::Sign;
            $taps[] = new Tap((string) Str::uuid(), $kind, $turn->position, $atS, $step->ticks);
            $run = $run->after(new JobEvent($kind, $turn->position, $atS));
        }

        return [$run, $taps];
    }
}
