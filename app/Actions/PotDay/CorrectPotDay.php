<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Exceptions\NotPossible;
use App\Exceptions\VersionMoved;
use App\Logbook\About;
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
    /** What the screen shows is rounded; so little more or less is no correction. */
    private const SHOWN_S = 60;

    private const SHOWN = ['soak_s' => 3.0, 'temp_c' => 0.05, 'pickup_g' => 0.05];

    public function __construct(private Ledger $ledger) {}

    /**
     * Refused with NotPossible at `dips` for one that is not of this day, with VersionMoved if one was changed meanwhile.
     *
     * @param array<int, array{at: int, soak_s: int|null, temp_c: float|null, pickup_g: float|null, rinsed: bool}> $values by the id of the dip that was seen
     */
    public function __invoke(ActionContext $by, GuidedJob $job, array $values): Action
    {
        return $this->ledger->record($by, ActionKind::CorrectPotDay, function (Draft $draft) use ($job, $values): About {
            $dips = array_column(array_map(fn(Dip $dip) => [$dip->id, $dip], PotDayJob::dips($job)), 1, 0);
            $lastS = 0;
            foreach ($values as $id => $wanted) {
                $dip = $dips[$id] ?? null;
                if ($dip === null) {
                    $seen =
                        Dip::query()->where('workshop_id', $job->workshop_id)->find($id) ??
                        throw new NotPossible('dips', 'pot_day.not_its_dip');

                    throw VersionMoved::of($seen, $wanted);
                }
                $changed = self::changed($dip, $wanted);
                $changed === [] || $draft->replace($dip, $changed);
                $lastS = max($lastS, $wanted['at']);
            }

            return new About(
                pot: PotDayJob::choices($job)->potId,
                chains: array_map(fn(Dip $dip) => $dip->component_id, array_values($dips)),
                at: $lastS,
            );
        });
    }

    /**
     * @param array{at: int, soak_s: int|null, temp_c: float|null, pickup_g: float|null, rinsed: bool} $wanted
     *
     * @return array<string, int|float|bool|null>
     */
    private static function changed(Dip $dip, array $wanted): array
    {
        $changed = [];
        foreach (self::SHOWN as $field => $within) {
            [$old, $new] = [$dip->{$field}, $wanted[$field]];
            if ($old === null || $new === null ? $old !== $new : abs($old - $new) > $within) {
                $changed[$field] = $new;
            }
        }
        if (intdiv($dip->at, self::SHOWN_S) !== intdiv($wanted['at'], self::SHOWN_S)) {
            $changed['at'] = $wanted['at'];
        }
        if ($dip->rinsed !== $wanted['rinsed']) {
            $changed['rinsed'] = $wanted['rinsed'];
        }

        return $changed;
    }
}
