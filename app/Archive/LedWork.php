<?php

declare(strict_types=1);

namespace App\Archive;

use App\Actions\PotDay\PotDayJob;
use App\Guided\GuidedKind;
use App\Models\GuidedJob;
use App\Models\GuidedTap;
use App\Models\Temperature;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Str;

/**
 * The work that was led to its end, with its taps and what was read of the bath meanwhile, as the file of a workshop holds it: what pot
 * days, swaps and strips take is learned from it, and how a pot heats. Work that is still under way stays where it is led.
 */
final readonly class LedWork
{
    /** Of each kind the newest: more than a year of them, and more than anything is learned from. */
    private const LAST = 100;

    /** Two readings a minute for a day. */
    public const MOST_READINGS = 3000;

    private const AT_ONCE = 200;

    /** Those that something is learned from. */
    public const KINDS = [GuidedKind::Strip, GuidedKind::PotDay, GuidedKind::Fit];

    /** @return list<array<string, mixed>> in order of time */
    public function of(Workshop $workshop): array
    {
        $jobs = array_merge(
            ...array_map(
                fn(GuidedKind $kind) => GuidedJob::query()
                    ->in($workshop)
                    ->where('kind', $kind)
                    ->whereNotNull('ended_at')
                    ->orderByDesc('ended_at')
                    ->orderByDesc('id')
                    ->limit(self::LAST)
                    ->with('taps')
                    ->get()
                    ->all(),
                self::KINDS,
            ),
        );
        usort($jobs, fn(GuidedJob $a, GuidedJob $b) => [$a->ended_at, $a->id] <=> [$b->ended_at, $b->id]);

        $written = array_map(
            fn(GuidedJob $job) => [
                'kind' => $job->kind->value,
                'title' => $job->title,
                'steps' => $job->steps,
                'chains' => $job->chains,
                'terms' => $job->terms,
                'started_at' => $job->started_at,
                'begun_at' => $job->begun_at,
                'ended_at' => $job->ended_at,
                'action_id' => $job->action_id,
                'taps' => self::taps($job->taps),
                'temperatures' => self::temperatures($job),
            ],
            $jobs,
        );

        // No file is written that would be refused for what nobody can mend.
        return array_values(array_filter($written, fn(array $job) => LedWorkRules::fault($job) === null));
    }

    /**
     * @param Collection<int, GuidedTap> $taps
     *
     * @return list<array<string, mixed>>
     */
    private static function taps(Collection $taps): array
    {
        return array_values(
            $taps
                ->map(
                    fn(GuidedTap $tap) => [
                        'kind' => $tap->kind->value,
                        'position' => $tap->position,
                        'at' => $tap->at,
                        'received_at' => $tap->received_at,
                        'about' => $tap->about,
                    ],
                )
                ->all(),
        );
    }

    /** @return array{at: list<int>, celsius: list<float>} of its bath: two lists, however many were read */
    private static function temperatures(GuidedJob $job): array
    {
        $read =
            $job->kind !== GuidedKind::PotDay
                ? []
                : Temperature::query()
                    ->where('pot_id', PotDayJob::choices($job)->potId)
                    ->whereBetween('at', [$job->started_at, (int) $job->ended_at])
                    ->orderBy('at')
                    ->orderBy('id')
                    ->limit(self::MOST_READINGS)
                    ->get()
                    ->all();

        return [
            'at' => array_values(array_map(fn(Temperature $one) => $one->at, $read)),
            'celsius' => array_values(array_map(fn(Temperature $one) => $one->temp_c, $read)),
        ];
    }

    /** @param array<array-key, mixed> $job as a file holds it */
    public static function job(array $job): GuidedJob
    {
        return new GuidedJob(array_diff_key($job, ['taps' => 0, 'temperatures' => 0]));
    }

    /**
     * Into a workshop of this installation, whose rows have other ids.
     *
     * @param list<array<string, mixed>> $jobs checked
     *
     * @throws NotRestored if one speaks of a row that the file does not hold
     */
    public function keep(Workshop $workshop, array $jobs, Renumber $numbers): void
    {
        foreach ($jobs as $job) {
            $job = $numbers->ledWork($job);
            $led = self::job($job)->forceFill(['id' => (string) Str::uuid(), 'workshop_id' => $workshop->id]);
            $led->save();
            $taps = array_map(
                fn(array $tap, int $n) => [
                    'id' => (string) Str::uuid(),
                    'job_id' => $led->id,
                    'workshop_id' => $workshop->id,
                    'number' => $n + 1,
                    'about' =>
                        $tap['about'] === null ? null : json_encode($tap['about'], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                ] + $tap,
                $job['taps'],
                array_keys($job['taps']),
            );
            $potId = $led->kind === GuidedKind::PotDay ? PotDayJob::choices($led)->potId : null;
            $temperatures = array_map(
                fn(int $atS, int|float $celsius) => [
                    'workshop_id' => $workshop->id,
                    'pot_id' => $potId,
                    'at' => $atS,
                    'received_at' => $atS,
                    'temp_c' => $celsius,
                ],
                $job['temperatures']['at'],
                $job['temperatures']['celsius'],
            );
            array_map(GuidedTap::query()->insert(...), array_chunk($taps, self::AT_ONCE));
            array_map(Temperature::query()->insert(...), array_chunk($temperatures, self::AT_ONCE));
        }
    }
}
