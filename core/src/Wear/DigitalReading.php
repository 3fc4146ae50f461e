<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** What a digital gauge showed, and what it showed when closed. All in percent elongation. */
final readonly class DigitalReading implements WearReadingInput
{
    /** House rule: several readings of one spot agree about so well. */
    public const UNCERTAINTY_PCT = 0.05;

    /** @throws InvalidInput at `value_pct` or `zero_pct` unless finite, at `uncertainty_pct` unless above 0 */
    public function __construct(public float $valuePct, public float $uncertaintyPct = self::UNCERTAINTY_PCT, public float $zeroPct = 0.0)
    {
        Check::finite('value_pct', $valuePct);
        Check::positive('uncertainty_pct', $uncertaintyPct);
        Check::finite('zero_pct', $zeroPct);
    }

    public static function from(Fields $in): self
    {
        $in->only('kind', 'value_pct', 'uncertainty_pct', 'zero_pct');

        return new self($in->number('value_pct'), $in->number('uncertainty_pct', self::UNCERTAINTY_PCT), $in->number('zero_pct', 0.0));
    }

    public function result(): WearReadingResult
    {
        return new WearReadingResult($this->valuePct - $this->zeroPct, $this->uncertaintyPct, null, null);
    }
}
