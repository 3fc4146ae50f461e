<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

/** A stretch of a lane on the time axis. Unix seconds, or seconds from the start of a plan. */
final readonly class PotDayBlock
{
    public function __construct(public string $code, public int $fromS, public int $toS, public bool $done, public bool $underWay) {}
}
