<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * How long a stripped chain may stay bare: limit − hours since its last bath. Hours in and out, unrounded.
 * `soon` from a quarter of the limit on, `late` at 0. Source: wax within 12 hours, common practice.
 */
final readonly class BareClock implements Model
{
    public const LIMIT_HOURS = 12.0;

    private const SECONDS_PER_HOUR = 3600;

    public function __invoke(BareClockInput $in): BareClockResult
    {
        $hoursLeft = $in->limitHours - ($in->nowS - $in->strippedAtS) / self::SECONDS_PER_HOUR;

        return new BareClockResult(
            $hoursLeft,
            match (true) {
                $hoursLeft <= Check::EPSILON => BareState::Late,
                $hoursLeft <= $in->limitHours / 4 + Check::EPSILON => BareState::Soon,
                default => BareState::Ok,
            },
        );
    }

    public function compute(Fields $input): array
    {
        return $this(BareClockInput::from($input))->toArray();
    }
}
