<?php

declare(strict_types=1);

namespace App\Archive;

use App\Actions\Fitting\FitTerms;
use App\Actions\PotDay\PotDayJob;
use App\Guided\GuidedKind;
use App\Models\GuidedJob;
use App\Models\GuidedTap;
use App\Models\Temperature;
use App\Models\Workshop;
use Closure;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\HowRight\HeatUp;
use Dripel\Core\Plan\WorkedDay;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Str;
use Throwable;

/**
 * The work that was led to its end, with its taps and what was read of the bath meanwhile, as the file of a workshop holds it: what pot
 * days, swaps and strips take is learned from it, and how a pot heats. Work that is still under way stays where it is led.
 */
final readonly class LedWork
{
    /** Of each kind the newest: more than a year of them, and more than anything is learned from. */
    private const LAST = 100;

    private const MOST_TAPS = 1000;

    /** Two readings a minute for a day. */
    private const MOST_READINGS = 3000;

    /** No step takes longer: a month. */
    private const LONGEST_S = 2_678_400;

    /** Those that something is learned from. */
    private const KINDS = [GuidedKind::Strip, GuidedKind::PotDay, GuidedKind::Fit];

    /** Of a step, what its words name by id. */
    private const JARS = ['jar', 'into'];

    /** @return array<string, Closure(mixed): bool> what a tap may say, by name */
    private static function said(): array
    {
        return [
            'text' => Fits::text(300),
            'waxed' => Fits::text(40),
            'teeth' => Fits::text(40),
            'celsius' => Fits::figure(-30, 400),
            'chain' => Fits::whole(1),
            'before_g' => Fits::figure(0, 5000),
            'after_g' => Fits::figure(0, 5000),
            'ml' => fn(mixed $value): bool => is_numeric($value),
        ];
    }

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
                'temperatures' => $job->kind === GuidedKind::PotDay ? self::temperatures($job) : [],
            ],
            $jobs,
        );

        // No file is written that would be refused for what nobody can mend.
        return array_values(array_filter($written, fn(array $job) => self::fault($job) === null));
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

    /** @return list<array{int, float}> instant and °C of its bath */
    private static function temperatures(GuidedJob $job): array
    {
        return array_values(
            Temperature::query()
                ->where('pot_id', PotDayJob::choices($job)->potId)
                ->whereBetween('at', [$job->started_at, (int) $job->ended_at])
                ->orderBy('at')
                ->orderBy('id')
                ->limit(self::MOST_READINGS)
                ->get()
                ->map(fn(Temperature $one) => [$one->at, $one->temp_c])
                ->all(),
        );
    }

    /**
     * @param array<array-key, mixed> $jobs of a file
     *
     * @return list<array<string, mixed>>
     *
     * @throws NotRestored that names the first that cannot be, and what of it
     */
    public static function checked(array $jobs): array
    {
        foreach (array_values($jobs) as $i => $job) {
            $fault = is_array($job) ? self::fault($job) : 'kind';
            $fault === null || throw new NotRestored('value', ['table' => WorkshopFile::LED, 'row' => $i + 1, 'column' => $fault]);
        }

        return array_values($jobs);
    }

    /** @param array<array-key, mixed> $job */
    private static function fault(array $job): ?string
    {
        $rules = [
            'kind' => Fits::one(array_column(self::KINDS, 'value')),
            'title' => Fits::text(200),
            'steps' => Fits::list(is_array(...), 1, 500),
            'chains' => Fits::list(Fits::whole(1), 0, 100),
            'terms' => is_array(...),
            'started_at' => Fits::instant(),
            'begun_at' => Fits::orNull(Fits::instant()),
            'ended_at' => Fits::instant(),
            'action_id' => Fits::orNull(Fits::actionId()),
            'taps' => Fits::list(self::tapFits(...), 0, self::MOST_TAPS),
            'temperatures' => Fits::list(self::readingFits(...), 0, self::MOST_READINGS),
        ];
        foreach ($rules as $column => $fits) {
            if (!array_key_exists($column, $job) || !$fits($job[$column])) {
                return $column;
            }
        }
        if (array_diff_key($job, $rules) !== []) {
            return (string) array_key_first(array_diff_key($job, $rules));
        }

        return self::runs($job);
    }

    private static function tapFits(mixed $tap): bool
    {
        return is_array($tap) &&
            array_keys($tap) === ['kind', 'position', 'at', 'received_at', 'about'] &&
            Fits::one(JobEventKind::class)($tap['kind']) &&
            Fits::whole()($tap['position']) &&
            Fits::instant()($tap['at']) &&
            Fits::instant()($tap['received_at']) &&
            ($tap['about'] === null || (is_array($tap['about']) && self::aboutFits($tap['about'])));
    }

    /** @param array<array-key, mixed> $about */
    private static function aboutFits(array $about): bool
    {
        foreach ($about as $key => $value) {
            $fits = self::said()[$key] ?? null;
            if ($fits === null || !$fits($value)) {
                return false;
            }
        }

        return true;
    }

    private static function readingFits(mixed $reading): bool
    {
        return is_array($reading) &&
            array_is_list($reading) &&
            count($reading) === 2 &&
            Fits::instant()($reading[0]) &&
            Fits::figure(-100, 1000)($reading[1]);
    }

    /**
     * Its steps and terms have to be such that it can be led.
     *
     * @param array<array-key, mixed> $job each value of which is good by itself
     */
    private static function runs(array $job): ?string
    {
        $steps = count($job['steps']);
        foreach ($job['steps'] as $i => $step) {
            try {
                $read = JobStep::fromArray($step);
            } catch (Throwable) {
                return 'steps';
            }
            $before = Fits::orNull(Fits::whole(0, $i - 1));
            $time = Fits::orNull(Fits::whole(0, self::LONGEST_S));
            if (
                !$before($read->since) ||
                !$before($read->againFrom) ||
                !$time($read->seconds) ||
                !$time($read->handlingS) ||
                !Fits::list(Fits::whole(1), 0, 100)($read->chains)
            ) {
                return 'steps';
            }
        }
        try {
            $led = self::job($job)->setRelation('taps', new Collection(array_map(fn(array $tap) => new GuidedTap($tap), $job['taps'])));
            $at = match ($led->kind) {
                GuidedKind::PotDay => self::ledPotDay($led),
                GuidedKind::Fit => self::ledFit($led),
                default => self::ledStrip($led),
            };

            return $at >= 0 && $at < $steps ? null : 'terms';
        } catch (Throwable) {
            return 'terms';
        }
    }

    /** @return int the step of which its terms tell */
    private static function ledPotDay(GuidedJob $led): int
    {
        PotDayJob::terms($led);
        Fits::list(Fits::figure(0, 5000), 0, 100)(array_values($led->terms['masses'])) || throw new NotRestored('contents');
        WorkedDay::potDay($led->run());
        HeatUp::of(PotDayJob::choices($led)->potId, $led->run(), null);

        return (int) $led->number('record_step');
    }

    private static function ledFit(GuidedJob $led): int
    {
        FitTerms::fromArray(['spare' => null] + $led->terms['fit']);
        WorkedDay::through($led->run(), (int) $led->number('done_step'));

        return (int) $led->number('done_step');
    }

    private static function ledStrip(GuidedJob $led): int
    {
        WorkedDay::strip($led->run(), (int) $led->number('bare_step'));

        return (int) $led->number('bare_step');
    }

    /** @param array<array-key, mixed> $job */
    private static function job(array $job): GuidedJob
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
            $job = self::renumbered($job, $numbers);
            $led = self::job($job)->forceFill(['id' => (string) Str::uuid(), 'workshop_id' => $workshop->id]);
            $led->save();
            foreach ($job['taps'] as $n => $tap) {
                GuidedTap::query()->create(
                    ['id' => (string) Str::uuid(), 'job_id' => $led->id, 'workshop_id' => $workshop->id, 'number' => $n + 1] + $tap,
                );
            }
            foreach (array_chunk($job['temperatures'], 200) as $some) {
                Temperature::query()->insert(
                    array_map(
                        fn(array $one) => [
                            'workshop_id' => $workshop->id,
                            'pot_id' => PotDayJob::choices($led)->potId,
                            'at' => $one[0],
                            'received_at' => $one[0],
                            'temp_c' => $one[1],
                        ],
                        $some,
                    ),
                );
            }
        }
    }

    /**
     * @param array<string, mixed> $job
     *
     * @return array<string, mixed>
     */
    private static function renumbered(array $job, Renumber $numbers): array
    {
        $part = fn(mixed $id): int|string => $numbers->id('components', $id);
        $each = fn(array $ids): array => array_map($part, $ids);
        $byPart = fn(array $of): array => array_combine($each(array_keys($of)), $of);
        $in = function (array $of, array $keys, callable $as): array {
            foreach ($keys as $key) {
                isset($of[$key]) && ($of[$key] = $as($of[$key]));
            }

            return $of;
        };
        $terms = $job['terms'];
        if (isset($terms['wish'])) {
            $terms['wish'] = $in($terms['wish'], ['pot'], $part);
            $terms['wish'] = $in($terms['wish'], ['chains', 'powder', 'order'], $each);
            $terms['wish'] = $in($terms['wish'], ['rinse', 'first'], $byPart);
        }
        if (isset($terms['fit'])) {
            $terms['fit'] = $in($terms['fit'], ['spare'], $part);
            isset($terms['fit']['measured']) && ($terms['fit']['measured'] = $in($terms['fit']['measured'], ['instrumentId'], $part));
        }

        return [
            'steps' => array_map(
                fn(array $step) => ['about' => $in($step['about'], self::JARS, $part), 'chains' => $each($step['chains'] ?? [])] + $step,
                $job['steps'],
            ),
            'chains' => $each($job['chains']),
            'terms' => $in(
                $in($in($terms, ['masses'], $byPart), ['chain'], $part),
                ['bike'],
                fn(mixed $id): int|string => $numbers->id('bikes', $id),
            ),
            'action_id' => $job['action_id'] === null ? null : $numbers->id(WorkshopFile::ACTIONS, $job['action_id']),
            'taps' => array_map(
                fn(array $tap) => ['about' => $tap['about'] === null ? null : $in($tap['about'], ['chain'], $part)] + $tap,
                $job['taps'],
            ),
        ] + $job;
    }
}
