<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A school of stripping: its steps in order. Data, not code; a workshop may have its own. */
final readonly class Protocol
{
    private const MOST_STEPS = 30;

    /**
     * @param list<ProtocolStep> $steps
     *
     * @throws InvalidInput at `steps` without a bath, without drying after the last bath, or with more than 30 steps
     */
    public function __construct(
        public string $code,
        public array $steps,
        /** Done on the bike: too weak for the pot, only for drip wax. */
        public bool $dripOnly = false,
    ) {
        Check::between('steps', count(Check::notEmpty('steps', $steps)), 1, self::MOST_STEPS);
        $baths = $this->baths();
        $baths !== [] || throw new InvalidInput('steps', 'must hold at least one bath');
        $steps[count($steps) - 1]->kind->isDrying() ||
            throw new InvalidInput('steps', 'must end with drying: a chain wet with solvent never goes near a hot pot');
    }

    public static function from(Fields $in): self
    {
        $in->only('code', 'steps', 'drip_only');

        return new self($in->text('code'), $in->list('steps', ProtocolStep::from(...)), $in->has('drip_only') && $in->yesOrNo('drip_only'));
    }

    /** @return list<ProtocolStep> */
    public function baths(): array
    {
        return array_values(array_filter($this->steps, fn(ProtocolStep $step) => $step->kind->isBath()));
    }

    /** Whether a solvent in it is not advised. */
    public function advised(): bool
    {
        return array_filter($this->baths(), fn(ProtocolStep $bath) => !($bath->solvent?->advised() ?? true)) === [];
    }

    /** Whether its last bath takes off the last film; all schools end with an alcohol. */
    public function endsWithAlcohol(): bool
    {
        $baths = $this->baths();

        return $baths[count($baths) - 1]->solvent?->isAlcohol() ?? false;
    }

    /** @return list<Solvent> in the order in which they are used */
    public function solvents(): array
    {
        $solvents = [];
        foreach ($this->baths() as $bath) {
            $bath->solvent !== null && !in_array($bath->solvent, $solvents, true) && ($solvents[] = $bath->solvent);
        }

        return $solvents;
    }

    /** What one run takes of a solvent from its can, in ml, if nothing has to be repeated. */
    public function volumeMl(Solvent $solvent): float
    {
        return array_sum(array_map(fn(ProtocolStep $bath) => $bath->solvent === $solvent ? $bath->boughtMl() : 0.0, $this->baths()));
    }

    /** @return array<string, float> what a run takes from the can with nothing in the jars, in ml by solvent, of those that are bought */
    public function freshMl(): array
    {
        $stocked = array_filter($this->solvents(), fn(Solvent $solvent) => $solvent->isStocked());

        return array_combine(array_map(fn(Solvent $solvent) => $solvent->value, $stocked), array_map($this->volumeMl(...), $stocked));
    }

    /** How long its timers run, in seconds. */
    public function timedS(): int
    {
        return array_sum(array_map(fn(ProtocolStep $step) => $step->timedS(), $this->steps));
    }

    /** The same with white spirit where it would use petrol. */
    public function withoutPetrol(): self
    {
        return new self(
            $this->code,
            array_map(
                fn(ProtocolStep $step) => $step->solvent === Solvent::Petrol
                    ? new ProtocolStep($step->kind, Solvent::WhiteSpirit, $step->volumeMl, $step->moves, $step->untilClear)
                    : $step,
                $this->steps,
            ),
            $this->dripOnly,
        );
    }

    /** The same for so many chains in one jar. */
    public function forChains(int $chains): self
    {
        return new self($this->code, array_map(fn(ProtocolStep $step) => $step->forChains($chains), $this->steps), $this->dripOnly);
    }

    /**
     * The same for what is on the chains: old oil takes as many baths of the first solvent as bring it down to what a new chain is left
     * with (strip.rinse), wax takes hot water first and then two baths of it at most. Common practice. On the bike no boiling water is
     * poured.
     */
    public function forLoad(Load $load, float $startG): self
    {
        if ($load->isWax()) {
            return $this->dripOnly
                ? $this
                : $this->withBaths(min(2, $this->ofFirst()))->after([
                    new ProtocolStep(StepKind::HotWater),
                    new ProtocolStep(StepKind::Wipe),
                ]);
        }

        return $load === Load::Oiled ? $this->withBaths($this->washesFor($startG)) : $this;
    }

    /** How many baths of its first solvent it has. */
    public function ofFirst(): int
    {
        $first = $this->solvents()[0];

        return count(array_filter($this->baths(), fn(ProtocolStep $bath) => $bath->solvent === $first));
    }

    /**
     * How many baths of its first solvent bring so much on a chain down to what a new chain is left with; never fewer than a new one
     * has.
     */
    public function washesFor(float $startG): int
    {
        $ofNew = $this->ofFirst();
        $of = array_filter($this->baths(), fn(ProtocolStep $bath) => $bath->solvent === $this->solvents()[0]);
        $volumeMl = array_sum(array_map(fn(ProtocolStep $bath) => (float) $bath->volumeMl, $of)) / $ofNew;
        $leftOfNewG = (new StripRinse())(new StripRinseInput($volumeMl, null, $ofNew, null))->leftG;

        return $startG <= StripRinseInput::START_G
            ? $ofNew
            : (new StripRinse())(new StripRinseInput($volumeMl, null, null, $leftOfNewG / $startG, startG: $startG))->washes;
    }

    /**
     * The same with so many baths of its first solvent: the first and the last stay, what is added is like the last before it is
     * looked at.
     */
    private function withBaths(int $wanted): self
    {
        $first = $this->solvents()[0];
        $places = array_keys(array_filter($this->steps, fn(ProtocolStep $step) => $step->solvent === $first));
        $steps = $this->steps;
        $last = $steps[$places[count($places) - 1]];
        $more = $wanted - count($places);
        if ($more >= 0) {
            array_splice($steps, $places[count($places) - 1], 0, array_fill(0, $more, $last->with((float) $last->volumeMl, false)));
        } else {
            foreach (array_slice($places, 1, -$more) as $place) {
                unset($steps[$place]);
            }
        }

        return new self($this->code, array_values($steps), $this->dripOnly);
    }

    /** @param list<ProtocolStep> $before */
    private function after(array $before): self
    {
        return new self($this->code, [...$before, ...$this->steps], $this->dripOnly);
    }

    /**
     * The same with the solvent at hand split evenly into as few baths as leave a fraction of the grease (strip.rinse). The
     * first bath keeps what is done in it, the others are like the last one was, and the last is repeated until clear.
     *
     * @throws InvalidInput at `target_fraction` if that much solvent cannot do it, at `total_ml` if the baths would not cover a chain
     */
    public function split(
        Solvent $solvent,
        float $totalMl,
        float $targetFraction,
        float $carryOverMl = StripRinseInput::CARRY_OVER_ML,
        int $chains = 1,
    ): self {
        $washes = (new StripRinse())(new StripRinseInput(null, $totalMl, null, $targetFraction, $chains * $carryOverMl))->washes;
        $eachMl = $totalMl / $washes;
        if ($eachMl < $chains * ProtocolStep::LEAST_ML) {
            throw new InvalidInput(
                'total_ml',
                sprintf(
                    'would make %d baths of %.0f ml, too little to cover a chain; take more solvent or leave more grease',
                    $washes,
                    $eachMl,
                ),
            );
        }
        $of = array_values(array_filter($this->baths(), fn(ProtocolStep $bath) => $bath->solvent === $solvent));
        $of !== [] || throw new InvalidInput('solvent', 'is not used in this protocol');
        $baths = [];
        for ($wash = 1; $wash <= $washes; $wash++) {
            $baths[] = ($wash === 1 ? $of[0] : $of[count($of) - 1])->with($eachMl, $wash === $washes);
        }
        $steps = [];
        foreach ($this->steps as $step) {
            if ($step->solvent === $solvent) {
                array_push($steps, ...$baths);
                $baths = [];
            } else {
                $steps[] = $step;
            }
        }

        return new self($this->code, $steps, $this->dripOnly);
    }

    /** @return array{code: string, steps: list<array{kind: string, solvent?: string, volume_ml?: float, moves?: list<array{kind: string, seconds: int}>, until_clear?: bool, seconds?: int, water_parts?: float}>, drip_only: bool} */
    public function toArray(): array
    {
        return [
            'code' => $this->code,
            'steps' => array_map(fn(ProtocolStep $step) => $step->toArray(), $this->steps),
            'drip_only' => $this->dripOnly,
        ];
    }
}
