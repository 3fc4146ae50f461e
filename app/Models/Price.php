<?php

declare(strict_types=1);

namespace App\Models;

use Dripel\Core\Cost\Supply;

/**
 * What so much of a supply costs from a day on.
 *
 * @property Supply $supply
 * @property int $amount_minor
 * @property float $quantity
 */
final class Price extends Entry
{
    protected $table = 'prices';

    protected function casts(): array
    {
        return ['supply' => Supply::class, 'quantity' => 'float'] + parent::casts();
    }
}
