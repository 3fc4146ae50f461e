<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

/** One recorded point: degrees on WGS 84, Unix seconds or null, and the number of its segment (from 0). */
final readonly class TrackPoint
{
    public function __construct(public float $lat, public float $lon, public ?float $atS, public int $segment) {}
}
