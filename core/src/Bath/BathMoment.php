<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

/** A bath right after one entry of its book. Unix seconds, g. */
final readonly class BathMoment
{
    public function __construct(public float $atS, public BathEventKind $kind, public float $waxG, public float $grit) {}
}
