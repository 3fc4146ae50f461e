<?php

declare(strict_types=1);

namespace App\Archive;

use App\Actions\Fitting\FitTerms;
use App\Actions\PotDay\PotDayJob;
use App\Guided\GuidedKind;
use App\Models\GuidedJob;
use App\Models\GuidedTap;
use Closure;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\HowRight\HeatUp;
use Dripel\Core\Plan\WorkedDay;
use Illuminate\Database\Eloquent\Collection;
use Throwable;

/** What led work of a workshop file may hold: each value by itself, and then that it can be led from its first step to its last tap. */
final class LedWorkRules
{
    private const MOST_TAPS = 1000;

    /** No step takes longer: a month. */
    private const LONGEST_S = 2_678_400;

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
    public static function fault(array $job): ?string
    {
        $rules = [
            'kind' => Fits::one(array_column(LedWork::KINDS, 'value')),
            'title' => Fits::text(200),
            'steps' => Fits::list(is_array(...), 1, 500),
            'chains' => Fits::list(Fits::whole(1), 0, 100),
            'terms' => is_array(...),
            'started_at' => Fits::instant(),
            'begun_at' => Fits::orNull(Fits::instant()),
            'ended_at' => Fits::instant(),
            'action_id' => Fits::orNull(Fits::actionId()),
            'taps' => Fits::list(self::tapFits(...), 0, self::MOST_TAPS),
            'temperatures' => self::readingsFit(...),
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
            count($tap) === 5 &&
            array_key_exists('about', $tap) &&
            Fits::one(JobEventKind::class)($tap['kind'] ?? null) &&
            Fits::whole()($tap['position'] ?? null) &&
            Fits::instant()($tap['at'] ?? null) &&
            Fits::instant()($tap['received_at'] ?? null) &&
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

    private static function readingsFit(mixed $readings): bool
    {
        [$at, $celsius] = [$readings['at'] ?? null, $readings['celsius'] ?? null];

        return is_array($readings) &&
            count($readings) === 2 &&
            Fits::list(Fits::instant(), 0, LedWork::MOST_READINGS)($at) &&
            Fits::list(Fits::figure(-100, 1000), 0, LedWork::MOST_READINGS)($celsius) &&
            count($at) === count($celsius);
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
            $led = LedWork::job($job)->setRelation('taps', new Collection(array_map(fn(array $tap) => new GuidedTap($tap), $job['taps'])));
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
}
