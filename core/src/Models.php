<?php

declare(strict_types=1);

namespace Dripel\Core;

/** The one list of models that can be called by name. A new model adds its line here. */
final class Models
{
    /** @var array<string, class-string<Model|FileModel>> */
    public const ALL = [
        'bare.clock' => Strip\BareClock::class,
        'bath.ledger' => Bath\BathLedger::class,
        'chain.length' => Chain\ChainLength::class,
        'chain.match' => Chain\ChainMatch::class,
        'drip.dose' => Drip\DripDose::class,
        'factors.learn' => Interval\FactorsLearn::class,
        'interval.advise' => Interval\IntervalAdvise::class,
        'interval.economy' => Interval\IntervalEconomy::class,
        'interval.learn' => Interval\IntervalLearn::class,
        'plan.pot_days' => Plan\PotDays::class,
        'plan.risk' => Plan\PlanRisk::class,
        'plan.simulate' => Plan\Simulate::class,
        'pot.calibrate' => Pot\PotCalibrate::class,
        'pot.dip' => Pot\PotDip::class,
        'pot.heat' => Pot\PotHeat::class,
        'ride.track' => Ride\RideTrack::class,
        'solvent.hazard' => Strip\SolventHazard::class,
        'strip.cascade' => Strip\StripCascade::class,
        'strip.rinse' => Strip\StripRinse::class,
        'wax.life' => Interval\WaxLife::class,
        'wear.forecast' => Wear\WearForecast::class,
        'wear.reading' => Wear\WearReading::class,
    ];
}
