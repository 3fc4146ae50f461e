<?php

declare(strict_types=1);

namespace App\Devices;

use App\Actions\PotDay\PotDayJob;
use App\Models\Device;
use App\Models\GuidedJob;
use App\Support\AppClock;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobSpan;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\PotDay\PotDayCourse;
use Dripel\Core\PotDay\PotDayTerms;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Http;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A stand-in for a probe in the wax of a pot day: pot.heat's law from the moment the pot was really plugged in, the cold
 * shock of each chain that went in, and noise. It sends through the same address as a real one.
 */
final readonly class SimulatedProbe
{
    /** What tells a probe that it is not wanted any more: no such token, not for this pot, no such pot. */
    private const NOT_WANTED = [401, 403, 404];

    /** A cheap probe scatters by so many °C. */
    private const NOISE_C = 0.25;

    /** What a reading shows is a tenth of a degree. */
    private const DECIMALS = 1;

    public function __construct(private AppClock $clock) {}

    /**
     * What it would show at an instant of a run of the job, in °C: in accelerated time, or with more power than the pot is told to take.
     */
    public function celsius(GuidedJob $job, JobRun $run, int $atS, float $speed = 1.0, float $extraW = 0.0): float
    {
        $terms = self::stronger(PotDayJob::terms($job), $extraW);
        // What has not happened yet, the wax does not know of.
        $done = array_values(array_filter($run->spans($atS), fn(JobSpan $span) => $span->done));
        $fast = array_map(
            fn(JobSpan $span) => new JobSpan(
                $span->step,
                $span->round,
                self::faster($span->startS, $job, $speed),
                self::faster($span->fromS, $job, $speed),
                self::faster($span->endS, $job, $speed),
                true,
                $span->answer,
            ),
            $done,
        );
        $course = PotDayCourse::of($terms, array_map(floatval(...), $job->terms['masses']), $run->steps, $fast, $job->started_at);
        $dice = new Randomizer(new Mt19937($atS));

        return round(
            $course->celsius($speed * ($atS - $job->started_at)) +
                (self::NOISE_C * ($dice->getInt(-100, 100) + $dice->getInt(-100, 100))) / 100,
            self::DECIMALS,
        );
    }

    /** Reads once and sends it; false where the probe is not wanted any more. A machine that is away or busy is asked again. */
    public function send(Device $device, string $token, GuidedJob $job): bool
    {
        $simulates = ($device->simulates ?? []) + ['speed' => 1.0, 'extra_w' => 0.0];
        $nowS = $this->clock->unixS();
        $at = $this->clock->now()->format('Y-m-d\TH:i:s\Z');
        try {
            $answer = Http::withToken($token)
                ->timeout(5)
                ->post(config()->string('app.url') . "/api/v1/pots/{$device->pot_id}/temperatures", [
                    'sent_at' => $at,
                    'readings' => [
                        [
                            'sequence' => (int) floor(microtime(true) * 1000),
                            'at' => $at,
                            'celsius' => $this->celsius(
                                $job,
                                $job->run(),
                                $nowS,
                                (float) $simulates['speed'],
                                (float) $simulates['extra_w'],
                            ),
                        ],
                    ],
                ])
                ->status();

            return !in_array($answer, self::NOT_WANTED, true);
        } catch (ConnectionException) {
            return true;
        }
    }

    /** In accelerated time everything comes so much sooner after the start. */
    private static function faster(int $atS, GuidedJob $job, float $speed): int
    {
        return $job->started_at + (int) round($speed * ($atS - $job->started_at));
    }

    /** As if somebody had turned the pot up. */
    private static function stronger(PotDayTerms $terms, float $extraW): PotDayTerms
    {
        $pot = $terms->pot;
        $stronger = new PotHeatInput(
            $pot->waxG,
            $pot->startC,
            $pot->ambientC,
            $pot->powerW + $extraW,
            $pot->lossWPerK,
            $pot->targetC,
            $pot->efficiency,
        );

        return new PotDayTerms(
            $stronger,
            $terms->vessel,
            $terms->kind,
            $terms->wax,
            $terms->limitC,
            $terms->program,
            $terms->holdW + $extraW,
        );
    }
}
