<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Exceptions\NotPossible;
use App\Exceptions\VersionMoved;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Dip;
use App\Models\GuidedJob;

/** The record of a pot day is put right, all of it at once. */
final readonly class CorrectPotDay
{
    public function __construct(private Ledger $ledger) {}

    /**
     * Refused with NotPossible at `dips` for one that is not of this day, with VersionMoved if one was changed meanwhile.
     *
     * @param array<int, array{at: int, soak_s: int|null, temp_c: float|null, pickup_g: float|null, rinsed: bool}> $values by the id of the dip that was seen
     */
    public function __invoke(ActionContext $by, GuidedJob $job, array $values): Action
    {
        return $this->ledger->record($by, ActionKind::CorrectPotDay, function (Draft $draft) use ($job, $values): array {
            $dips = array_column(array_map(fn(Dip $dip) => [$dip->id, $dip], PotDayJob::dips($job)), 1, 0);
            $lastS = 0;
            foreach ($values as $id => $wanted) {
                $dip = $dips[$id] ?? null;
                if ($dip === null) {
                    $seen = Dip::query()->where('workshop_id', $job->workshop_id)->find($id) ?? throw new NotPossible('dips', 'pot_day.not_its_dip');

                    throw VersionMoved::of($seen, $wanted);
                }
                $now = ['at' => $dip->at, 'soak_s' => $dip->soak_s, 'temp_c' => $dip->temp_c, 'pickup_g' => $dip->pickup_g, 'rinsed' => $dip->rinsed];
                $now === $wanted || $draft->replace($dip, $wanted);
                $lastS = max($lastS, $wanted['at']);
            }

            return ['pot' => PotDayJob::wish($job)->potId, 'chains' => array_map(fn(Dip $dip) => $dip->component_id, array_values($dips)), 'at' => $lastS];
        });
    }
}
