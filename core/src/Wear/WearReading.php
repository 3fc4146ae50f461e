<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Model;

/**
 * How far a chain has grown over its nominal length, from what an instrument showed. In mm and percent, out percent.
 * Rule: 100·(L/(n·p) − 1) with p = 12.7 mm; digital gauge: value − zero; drop-in gauge: the tightest interval of its
 * marks, open where no mark bounds it (null); several spots: the worst.
 * Source: ISO 9633 for the pitch (memory); reading a drop-in gauge: common practice; 0.1 % part-way: house rule.
 */
final readonly class WearReading implements Model
{
    public function __invoke(WearReadingInput $in): WearReadingResult
    {
        return $in->result();
    }

    public function compute(Fields $input): array
    {
        $reading = self::input($input);
        $result = $this($reading);

        return $result->toArray() + ($reading instanceof SpotsReading ? ['spread_pct' => $result->spreadPct] : []);
    }

    /** @throws InvalidInput */
    public static function input(Fields $in): WearReadingInput
    {
        if ($in->text('kind') !== 'spots') {
            return self::spot($in);
        }
        $in->only('kind', 'spots');

        return new SpotsReading($in->list('spots', self::spot(...)));
    }

    private static function spot(Fields $in): WearReadingInput
    {
        return match ($in->text('kind')) {
            'ruler' => RulerReading::from($in),
            'drop_in' => DropInReading::from($in),
            'digital' => DigitalReading::from($in),
            'spots' => throw new InvalidInput('kind', 'must not be spots again'),
            default => throw new InvalidInput('kind', 'must be one of ruler, drop_in, digital, spots'),
        };
    }
}
