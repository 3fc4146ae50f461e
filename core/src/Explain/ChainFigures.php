<?php

declare(strict_types=1);

namespace Dripel\Core\Explain;

use Dripel\Core\Interval\DueBecause;
use Dripel\Core\Interval\WaxLifeInput;
use Dripel\Core\Interval\WaxLifeResult;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\GoodUntil;
use Dripel\Core\Strip\BareClock;
use Dripel\Core\Wear\DigitalReading;
use Dripel\Core\Wear\DropInReading;
use Dripel\Core\Wear\RulerReading;
use Dripel\Core\Wear\Seat;
use Dripel\Core\Wear\SpotsReading;
use Dripel\Core\Wear\WearReadingInput;

/** The explanations of a chain's figures, told from the very values that ChainState computed them from. */
final readonly class ChainFigures
{
    public function __construct(private ChainState $chain, private Settings $settings) {}

    /** @return list<Why> every figure the chain has */
    public function all(?GoodUntil $goodUntil = null): array
    {
        return array_values(
            array_filter([
                $this->left(),
                $goodUntil === null ? null : $this->goodUntil($goodUntil),
                $this->bare(),
                $this->distance(),
                $this->wear(),
            ]),
        );
    }

    private function left(): ?Why
    {
        [$life, $cycle] = [$this->chain->wax->life, $this->chain->wax->cycle];
        if ($life === null || $cycle === null || !$this->chain->wax->known) {
            return null;
        }
        $byKm = !$this->chain->left()->byHours;
        $lines = $byKm ? [new WhyLine('interval', $cycle->intervalKm, 'km', Origin::Setting), ...$this->cycleLines($cycle, $life)] : [];
        if ($cycle->intervalHours !== null) {
            $lines[] = new WhyLine('hours', $life->hours, 'h', Origin::Computed, ['limit' => $cycle->intervalHours]);
        }
        if ($life->because === DueBecause::Noise) {
            $lines[] = new WhyLine('noise', 0.0, $byKm ? 'km' : 'h', Origin::Logbook);
        }

        return $byKm ? new Why('left', $life->leftKm, 'km', $lines) : new Why('left', $life->leftHours, 'h', $lines);
    }

    /** @return list<WhyLine> */
    private function cycleLines(WaxLifeInput $cycle, WaxLifeResult $life): array
    {
        $lines = [];
        $topUpsAfter = [];
        foreach ($cycle->topUps as $topUp) {
            $topUpsAfter[$topUp->afterRide][] = $topUp;
        }
        for ($i = -1; $i < count($cycle->rides); $i++) {
            if ($i >= 0) {
                $ride = $cycle->rides[$i];
                $entry = $this->chain->wax->rides[$i];
                $house = $this->settings->factors($entry->moment->unixS)->isHouseRule($ride->condition);
                $lines[] = new WhyLine(
                    $entry->bikeId === null
                        ? ($this->chain->wax->dip?->partly === true
                            ? 'partly'
                            : 'came_with')
                        : ($entry->guess === null
                            ? 'ride'
                            : 'estimated'),
                    -$ride->effectiveKm,
                    'km',
                    $house ? Origin::HouseRule : Origin::Setting,
                    [
                        'at' => $entry->moment->unixS,
                        'km' => $ride->km,
                        'factor' => $ride->factor,
                        'condition' => $ride->condition->value,
                        'left' => $life->rideLeftKm[$i],
                    ],
                );
            }
            foreach ($topUpsAfter[$i] ?? [] as $topUp) {
                $lines[] = new WhyLine('topup', $topUp->km, 'km', Origin::CommonPractice, [
                    'left' => $life->leftAfterKm[$i] ?? $cycle->intervalKm,
                ]);
            }
        }

        return $lines;
    }

    private function goodUntil(GoodUntil $goodUntil): Why
    {
        $life = $this->chain->wax->life;
        $unit = $goodUntil->byHours ? 'h' : 'km';
        $lines = [new WhyLine('left', ($goodUntil->byHours ? $life?->leftHours : $life?->leftKm) ?? 0.0, $unit, Origin::Computed)];
        foreach ($goodUntil->taken as [$date, $takes]) {
            $lines[] = new WhyLine('expected', -$takes, $unit, Origin::HouseRule, ['date' => $date]);
        }
        $short = $goodUntil->shortHours ?? $goodUntil->shortKm;
        if ($short !== null) {
            $lines[] = new WhyLine('short', $short, $unit, Origin::Computed, ['date' => $goodUntil->date]);
        }

        return new Why('good_until', (float) $goodUntil->daysAhead, 'd', $lines);
    }

    private function bare(): ?Why
    {
        $bare = $this->chain->dryness->bare;

        return $bare === null
            ? null
            : new Why('bare', $bare->hoursLeft, 'h', [
                new WhyLine('limit', BareClock::LIMIT_HOURS, 'h', Origin::CommonPractice),
                new WhyLine('bare_since', -($this->chain->nowS - (int) $this->chain->dryness->bareSinceS) / 3600, 'h', Origin::Logbook, [
                    'at' => $this->chain->dryness->bareSinceS,
                ]),
            ]);
    }

    private function distance(): Why
    {
        $km = $this->chain->km->km;
        $cycleKm = $this->chain->wax->cycleKm()->km;
        $estimatedKm = array_sum(array_map(fn(Ride $ride) => $ride->guess === null ? 0.0 : $ride->km, $this->chain->wax->rides));

        $opening = $this->chain->opening;

        return new Why('km', $km, 'km', [
            ...$opening?->km === null
                ? [
                    new WhyLine('before_cycle', $km - $cycleKm, 'km', Origin::Logbook),
                    new WhyLine('in_cycle', $cycleKm, 'km', Origin::Logbook),
                ]
                : [
                    new WhyLine('opening', $opening->km, 'km', Origin::Logbook, ['at' => $opening->moment->unixS]),
                    new WhyLine('since_opening', $km - $opening->km, 'km', Origin::Logbook),
                ],
            ...$estimatedKm > 0 ? [new WhyLine('of_that_estimated', $estimatedKm, 'km', Origin::Computed)] : [],
        ]);
    }

    private function wear(): ?Why
    {
        [$wear, $reading] = [$this->chain->wear->result, $this->chain->wear->reading];
        if ($wear === null || $reading === null) {
            return null;
        }

        return new Why('wear', $wear->atLeastPct(), '%', [
            ...$this->readingLines($reading->input()),
            new WhyLine(
                'measured_at',
                $this->chain->wear->atKm?->whole === true ? $this->chain->wear->atKm->km : null,
                'km',
                Origin::Logbook,
                ['at' => $reading->moment->unixS],
            ),
            new WhyLine('limit', $this->chain->terms->limitPct, '%', Origin::Setting),
        ]);
    }

    /** @return list<WhyLine> */
    private function readingLines(WearReadingInput $input): array
    {
        return match (true) {
            $input instanceof RulerReading => [
                new WhyLine('ruler', $input->lengthMm, 'mm', Origin::Logbook, ['pitches' => $input->pitches]),
                new WhyLine('uncertainty', $input->result()->sigmaPct, '%', Origin::HouseRule),
            ],
            $input instanceof DigitalReading => [
                new WhyLine('digital', $input->valuePct, '%', Origin::Logbook, ['zero' => $input->zeroPct]),
                new WhyLine('uncertainty', $input->uncertaintyPct, '%', Origin::HouseRule),
            ],
            $input instanceof DropInReading => array_map(
                fn($at) => new WhyLine(
                    "seat_{$at->seat->value}",
                    $at->markPct,
                    '%',
                    $at->seat === Seat::Part ? Origin::HouseRule : Origin::Logbook,
                ),
                $input->results,
            ),
            $input instanceof SpotsReading => array_merge(...array_map($this->readingLines(...), $input->spots)),
            default => [],
        };
    }
}
