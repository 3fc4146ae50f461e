<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\PotDay\PotDayJob;
use App\Devices\ReadTemperatures;
use App\Models\Action;
use App\Models\Dip;
use App\Models\GuidedJob;
use App\Text\Chart;
use App\Text\PotDayWords;
use App\Text\PotWords;
use App\Text\Translator;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Pot\PotCourse;
use Dripel\Core\PotDay\PotDayLanes;
use Dripel\Core\PotDay\PotDayTerms;

/**
 * A pot day: its steps in words, the bath as it is over the bath as predicted, and all chains as lanes on one time axis.
 *
 * @phpstan-import-type ChartView from Chart
 *
 * @phpstan-type RecordedDip array{id: int, chain: string, date: string, time: string, soak: string, temp: string, pickup: string, rinsed: bool}
 * @phpstan-type PotDayBath array{text: string, since: string, expected: string, over: string|null, melted: bool, solid: string|null, solidUntil: int|null, chart: ChartView}
 */
final readonly class PotDayPresenter implements JobPresenter
{
    /** Between two points of the predicted curve, in seconds. */
    private const CURVE_S = 120.0;

    /** A probe that is silent for so long is said to be, in seconds. */
    private const SILENT_S = 60;

    public function __construct(private ReadTemperatures $readTemperatures, private PotDayProps $props) {}

    public function title(GuidedJob $job, Translator $translator): string
    {
        return $translator->say('pot_day.job_title', ['day' => $translator->quantities->day($job->started_at)]);
    }

    public function step(GuidedJob $job, JobStep $step, Translator $translator): array
    {
        return (new PotDayWords($translator))->step($step, PotDayJob::terms($job));
    }

    public function page(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        $terms = PotDayJob::terms($job);

        return [
            'pot' => ['id' => PotDayJob::choices($job)->potId, 'name' => $translator->names->pot(PotDayJob::choices($job)->potId)],
            'alsoNeeds' => [
                $translator->say('layout.wax', [
                    'pot' => $translator->names->pot(PotDayJob::choices($job)->potId),
                    'grams' => $translator->quantities->mass($terms->pot->waxG),
                ]),
            ],
            'aboutPot' => $translator->say('pot_day.about', [
                'wax' => $translator->say("pot.wax.{$terms->wax->value}"),
                'grams' => $translator->quantities->mass($terms->pot->waxG),
                'chains' => trans_choice('pot_day.chains', count($job->chains)),
            ]),
            'planned' =>
                $job->begun_at !== null
                    ? ''
                    : $translator->say('pot_day.planned', [
                        'at' => $translator->quantities->day($job->started_at) . ', ' . $translator->quantities->time($job->started_at),
                        'done' => $translator->quantities->time($run->aboutS($job->started_at)),
                    ]),
        ];
    }

    public function live(GuidedJob $job, JobRun $run, Translator $translator): array
    {
        $nowS = $job->begun_at === null ? $job->started_at : $job->ended_at ?? $translator->nowS;
        $dips = PotDayJob::dips($job);

        return [
            'axis' => $this->props->axis(
                PotDayLanes::of($run->steps, $run->spans($nowS), $nowS),
                $job->started_at,
                $run->aboutS($nowS),
                $nowS,
                $translator,
            ),
            'bath' => $this->bath($job, $run, $nowS, $translator),
            'dips' => array_map(fn(Dip $dip) => self::dip($dip, $translator), $dips),
            // While it goes on nobody asks.
            'split' => $job->ended_at === null ? [] : $this->props->splitOf($job, $dips, $translator),
        ];
    }

    public function record(Action $action, Translator $translator): string
    {
        return $translator->say(($action->about->chains ?? []) === [] ? 'pot_day.recorded_none' : 'pot_day.recorded', [
            'time' => $translator->quantities->time((int) $action->about->at),
        ]);
    }

    /** When the bath is expected to come to its melting range; null: not while the job lasts. */
    private static function meltsS(PotCourse $course, int $startS, int $endS, PotDayTerms $terms): ?int
    {
        $passesS = $course->passesS($terms->pot->wax->meltFromC, $endS - $startS);

        return $passesS === null ? null : $startS + (int) $passesS;
    }

    /** @return RecordedDip as the record is corrected */
    private static function dip(Dip $dip, Translator $translator): array
    {
        $q = $translator->quantities;
        $plain = fn(?float $value): string => $value === null ? '' : (string) round($value, 1);

        return [
            'id' => $dip->id,
            'chain' => $translator->names->fullChain($dip->component_id),
            'date' => $q->date($dip->at, 'yyyy-MM-dd'),
            'time' => $q->date($dip->at, 'HH:mm'),
            'soak' => $plain($dip->soak_s === null ? null : $dip->soak_s / 60),
            'temp' => $plain($dip->temp_c === null ? null : $q->units->fromCelsius($dip->temp_c)),
            'pickup' => $plain($dip->pickup_g === null ? null : $q->units->fromGrams($dip->pickup_g)),
            'rinsed' => $dip->rinsed,
        ];
    }

    /** @return PotDayBath */
    private function bath(GuidedJob $job, JobRun $run, int $nowS, Translator $translator): array
    {
        $q = $translator->quantities;
        $terms = PotDayJob::terms($job);
        $potId = PotDayJob::choices($job)->potId;
        $latest = $this->readTemperatures->latest($potId, $job->started_at);
        $bath = PotDayJob::bath($job, $run, $this->readTemperatures, $nowS);
        $agoS = $latest === null ? 0 : max(0, $nowS - $latest->at);
        $endS = $run->aboutS($nowS);
        $course = PotDayJob::course($job, $run, $nowS);
        $over = $latest !== null && $latest->temp_c > $terms->limitC && $job->ended_at === null;

        return [
            'text' => $latest === null ? '' : $q->temperature($latest->temp_c, 1),
            'since' => match (true) {
                $latest === null => $translator->say('pot_day.bath.none'),
                $latest->device_id === null => $translator->say('pot_day.bath.typed', ['time' => $q->time($latest->at)]),
                $agoS > self::SILENT_S => $translator->say('pot_day.bath.silent', ['time' => $q->time($latest->at)]),
                default => $translator->say('pot_day.bath.probe', ['seconds' => $q->seconds($agoS)]),
            },
            'expected' =>
                $job->begun_at === null
                    ? ''
                    : $translator->say('pot_day.bath.expected', ['celsius' => $q->temperature($course->celsius($nowS - $job->started_at))]),
            'over' => $over ? $translator->say('pot_day.bath.over', ['limit' => $q->temperature($terms->limitC)]) : null,
            'melted' => $bath->readMelted(),
            'solid' =>
                $job->begun_at === null || !$bath->solid()
                    ? null
                    : $translator->say($bath->readC === null ? 'errors.pot_day.solid_expected' : 'errors.pot_day.solid_read', [
                        'bath' => $q->temperature($bath->celsius),
                        'melts' => $q->temperature($terms->pot->wax->meltFromC),
                    ]),
            'solidUntil' => $bath->readC !== null ? null : self::meltsS($course, $job->started_at, $endS, $terms),
            'chart' => (new PotWords($translator))->bathChart(
                $course->curve($endS - $job->started_at, self::CURVE_S),
                $this->readTemperatures->curve($potId, $job->started_at, $nowS),
                fn(float $min) => $job->started_at + 60 * $min,
                $terms->pot->wax,
                $terms->limitC,
                PotDayProps::clock($job->started_at, $endS, $translator),
            ),
        ];
    }
}
