<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use Dripel\Core\PotDay\DrainSchool;
use Dripel\Core\PotDay\DryBy;
use Dripel\Core\PotDay\PowerProgram;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\PotDay\SoakSchool;

/** Which chains, in which pot, how and by when; what is left open is proposed. Kept with a job, so that it can be planned anew. */
final readonly class PotDayChoices
{
    /**
     * @param list<int> $chainIds
     * @param array<int, RinseSchool> $rinse by chain, where somebody chose
     * @param array<int, bool> $first by chain, where somebody says that it is a first wax, or none
     * @param list<int> $powder
     * @param list<int> $order in which they go in, where somebody chose; empty: the cleanest first
     */
    public function __construct(
        public int $potId,
        public array $chainIds,
        public PowerProgram $program = PowerProgram::Low,
        /** °C of the bath for the first dip; null: well below the limit of the wax. */
        public ?float $targetC = null,
        /** °C of the room, and of wax and chains. */
        public ?float $roomC = null,
        /** Unix seconds by which all should be done; null: as soon as can be. */
        public ?int $byS = null,
        public array $rinse = [],
        public array $first = [],
        public array $powder = [],
        public SoakSchool $firstSoak = SoakSchool::Hour,
        public SoakSchool $rewaxSoak = SoakSchool::Five,
        public DrainSchool $drain = DrainSchool::Slow,
        public DryBy $dryBy = DryBy::WarmAir,
        public bool $linkIn = false,
        public bool $weigh = false,
        public array $order = [],
        public bool $meltIn = false,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'pot' => $this->potId,
            'chains' => $this->chainIds,
            'program' => $this->program->value,
            'target_c' => $this->targetC,
            'room_c' => $this->roomC,
            'by' => $this->byS,
            'rinse' => array_map(fn(RinseSchool $rinse) => $rinse->value, $this->rinse),
            'first' => $this->first,
            'powder' => $this->powder,
            'first_soak' => $this->firstSoak->value,
            'rewax_soak' => $this->rewaxSoak->value,
            'drain' => $this->drain->value,
            'dry_by' => $this->dryBy->value,
            'link_in' => $this->linkIn,
            'weigh' => $this->weigh,
            'order' => $this->order,
            'melt_in' => $this->meltIn,
        ];
    }

    /** @param array{pot: int, chains: list<int>, program: string, target_c: float|null, room_c: float|null, by: int|null, rinse: array<int, string>, first: array<int, bool>, powder: list<int>, first_soak: string, rewax_soak: string, drain: string, dry_by: string, link_in: bool, weigh: bool, order?: list<int>, melt_in?: bool} $kept */
    public static function fromArray(array $kept): self
    {
        return new self(
            $kept['pot'],
            $kept['chains'],
            PowerProgram::from($kept['program']),
            $kept['target_c'],
            $kept['room_c'],
            $kept['by'],
            array_map(RinseSchool::from(...), $kept['rinse']),
            $kept['first'],
            $kept['powder'],
            SoakSchool::from($kept['first_soak']),
            SoakSchool::from($kept['rewax_soak']),
            DrainSchool::from($kept['drain']),
            DryBy::from($kept['dry_by']),
            $kept['link_in'],
            $kept['weigh'],
            $kept['order'] ?? [],
            $kept['melt_in'] ?? false,
        );
    }
}
