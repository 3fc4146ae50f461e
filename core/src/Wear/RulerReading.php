<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Chain\Pitch;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A length over a counted number of pitches, by rule or tape. Lengths in mm. */
final readonly class RulerReading implements WearReadingInput
{
    /** House rule: half a millimetre of rule, read at both ends. */
    public const UNCERTAINTY_MM = 0.25;

    /** House rules: a new chain is no shorter than its play allows, and none is ridden until it is so long. */
    private const PLAY_PCT = 0.1;

    private const LONGEST_PCT = 3.0;

    /** More pitches than any chain has. */
    private const MAX_PITCHES = 1000;

    /** @throws InvalidInput at `pitches` unless 1 to 1000, at `length_mm` or `uncertainty_mm` unless above 0 */
    public function __construct(public int $pitches, public float $lengthMm, public float $uncertaintyMm = self::UNCERTAINTY_MM)
    {
        Check::between('pitches', $pitches, 1, self::MAX_PITCHES);
        Check::positive('length_mm', $lengthMm);
        Check::positive('uncertainty_mm', $uncertaintyMm);
    }

    public static function from(Fields $in): self
    {
        $in->only('kind', 'pitches', 'length_mm', 'uncertainty_mm');

        return new self($in->whole('pitches'), $in->number('length_mm'), $in->number('uncertainty_mm', self::UNCERTAINTY_MM));
    }

    /** A length that no chain has, and what it more likely is; null where it can be. */
    public function slip(): ?RulerSlip
    {
        $nominalMm = $this->pitches * Pitch::MM;
        $short = $this->lengthMm < $nominalMm * (1 - self::PLAY_PCT / 100) - 2 * $this->uncertaintyMm;
        $long = $this->lengthMm > $nominalMm * (1 + self::LONGEST_PCT / 100);

        return match (true) {
            !$short && !$long => null,
            abs(($this->lengthMm * TypedLength::MM_PER_INCH) / $nominalMm - 1) <= self::LONGEST_PCT / 100 => RulerSlip::Inches,
            $long, $this->lengthMm <= $nominalMm - Pitch::MM / 2 => RulerSlip::Miscounted,
            default => RulerSlip::Short,
        };
    }

    public function result(): WearReadingResult
    {
        $nominalMm = $this->pitches * Pitch::MM;

        return new WearReadingResult(
            valuePct: 100 * ($this->lengthMm / $nominalMm - 1),
            sigmaPct: (100 * $this->uncertaintyMm) / $nominalMm,
            lowerPct: null,
            upperPct: null,
        );
    }
}
