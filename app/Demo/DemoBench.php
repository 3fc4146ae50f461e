<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Cost\SetPrice;
use App\Actions\Drip\DripFacts;
use App\Actions\Drip\KeepBottle;
use App\Actions\Part\AddPart;
use App\Actions\Wear\KeepInstrument;
use App\Logbook\ActionContext;
use App\Models\Bike;
use App\Models\Bottle;
use App\Models\Instrument;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Drip\DripDose;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Wear\Instrument as CoreInstrument;
use Dripel\Core\Wear\InstrumentKind;

/** What the demo rider measures with, and what the chains of the demo run on. */
final readonly class DemoBench
{
    private const NAMES = ['ruler' => 'Bench rule', 'drop_in' => 'Two-mark gauge', 'digital' => 'Drawer gauge'];

    public function __construct(
        private KeepBottle $keepBottle,
        private KeepInstrument $keepInstrument,
        private AddPart $addPart,
        private SetPrice $setPrice,
    ) {}

    public function instruments(DemoTimeline $timeline, int $atS): void
    {
        foreach (
            [
                CoreInstrument::usual(InstrumentKind::Ruler),
                CoreInstrument::usual(InstrumentKind::DropIn),
                new CoreInstrument(null, InstrumentKind::Digital, uncertainty: 0.05, zeroPct: 0.02),
            ]
            as $instrument
        ) {
            $timeline->at(
                $atS,
                fn(ActionContext $by) => ($this->keepInstrument)($by, null, self::NAMES[$instrument->kind->value], $instrument),
            );
        }
        $timeline->at(
            $atS,
            fn(ActionContext $by) => ($this->keepBottle)($by, null, [
                SettingKey::BottleName->value => 'Winter drip',
                SettingKey::BottleVolumeMl->value => 250.0,
                SettingKey::BottleOpenedOn->value => gmdate('Y-m-d', $atS),
                SettingKey::BottlePrice->value => 1490,
            ]),
        );
        foreach ([[Supply::Cassette, 6400], [Supply::Ring, 4200], [Supply::JockeyWheels, 1500]] as [$supply, $minor]) {
            $timeline->at($atS, fn(ActionContext $by) => ($this->setPrice)($by, $supply, $minor, 1, new Moment($atS)));
        }
    }

    /** A coat from the one bottle of the demo. */
    public static function dose(ActionContext $by): DripFacts
    {
        $bottle = Bottle::query()->in($by->workshop)->first();
        $dose = (new DripDose())(new DripDoseInput(DripDoseInput::USUAL_PITCHES, 1.0, 1, DripDoseInput::ML_PER_DROP, null, 0.0));

        return new DripFacts(WaxTopUp::KM, $dose->ml, $bottle);
    }

    /** @param array<string, mixed> $input of wear.reading */
    public static function instrument(ActionContext $by, array $input): ?int
    {
        $kinds = array_keys(self::NAMES);

        return Instrument::query()->in($by->workshop)->orderBy('id')->skip((int) array_search($input['kind'], $kinds, true))->first()?->id;
    }

    /**
     * Heron has two wheels, Lantern a trainer besides its wheel; Badger's cassette has seen a lot.
     *
     * @param array<string, Bike> $bikes by name
     */
    public function parts(DemoTimeline $timeline, array $bikes, int $atS, int $wheelsChangedS): void
    {
        foreach (
            [
                ['Heron', PartKind::Cassette, 'Light wheel cassette', null, false],
                ['Heron', PartKind::Ring, 'Chainrings', null, false],
                ['Heron', PartKind::JockeyWheels, 'Jockey wheels', null, false],
                ['Badger', PartKind::Cassette, 'Gravel cassette', 6800.0, false],
                ['Badger', PartKind::Ring, 'Single ring', 6800.0, false],
                ['Tram', PartKind::Cassette, 'Freewheel sprocket', null, false],
                ['Lantern', PartKind::Cassette, 'Wheel cassette', 2100.0, false],
                ['Lantern', PartKind::Cassette, 'Trainer cassette', null, true],
            ]
            as [$bike, $kind, $name, $km, $trainer]
        ) {
            $timeline->at(
                $atS,
                fn(ActionContext $by) => ($this->addPart)($by, $bikes[$bike], $kind, $name, new Moment($atS), $km, $trainer),
            );
        }
        $timeline->at(
            $wheelsChangedS,
            fn(ActionContext $by) => ($this->addPart)(
                $by,
                $bikes['Heron'],
                PartKind::Cassette,
                'Winter wheel cassette',
                new Moment($wheelsChangedS),
                3300.0,
            ),
        );
    }
}
