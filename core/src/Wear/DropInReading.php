<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** What a drop-in gauge did at its marks. It gives an interval, never a value. */
final readonly class DropInReading implements WearReadingInput
{
    /** House rule: a tooth that goes in part of the way is within this much below the mark, in percent. */
    public const PART_WAY_PCT = 0.1;

    private ?float $lowerPct;

    private ?float $upperPct;

    /**
     * @param list<SeatAtMark> $results
     *
     * @throws InvalidInput at `results` if empty, or if the marks contradict each other
     */
    public function __construct(public array $results)
    {
        [$lower, $upper] = [[], []];
        foreach (Check::notEmpty('results', $results) as $at) {
            match ($at->seat) {
                Seat::Enters => ($lower[] = $at->markPct),
                Seat::Rests => ($upper[] = $at->markPct),
                Seat::Part => ([$lower[], $upper[]] = [$at->markPct - self::PART_WAY_PCT, $at->markPct]),
            };
        }
        $this->lowerPct = $lower === [] ? null : max($lower);
        $this->upperPct = $upper === [] ? null : min($upper);
        if ($this->lowerPct !== null && $this->upperPct !== null && $this->lowerPct >= $this->upperPct - Check::EPSILON) {
            throw new InvalidInput('results', 'contradict each other: look again at the marks and measure once more');
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('kind', 'results');

        return new self($in->list('results', SeatAtMark::from(...)));
    }

    public function result(): WearReadingResult
    {
        return new WearReadingResult(null, null, $this->lowerPct, $this->upperPct);
    }
}
