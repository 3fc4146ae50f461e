<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Bath\Vessel;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\PowerKnown;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\Strip\BathSource;

/** The pot of a pot day with the wax in it, and the schools by which it is done. */
final readonly class PotDayTerms
{
    /**
     * @param PotHeatInput $pot as it stands before it is plugged in: its power is that of `heatW`, its target the bath for the first dip
     *
     * @throws InvalidInput at `target_c` above the limit of the wax or within its melting range
     */
    public function __construct(
        public PotHeatInput $pot,
        public Vessel $vessel,
        public PotKind $kind,
        public WaxKind $wax,
        public float $limitC,
        public PowerProgram $program = PowerProgram::Low,
        /** W that it is held on once it is hot. */
        public float $holdW = 0.0,
        public float $oilFraction = 0.0,
        public float $grit = 0.0,
        public bool $overheatedBefore = false,
        public SoakSchool $firstSoak = SoakSchool::Hour,
        public SoakSchool $rewaxSoak = SoakSchool::Five,
        public DrainSchool $drain = DrainSchool::Slow,
        public DryBy $dryBy = DryBy::WarmAir,
        /** Common practice, two schools: the quick link goes in tied on, or stays out because a waxed one is hard to close. */
        public bool $linkIn = false,
        public bool $weigh = false,
        /** @var list<BathSource> the two jars, where a chain goes through them */
        public array $jars = [],
        /** Chains in one batch, as the owner of the pot says; null: as many as are reckoned to fit. */
        public ?int $atOnce = null,
        public PotLay $lay = PotLay::Coiled,
        /** Whether this pot is kept clean for race chains, and whether another one is. */
        public bool $forRaces = false,
        public bool $otherForRaces = false,
        public PowerKnown $power = PowerKnown::Said,
        /** Common practice, a school: what is dry lies on the set wax and sinks in as it melts. */
        public bool $meltIn = false,
    ) {
        $pot->targetC <= $limitC || throw new InvalidInput('target_c', sprintf('must be %g or less: the limit of this wax', $limitC));
        $pot->targetC >= $pot->wax->meltToC ||
            throw new InvalidInput('target_c', sprintf('must be %g or more: below it the wax is not all liquid', $pot->wax->meltToC));
    }

    /** Warm enough to run in, with room for a slip of the dial: house rule. */
    public static function usualTargetC(float $limitC): float
    {
        return min(80.0, $limitC - 12.0);
    }

    /** @return array<string, mixed> as a job keeps it */
    public function toArray(): array
    {
        return [
            'pot' => [
                'wax_g' => $this->pot->waxG,
                'start_c' => $this->pot->startC,
                'ambient_c' => $this->pot->ambientC,
                'power_w' => $this->pot->powerW,
                'loss_w_per_k' => $this->pot->lossWPerK,
                'target_c' => $this->pot->targetC,
                'efficiency' => $this->pot->efficiency,
            ],
            'vessel' => [$this->vessel->diameterMm, $this->vessel->heightMm],
            'kind' => $this->kind->value,
            'wax' => $this->wax->value,
            'limit_c' => $this->limitC,
            'program' => $this->program->value,
            'hold_w' => $this->holdW,
            'oil_fraction' => $this->oilFraction,
            'grit' => $this->grit,
            'overheated_before' => $this->overheatedBefore,
            'first_soak' => $this->firstSoak->value,
            'rewax_soak' => $this->rewaxSoak->value,
            'drain' => $this->drain->value,
            'dry_by' => $this->dryBy->value,
            'link_in' => $this->linkIn,
            'weigh' => $this->weigh,
            'at_once' => $this->atOnce,
            'lay' => $this->lay->value,
            'for_races' => $this->forRaces,
            'other_for_races' => $this->otherForRaces,
            'power' => $this->power->value,
            'melt_in' => $this->meltIn,
        ];
    }

    /** @param array{pot: array{wax_g: float, start_c: float, ambient_c: float, power_w: float, loss_w_per_k: float, target_c: float, efficiency: float}, vessel: array{float, float}, kind: string, wax: string, limit_c: float, program: string, hold_w: float, oil_fraction: float, grit: float, overheated_before: bool, first_soak: string, rewax_soak: string, drain: string, dry_by: string, link_in: bool, weigh: bool, at_once?: int|null, lay?: string, for_races?: bool, other_for_races?: bool, power?: string, melt_in?: bool} $kept */
    public static function fromArray(array $kept): self
    {
        ['pot' => $pot, 'vessel' => $vessel] = $kept;

        return new self(
            new PotHeatInput(
                $pot['wax_g'],
                $pot['start_c'],
                $pot['ambient_c'],
                $pot['power_w'],
                $pot['loss_w_per_k'],
                $pot['target_c'],
                $pot['efficiency'],
            ),
            new Vessel($vessel[0], $vessel[1]),
            PotKind::from($kept['kind']),
            WaxKind::from($kept['wax']),
            $kept['limit_c'],
            PowerProgram::from($kept['program']),
            $kept['hold_w'],
            $kept['oil_fraction'],
            $kept['grit'],
            $kept['overheated_before'],
            SoakSchool::from($kept['first_soak']),
            SoakSchool::from($kept['rewax_soak']),
            DrainSchool::from($kept['drain']),
            DryBy::from($kept['dry_by']),
            $kept['link_in'],
            $kept['weigh'],
            atOnce: $kept['at_once'] ?? null,
            lay: PotLay::from($kept['lay'] ?? PotLay::Coiled->value),
            forRaces: $kept['for_races'] ?? false,
            otherForRaces: $kept['other_for_races'] ?? false,
            power: PowerKnown::from($kept['power'] ?? PowerKnown::Said->value),
            meltIn: $kept['melt_in'] ?? false,
        );
    }

    public function soak(PotDayChain $chain): SoakSchool
    {
        return $chain->first ? $this->firstSoak : $this->rewaxSoak;
    }
}
