<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A distance in km as ridden. Not `whole`: it is at least this, and nobody knows how much more. */
final readonly class Distance
{
    public function __construct(public float $km, public bool $whole = true) {}
}
