<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Models\Pot;

/** In which pot, and what is known of each chain. */
final readonly class DipTerms
{
    /**
     * @param array<int, float> $pickupsG grams of wax that a chain took along, by chain, where somebody weighed
     * @param list<int> $rinsed chains that were rinsed before
     */
    public function __construct(public ?Pot $pot = null, public array $pickupsG = [], public array $rinsed = []) {}
}
