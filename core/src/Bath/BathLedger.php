<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Model;
use Dripel\Core\Pot\WaxProperties;
use Generator;

/**
 * What is left of the wax in a pot, how dirty it is and what it wants: the book read from its last fill on. Grams, mm,
 * unrounded. Source: mass and volume balance; grit, coil and default pickup are house rules, 100 °C common practice.
 */
final readonly class BathLedger implements Model
{
    private const STEEL_G_PER_ML = 7.85;

    private const FEWEST_DIPS = 2;

    private const FILTERINGS = 2;

    /** @throws InvalidInput at the event that would leave less than nothing in the pot */
    public function __invoke(BathLedgerInput $in): BathLedgerResult
    {
        $last = null;
        foreach ($this->read($in) as $batch) {
            $last = $batch;
        }

        return self::result($in, $last ?? new BathBatch($in->events[0]));
    }

    /**
     * How it came to that, entry by entry.
     *
     * @return list<BathMoment>
     *
     * @throws InvalidInput as above
     */
    public function history(BathLedgerInput $in): array
    {
        $moments = [];
        foreach ($this->read($in) as $i => $batch) {
            $moments[] = new BathMoment($in->events[$i]->atS, $in->events[$i]->kind, $batch->massG, $batch->grit);
        }

        return $moments;
    }

    /** @return Generator<int, BathBatch> as it stands after each event */
    private function read(BathLedgerInput $in): Generator
    {
        $batch = new BathBatch($in->events[0]);
        foreach ($in->events as $i => $event) {
            try {
                $batch = self::after($batch, $event, $in->pickupDefaultG);
            } catch (InvalidInput $e) {
                throw $e->within("events.{$i}");
            }
            yield $i => $batch;
        }
    }

    public function compute(Fields $input): array
    {
        return $this(BathLedgerInput::from($input))->toArray();
    }

    /** A fill begins a batch anew; anything else changes the one that is there. */
    public static function after(BathBatch $batch, BathEvent $event, float $pickupDefaultG): BathBatch
    {
        match ($event->kind) {
            BathEventKind::Fill => ($batch = new BathBatch($event)),
            BathEventKind::TopUp => $batch->topUp($event),
            BathEventKind::Dip => $batch->dip($event, $pickupDefaultG),
            BathEventKind::Filter => $batch->filter($event),
            BathEventKind::Remove => $batch->take($event->waxG, 'wax_g'),
            BathEventKind::Reading => ($batch->maxC = max($batch->maxC ?? -INF, $event->tempC)),
        };

        return $batch;
    }

    /** What a batch comes to in the pot of a book, whatever events that has. */
    public static function result(BathLedgerInput $in, BathBatch $batch): BathLedgerResult
    {
        $steelMl = $batch->heaviestG / self::STEEL_G_PER_ML;
        $depthMm = $in->vessel->depthMm($batch->massG / WaxProperties::LIQUID_G_PER_ML + $steelMl);
        $covers = $depthMm >= $in->coilHeightMm - Check::EPSILON;
        // So much wax has to stay for the coil to be covered with its own steel in it.
        $neededG = max(0.0, ($in->vessel->ml($in->coilHeightMm) - $steelMl) * WaxProperties::LIQUID_G_PER_ML);
        $pickupG = $batch->meanPickupG($in->pickupDefaultG);
        $dipsLeft = $covers ? max(0, (int) floor(($batch->massG - $neededG) / $pickupG + Check::EPSILON)) : 0;
        $overheated = $batch->maxC !== null && $batch->maxC > $in->limitC + Check::EPSILON;
        $gritty = $batch->grit > $in->gritLimit + Check::EPSILON;

        return new BathLedgerResult(
            $batch->massG,
            $batch->massG > 0.0 ? $batch->oilG / $batch->massG : 0.0,
            $batch->dips,
            $depthMm,
            $covers,
            $depthMm > $in->vessel->heightMm + Check::EPSILON,
            $dipsLeft,
            $batch->grit,
            $batch->maxC,
            $overheated,
            match (true) {
                $overheated || ($gritty && $batch->filterings >= self::FILTERINGS) => BathNext::Replace,
                $gritty => BathNext::Filter,
                !$covers || $dipsLeft < self::FEWEST_DIPS => BathNext::TopUp,
                default => BathNext::Ok,
            },
            $pickupG,
            $neededG,
            $batch->weighed(),
        );
    }
}
