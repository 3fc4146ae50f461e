<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Actions\PotDay\PotDayJob;
use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Models\Temperature;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\ObservedTemp;
use Dripel\Core\Pot\PotCalibrate;
use Dripel\Core\Pot\PotCalibrateInput;
use Dripel\Core\Pot\PotCalibrateResult;
use Dripel\Core\Pot\PotFacts;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\PotDay\PotDayRecord;
use Illuminate\Database\Eloquent\Builder;

/** Finds the losses of a pot from a logged heat-up, of a pot day or typed, and keeps them; or goes back to the house rule. */
final readonly class CalibratePot
{
    private const LEAST_READINGS = 3;

    public function __construct(private Ledger $ledger, private ReadBook $readBook, private ReadBaths $readBaths) {}

    public function __invoke(ActionContext $by, Pot $pot, ?PotCalibrateResult $found): Action
    {
        return $this->ledger->record($by, ActionKind::CalibratePot, function (Draft $draft) use ($pot, $found): About {
            $draft->set(SettingKey::PotEfficiency, $found?->efficiency, 0, chainId: $pot->id);
            $draft->set(SettingKey::PotLossWPerK, $found?->lossWPerK, 0, chainId: $pot->id);

            return new About(pot: $pot->id);
        });
    }

    /** Refused with NotPossible at `heat_up` for a pot day that logged too little, or of another pot. */
    public function fromPotDay(Pot $pot, GuidedJob $job): PotCalibrateResult
    {
        (PotDayJob::choices($job)->potId === $pot->id && self::logged($job)) || throw new NotPossible('heat_up', 'no_heat_up');
        $in = PotDayJob::terms($job)->pot;
        $readings = self::readings($job);

        return self::fit(
            $in,
            array_map(fn(array $reading) => new ObservedTemp(($reading[0] - $readings[0][0]) / 60, $reading[1]), $readings),
        );
    }

    /**
     * With the wax that is in it now. Refused with NotPossible at `power` where nobody said how strong it is, at `readings`
     * for a pot without wax.
     *
     * @param list<ObservedTemp> $observed
     */
    public function fromTyped(Workshop $workshop, Pot $pot, string $power, float $roomC, array $observed): PotCalibrateResult
    {
        $facts = PotFacts::of($this->readBook->settings($workshop), $pot->id);
        $watts = ($power === 'low' ? $facts->lowW : $facts->highW) ?? throw new NotPossible('power', 'pot_no_power');
        $waxG = ($this->readBaths)($workshop)[$pot->id]->ledger->waxG ?? 0.0;
        $waxG > 0.0 || throw new NotPossible('readings', 'pot_empty');

        return self::fit(new PotHeatInput($waxG, $roomC, $roomC, $watts, 0.0, $roomC), $observed);
    }

    public static function logged(GuidedJob $job): bool
    {
        return (int) self::heatUp($job)?->limit(self::LEAST_READINGS)->pluck('id')->count() >= self::LEAST_READINGS;
    }

    /** @param list<ObservedTemp> $observed the first says where it began */
    private static function fit(PotHeatInput $pot, array $observed): PotCalibrateResult
    {
        $startC = $observed[0]->tempC ?? $pot->startC;

        return (new PotCalibrate())(
            new PotCalibrateInput(new PotHeatInput($pot->waxG, $startC, $pot->ambientC, $pot->powerW, 0.0, $startC), $observed),
        );
    }

    /** @return list<array{int, float}> while the wax alone was heated */
    private static function readings(GuidedJob $job): array
    {
        $rows = self::heatUp($job)?->orderBy('at')->orderBy('id')->limit(2000)->get();

        return array_values($rows?->map(fn(Temperature $row): array => [$row->at, $row->temp_c])->all() ?? []);
    }

    /** @return Builder<Temperature>|null null: its wax was not heated yet, or nobody knows when */
    private static function heatUp(GuidedJob $job): ?Builder
    {
        $between = PotDayRecord::heatUp($job->run());

        return $between === null
            ? null
            : Temperature::query()->where('pot_id', PotDayJob::choices($job)->potId)->whereBetween('at', $between);
    }
}
