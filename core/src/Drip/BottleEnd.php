<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

/** When a bottle came off the shelf, Unix seconds, and whether it was empty by then. */
final readonly class BottleEnd
{
    public function __construct(public int $atS, public bool $emptied) {}
}
