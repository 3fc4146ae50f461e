<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\Condition;

/** Everything about a workshop, bike or chain that a person may change later. Each is kept with the date it holds from. */
enum SettingKey: string
{
    case BikeName = 'bike.name';
    /** Weeks that say nothing of how it is usually ridden, by their Mondays, ["2026-08-03"]. */
    case BikeOddWeeks = 'bike.odd_weeks';
    /** Who rides it, as a name; null: everybody. */
    case BikeRider = 'bike.rider';
    case BikeKind = 'bike.kind';
    case BikeSpeeds = 'bike.speeds';
    /** Disc, rim or hub: what is covered when something is dripped or brushed on the bike. */
    case BikeBrakes = 'bike.brakes';
    /** km of wax between two dips. */
    case IntervalKm = 'bike.interval_km';
    /** Hours between two dips, null: only distance counts. */
    case IntervalHours = 'bike.interval_hours';
    case LimitSchool = 'bike.limit_school';
    /** 1: the bike is re-waxed by ear, at the interval that was learned. */
    case ByEar = 'bike.by_ear';
    /** 1: its chains see no pot and live on drip wax alone, every interval. */
    case DripOnly = 'bike.drip_only';
    /** With which chain it goes from oil to wax: keep or new; null: nobody decided. */
    case BikeConvert = 'bike.convert';
    /** What it is ridden in summer and winter, km by weekday from Monday: [0, 36, 0, 0, 0, 50, 74]; null: as in the last eight weeks. */
    case WeekSummer = 'bike.week_summer';
    case WeekWinter = 'bike.week_winter';
    /** How many km a chain should live, for the advice on the interval. */
    case TargetLifeKm = 'bike.target_life_km';
    /** An interval that was advised and declined, in km. */
    case DeclinedKm = 'bike.declined_km';
    /** How many chains in use the bike wants: with fewer it is told to buy. */
    case ChainsWanted = 'bike.chains_wanted';
    case ChainLabel = 'chain.label';
    case ChainSpeeds = 'chain.speeds';
    case ChainPitches = 'chain.pitches';
    /** What is on it when it comes: storage grease, old oil, wax of the factory. */
    case ChainLoad = 'chain.load';
    /** How it is closed: a quick link, or a pin. */
    case ChainJoint = 'chain.joint';
    /** 1: it has an outer side. */
    case ChainDirectional = 'chain.directional';
    case ChainMassG = 'chain.mass_g';
    /** km between two drips of a chain that sees no pot, whatever its bike does; null: it goes with its bike. */
    case ChainDripKm = 'chain.drip_interval_km';
    /** In minor units of the workshop's currency. */
    case ChainPrice = 'chain.price_minor';
    /** YYYY-MM-DD */
    case ChainBoughtOn = 'chain.bought_on';
    /** The event that a chain is kept for, its day (YYYY-MM-DD), and the day after which it has to be dipped for it. */
    case ChainEvent = 'chain.event';
    case ChainEventOn = 'chain.event_on';
    case ChainDippedAfter = 'chain.dipped_after';
    /** The bike whose rail a chain hangs on. */
    case ChainHome = 'chain.home';
    /** What a cassette, chainring, pair of jockey wheels or quick link is called. */
    case PartName = 'part.name';
    /** What somebody saw of its teeth, from then on: TeethSeen. */
    case PartTeeth = 'part.teeth';
    /** 1: the grease of a quick link that was opened after its chain was stripped has been washed off it alone. */
    case LinkStripped = 'link.stripped';
    /** In minor units of the workshop's currency. */
    case PartPrice = 'part.price_minor';
    /** 1: a cassette that sits on a home trainer; indoor rides go to it. */
    case OnTrainer = 'part.on_trainer';
    /** What an instrument is called, and how it reads. */
    case InstrumentName = 'instrument.name';
    case InstrumentKind = 'instrument.kind';
    /** Of a drop-in gauge: its marks in percent, [0.5, 0.75]. */
    case InstrumentMarks = 'instrument.marks';
    /** Of a rule: over how many pitches it reads. */
    case InstrumentPitches = 'instrument.pitches';
    /** In mm of a rule, in percent of a digital gauge. */
    case InstrumentUncertainty = 'instrument.uncertainty';
    /** Of a digital gauge: what it shows when closed. */
    case InstrumentZero = 'instrument.zero_pct';
    /** 1: it is not used any more. */
    case InstrumentGone = 'instrument.gone';
    /** The chain that a quick link closes. */
    case LinkChain = 'link.chain';
    /** How many closings the maker of a quick link allows; null: unknown. */
    case LinkClosings = 'link.closings';
    case LinkSpeeds = 'link.speeds';
    case LinkPrice = 'link.price_minor';
    /** What a solvent jar is called. */
    case JarName = 'jar.name';
    case JarRole = 'jar.role';
    /** 1: out of use. */
    case JarGone = 'jar.gone';
    /** What a bottle of drip wax is called. */
    case BottleName = 'bottle.name';
    /** What it held when it was full. */
    case BottleVolumeMl = 'bottle.volume_ml';
    /** In minor units of the workshop's currency. */
    case BottlePrice = 'bottle.price_minor';
    /** YYYY-MM-DD; null: it is still shut. */
    case BottleOpenedOn = 'bottle.opened_on';
    /** What somebody saw to be left in it, from then on. */
    case BottleLeftMl = 'bottle.left_ml';
    /** 1: it is empty or was thrown away. */
    case BottleGone = 'bottle.gone';
    /** What a pot is called. */
    case PotName = 'pot.name';
    case PotKind = 'pot.kind';
    case PotDiameterMm = 'pot.diameter_mm';
    case PotHeightMm = 'pot.height_mm';
    case PotLowW = 'pot.low_w';
    case PotHighW = 'pot.high_w';
    /** The kind of wax in it. */
    case PotWax = 'pot.wax';
    /** Flash point of the lamp oil in it, by its sheet. */
    case PotFlashC = 'pot.flash_c';
    /** Found from a logged heat-up: the part of its power that reaches the wax, and what it loses. */
    case PotEfficiency = 'pot.efficiency';
    case PotLossWPerK = 'pot.loss_w_per_k';
    /** The pot day whose heat-up was not to change them. */
    case PotFitDeclined = 'pot.fit_declined';
    /** How many chains its owner puts in at once, as they are laid; null: as many as are reckoned to fit. */
    case PotAtOnce = 'pot.at_once';
    /** How a chain lies in it: coiled, or flat in a pan. */
    case PotLay = 'pot.lay';
    /** 1: it is kept clean for race chains. */
    case PotForRaces = 'pot.for_races';
    /** 1: it is not used any more. */
    case PotGone = 'pot.gone';
    case FactorIndoor = 'factor.indoor';
    case FactorDry = 'factor.dry';
    case FactorDusty = 'factor.dusty';
    case FactorDamp = 'factor.damp';
    case FactorWet = 'factor.wet';
    case FactorMuddy = 'factor.muddy';
    /** List of pairs: a condition and the learned factor that was declined for it. */
    case FactorsDeclined = 'workshop.factors_declined';
    case WorkshopName = 'workshop.name';
    case TimeZone = 'workshop.time_zone';
    case DistanceUnit = 'workshop.distance_unit';
    case TemperatureUnit = 'workshop.temperature_unit';
    case MassUnit = 'workshop.mass_unit';
    /** '24' or '12' hours. */
    case Clock = 'workshop.clock';
    /** The ISO weekday that a week begins with. */
    case FirstDay = 'workshop.first_day';
    case Currency = 'workshop.currency';
    case Language = 'workshop.language';
    /** When a dipped chain may be ridden. */
    case ReadySchool = 'workshop.ready_school';
    /** How often a chain may be topped up between two dips. */
    case TopUpsMost = 'workshop.topups_most';
    /** How long drip wax has to dry. */
    case DripDryHours = 'workshop.drip_dry_hours';
    /** How wide the box is in which chains are dripped, inside; null: nobody measured it. */
    case DripBoxMm = 'workshop.drip_box_mm';
    /** Whether a chain that lives on drip wax is cleaned with solvent now and then, or never. */
    case DripCleanSchool = 'workshop.drip_clean';
    /** Whether the excess is wiped off. */
    case ExcessSchool = 'workshop.excess_school';
    /** After how many rides a chain wants a cloth; 0: never asked for. */
    case WipeRides = 'workshop.wipe_rides';
    /** Weekdays on which the pot may be heated, 1 Monday to 7 Sunday: [4, 6, 7]. */
    case PlanWeekdays = 'plan.weekdays';
    /** In the evening, so that its chains are there the next day, or in the morning. */
    case PlanPotTime = 'plan.pot_time';
    /** Minutes of a pot day, of each dip, of each batch, of a swap, of a top-up and of a strip. */
    case PlanFixedMinutes = 'plan.fixed_minutes';
    case PlanDipMinutes = 'plan.dip_minutes';
    case PlanBatchMinutes = 'plan.batch_minutes';
    case PlanSwapMinutes = 'plan.swap_minutes';
    case PlanTopUpMinutes = 'plan.topup_minutes';
    case PlanStripMinutes = 'plan.strip_minutes';
    /** So many percent more than expected the wax has to do. */
    case PlanMarginPct = 'plan.margin_pct';
    /** A margin that was proposed and declined. */
    case PlanMarginDeclined = 'plan.margin_declined';
    /** Hours a week that one is willing to spend on all of it; null: nobody said. */
    case PlanHoursWeekly = 'plan.hours_weekly';
    /** How many weeks are planned. */
    case PlanWeeks = 'plan.weeks';
    /** Days on which the pot is heated whatever it costs, and on which it is not, ["2026-12-05", "2026-12-19"]. */
    case PlanPinned = 'plan.pinned';
    case PlanForbidden = 'plan.forbidden';
    /** Not asked any more: the pot days of a plan by hand. What was said is read as PlanPinned. */
    case PlanByHand = 'plan.by_hand';
    /** Not asked any more: whether a plan by hand may use the bottle, and whether the plan is followed. It always is. */
    case PlanBottle = 'plan.bottle';
    case PlanFollowed = 'plan.followed';
    /** Days on which the pot is heated without this chain. */
    case ChainNotOn = 'chain.not_on';
    /** Not asked any more: how many km a chain on plain drip lives. What was said is read as DripAsWax. */
    case PlainDripLifeKm = 'plain_drip.life_km';
    /** A coat of drip wax wears like a wax interval so many times as long; null: the house rule. */
    case DripAsWax = 'plain_drip.as_wax';
    /** km between two doses of plain drip; null: as a top-up. */
    case PlainDripEveryKm = 'plain_drip.every_km';
    /** What an hour of one's time is worth, in minor units of the workshop's currency; null: nothing. */
    case HourPrice = 'workshop.hour_minor';
    /** How long a chain is expected to live by its interval, km and km, [[200, 25000], [300, 15000]]: LifeCurve. */
    case LifePoints = 'workshop.life_points';
    /** From what the rain is known; null: it is not asked for. */
    case Weather = 'workshop.weather';
    /** What a new bike starts with: km between two dips. */
    case UsualIntervalKm = 'workshop.interval_km';
    /** What a new bike starts with: the school of its wear limit. */
    case UsualLimitSchool = 'workshop.limit_school';

    /** What a kilometre in a condition takes. */
    public static function factorOf(Condition $condition): self
    {
        return self::from("factor.{$condition->value}");
    }

    /** Whether its value is a list. */
    public function isList(): bool
    {
        return match ($this) {
            self::WeekSummer,
            self::WeekWinter,
            self::InstrumentMarks,
            self::PlanWeekdays,
            self::ChainNotOn,
            self::PlanByHand,
            self::BikeOddWeeks,
            self::PlanPinned,
            self::PlanForbidden,
            self::LifePoints,
            self::FactorsDeclined
                => true,
            default => false,
        };
    }

    /** Whether derivations ask for the value of a past day: only then does the date of a change matter. */
    public function isDated(): bool
    {
        return match ($this) {
            self::IntervalKm,
            self::IntervalHours,
            self::ByEar,
            self::DripOnly,
            self::ChainDripKm,
            self::LimitSchool,
            self::ChainHome,
            self::FactorIndoor,
            self::FactorDry,
            self::FactorDusty,
            self::FactorDamp,
            self::FactorWet,
            self::FactorMuddy
                => true,
            default => false,
        };
    }
}
