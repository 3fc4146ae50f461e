<?php

declare(strict_types=1);

namespace App\Models;

use App\Guided\GuidedKind;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobStep;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use LogicException;

/**
 * A guided job: its protocol as it was when it began, and the taps that were made since. It guides and is no part of the
 * logbook; what it leads to is recorded as an action.
 *
 * @property string $id
 * @property int|null $user_id
 * @property GuidedKind $kind
 * @property string $title the code of its school, or the name of a protocol of one's own
 * @property non-empty-list<array{code: string, seconds: int|null, about: array<string, string|int|float|bool|null>, again_from: int|null, ticks: list<string>, chains?: list<int>, since?: int|null, holds?: bool, sign?: string|null, skippable?: bool, handling_s?: int}> $steps
 * @property list<int> $chains none: it is about a bike alone
 * @property array<string, mixed> $terms what its kind needs to know
 * @property int $started_at when it began, or is planned to
 * @property int|null $begun_at null: it is planned and waits
 * @property int|null $ended_at
 * @property string|null $action_id
 * @property-read Collection<int, GuidedTap> $taps
 */
final class GuidedJob extends WorkshopModel
{
    protected $table = 'guided_jobs';

    public $incrementing = false;

    protected $keyType = 'string';

    protected function casts(): array
    {
        return ['kind' => GuidedKind::class, 'steps' => 'array', 'chains' => 'array', 'terms' => 'array'];
    }

    /** @return HasMany<GuidedTap, $this> */
    public function taps(): HasMany
    {
        return $this->hasMany(GuidedTap::class, 'job_id')->orderBy('number');
    }

    public function run(): JobRun
    {
        return JobRun::of(
            array_map(JobStep::fromArray(...), $this->steps),
            $this->started_at,
            array_values(
                $this->taps
                    ->map(
                        fn(GuidedTap $tap) => new JobEvent(
                            $tap->kind,
                            $tap->position,
                            $tap->at,
                            isset($tap->about['waxed']) ? (string) $tap->about['waxed'] : null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /** @return list<int> the jars it still needs: none once its baths are recorded */
    public function jars(): array
    {
        return $this->action_id !== null
            ? []
            : array_values(array_unique(array_filter(array_map(fn(array $step) => (int) ($step['about']['jar'] ?? 0), $this->steps))));
    }

    /** @param Builder<static> $query */
    #[Scope]
    protected function open(Builder $query): void
    {
        $query->whereNull('ended_at')->orderBy('started_at');
    }

    /** A term that its kind keeps as a number. */
    public function number(string $term): float
    {
        $value = $this->terms[$term] ?? null;

        return is_numeric($value) ? (float) $value : throw new LogicException("The job {$this->id} has no {$term}.");
    }
}
