<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Models\Chain;
use Dripel\Core\Strip\Solvent;

/** What somebody wants to strip and how; what is left open is proposed. */
final readonly class StripChoices
{
    /**
     * @param list<Chain> $chains
     * @param list<array{jar: int|null, into: int|null}>|null $sources one for each bath; null: as proposed
     */
    public function __construct(
        public array $chains,
        public string $protocol,
        /** Grease on each chain; null: the house rule for what is on it. */
        public ?float $startG = null,
        public ?array $sources = null,
        /** White spirit in the place of petrol. */
        public bool $withoutPetrol = false,
        /** The solvent at hand to be split anew, with how much there is and what part of the grease may stay. */
        public ?Solvent $split = null,
        public float $totalMl = 0.0,
        public float $targetFraction = 0.0,
    ) {}
}
