<?php

declare(strict_types=1);

namespace App\Actions\Drip;

use App\Models\Bottle;

/** What a top-up is good for (km), and what it took from which bottle (ml; null: nobody said). */
final readonly class DripFacts
{
    public function __construct(public float $km, public ?float $ml = null, public ?Bottle $bottle = null) {}

    /** @return array<string, mixed> the columns of its row */
    public function columns(): array
    {
        return ['km' => $this->km, 'ml' => $this->ml, 'bottle_id' => $this->bottle?->id];
    }
}
