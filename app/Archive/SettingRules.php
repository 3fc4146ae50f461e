<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\Bike;
use App\Text\Translator;
use App\Text\Units;
use App\Weather\WeatherKind;
use Closure;
use DateTimeZone;
use Dripel\Core\Care\ConversionWay;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Drip\DripCleanSchool;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\PotDay\ReadySchool;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\Load;
use Dripel\Core\Wear\InstrumentKind;
use Dripel\Core\Wear\LimitSchool;
use Dripel\Core\Wear\TeethSeen;

/** What each setting may be, as its form has it; null where nobody said is always good. */
final class SettingRules
{
    private const NAME = 120;

    public static function fits(SettingKey $key, mixed $value): bool
    {
        return $value === null || self::rule($key)($value);
    }

    /** @return Closure(mixed): bool */
    private static function rule(SettingKey $key): Closure
    {
        return match ($key) {
            SettingKey::BikeName,
            SettingKey::BikeRider,
            SettingKey::ChainLabel,
            SettingKey::ChainEvent,
            SettingKey::PartName,
            SettingKey::InstrumentName,
            SettingKey::JarName,
            SettingKey::BottleName,
            SettingKey::PotName,
            SettingKey::WorkshopName
                => Fits::text(self::NAME, 1),
            SettingKey::BikeKind => Fits::one(Bike::KINDS),
            SettingKey::BikeSpeeds, SettingKey::ChainSpeeds, SettingKey::LinkSpeeds => self::number(1, 20),
            SettingKey::BikeBrakes => Fits::one(Brakes::class),
            SettingKey::Weather => Fits::one(WeatherKind::class),
            SettingKey::BikeConvert => Fits::one(ConversionWay::class),
            SettingKey::LimitSchool, SettingKey::UsualLimitSchool => Fits::one(LimitSchool::class),
            SettingKey::ChainLoad => Fits::one(Load::class),
            SettingKey::ChainJoint => Fits::one(Joint::class),
            SettingKey::PartTeeth => Fits::one(TeethSeen::class),
            SettingKey::InstrumentKind => Fits::one(InstrumentKind::class),
            SettingKey::JarRole => Fits::one(JarRole::class),
            SettingKey::PotKind => Fits::one(PotKind::class),
            SettingKey::PotWax => Fits::one(WaxKind::class),
            SettingKey::PotLay => Fits::one(PotLay::class),
            SettingKey::ReadySchool => Fits::one(ReadySchool::class),
            SettingKey::DripCleanSchool => Fits::one(DripCleanSchool::class),
            SettingKey::ExcessSchool => Fits::one(ExcessSchool::class),
            SettingKey::ByEar,
            SettingKey::DripOnly,
            SettingKey::ChainDirectional,
            SettingKey::LinkStripped,
            SettingKey::OnTrainer,
            SettingKey::InstrumentGone,
            SettingKey::JarGone,
            SettingKey::BottleGone,
            SettingKey::PotForRaces,
            SettingKey::PotGone,
            SettingKey::PlanBottle,
            SettingKey::PlanFollowed
                => self::flag(),
            SettingKey::IntervalKm, SettingKey::UsualIntervalKm, SettingKey::ChainDripKm, SettingKey::PlainDripEveryKm => self::number(
                1,
                5000,
            ),
            SettingKey::IntervalHours => self::number(0.1, 1000),
            SettingKey::TargetLifeKm, SettingKey::DeclinedKm, SettingKey::PlainDripLifeKm => self::number(1, 1e6),
            SettingKey::ChainPitches, SettingKey::InstrumentPitches => self::number(1, 400),
            SettingKey::ChainsWanted, SettingKey::PotAtOnce, SettingKey::LinkClosings => self::number(0, 1000),
            SettingKey::ChainMassG => self::number(1, 5000),
            SettingKey::ChainPrice,
            SettingKey::PartPrice,
            SettingKey::LinkPrice,
            SettingKey::BottlePrice,
            SettingKey::HourPrice
                => self::number(0, 1e9),
            SettingKey::ChainBoughtOn, SettingKey::ChainEventOn, SettingKey::ChainDippedAfter, SettingKey::BottleOpenedOn => Fits::day(),
            // An id of the file; that it is one is asked where ids are renewed.
            SettingKey::ChainHome, SettingKey::LinkChain => Fits::whole(1),
            SettingKey::WeekSummer, SettingKey::WeekWinter => Fits::list(self::number(0, 1000), 7, 7),
            SettingKey::InstrumentMarks => Fits::list(self::number(0.01, 5), 1, 10),
            SettingKey::PlanWeekdays => Fits::list(self::number(1, 7), 0, 7),
            SettingKey::BikeOddWeeks,
            SettingKey::PlanPinned,
            SettingKey::PlanForbidden,
            SettingKey::PlanByHand,
            SettingKey::ChainNotOn
                => Fits::list(Fits::day()),
            SettingKey::LifePoints => Fits::list(Fits::list(self::number(1, 1e6), 2, 2), 1, 50),
            SettingKey::FactorsDeclined => Fits::list(
                fn(mixed $pair): bool => is_array($pair) &&
                    array_keys($pair) === [0, 1] &&
                    Fits::one(Condition::class)($pair[0]) &&
                    self::number(0.001, 20)($pair[1]),
            ),
            SettingKey::InstrumentUncertainty, SettingKey::InstrumentZero => self::number(-5, 100),
            SettingKey::BottleVolumeMl, SettingKey::BottleLeftMl => self::number(0, 1e5),
            SettingKey::PotDiameterMm, SettingKey::PotHeightMm, SettingKey::DripBoxMm => self::number(1, 5000),
            SettingKey::PotLowW, SettingKey::PotHighW => self::number(0, 10_000),
            SettingKey::PotFlashC => self::number(-50, 500),
            SettingKey::PotEfficiency => self::number(0.01, 1),
            SettingKey::PotFitDeclined => Fits::text(36, 36),
            SettingKey::PotLossWPerK => self::number(0, 100),
            SettingKey::FactorIndoor,
            SettingKey::FactorDry,
            SettingKey::FactorDusty,
            SettingKey::FactorDamp,
            SettingKey::FactorWet,
            SettingKey::FactorMuddy
                => self::number(0.001, 20),
            SettingKey::TimeZone => Fits::one(DateTimeZone::listIdentifiers(DateTimeZone::ALL_WITH_BC)),
            SettingKey::DistanceUnit => Fits::one(Units::DISTANCE),
            SettingKey::TemperatureUnit => Fits::one(Units::TEMPERATURE),
            SettingKey::MassUnit => Fits::one(Units::MASS),
            SettingKey::Clock => Fits::one([...Units::CLOCK, ...array_map(intval(...), Units::CLOCK)]),
            SettingKey::FirstDay => self::number(1, 7),
            SettingKey::Currency => Fits::one(Units::CURRENCIES),
            SettingKey::Language => Fits::one(Translator::languages()),
            SettingKey::TopUpsMost, SettingKey::WipeRides => self::number(0, 50),
            SettingKey::DripDryHours => self::number(0, 1000),
            SettingKey::PlanPotTime => Fits::one(['morning', 'evening']),
            SettingKey::PlanFixedMinutes,
            SettingKey::PlanDipMinutes,
            SettingKey::PlanBatchMinutes,
            SettingKey::PlanSwapMinutes,
            SettingKey::PlanTopUpMinutes,
            SettingKey::PlanStripMinutes
                => self::number(0, 1440),
            SettingKey::PlanMarginPct, SettingKey::PlanMarginDeclined => self::number(0, 100),
            SettingKey::PlanHoursWeekly => self::number(0, 168),
            SettingKey::PlanWeeks => self::number(1, 60),
            SettingKey::DripAsWax => self::number(0.01, 20),
        };
    }

    /** @return Closure(mixed): bool a number, also one that was kept as a text */
    private static function number(float $least, float $most): Closure
    {
        $figure = Fits::figure($least, $most);

        return fn(mixed $value): bool => $figure(is_string($value) && is_numeric($value) ? (float) $value : $value);
    }

    /** @return Closure(mixed): bool */
    private static function flag(): Closure
    {
        return Fits::one([0, 1, '0', '1', true, false]);
    }
}
