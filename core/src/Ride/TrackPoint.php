<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

/**
 * One recorded point: degrees on WGS 84, Unix seconds or null, the number of its segment (from 0), and how far the recorder itself had
 * counted by then. Where nobody knows the place, as on a home trainer, that is all there is.
 */
final readonly class TrackPoint
{
    public function __construct(
        public ?float $lat,
        public ?float $lon,
        public ?float $atS,
        public int $segment,
        public ?float $metres = null,
    ) {}
}
