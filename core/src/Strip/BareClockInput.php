<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** When the last bath ended and what time it is, in Unix seconds; the limit in hours, above 0. */
final readonly class BareClockInput
{
    /** @throws InvalidInput at `now` if before the strip, at `limit_hours` unless above 0 */
    public function __construct(public float $strippedAtS, public float $nowS, public float $limitHours = BareClock::LIMIT_HOURS)
    {
        Check::positive('limit_hours', $limitHours);
        if ($nowS < $strippedAtS) {
            throw new InvalidInput('now', 'must not be before stripped_at');
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('stripped_at', 'now', 'limit_hours');

        return new self(
            $in->time('stripped_at')->unixSeconds,
            $in->time('now')->unixSeconds,
            $in->number('limit_hours', BareClock::LIMIT_HOURS),
        );
    }
}
