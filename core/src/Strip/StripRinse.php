<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Model;

/**
 * What a chain keeps of its grease after rinsing in fresh baths one after the other: each leaves v/(V + v) of it, v what
 * the chain carries over, V the bath, in ml; grams in and out, unrounded. Many small baths beat one large one.
 * Source: serial washing with ideal mixing, as in textbooks of extraction (memory). Ideal: real grease mixes more slowly.
 */
final readonly class StripRinse implements Model
{
    /** Far more than anybody rinses; a target that asks for more is out of reach. */
    public const MOST_WASHES = 100_000;

    /** @throws InvalidInput at `target_fraction` if no number of washes reaches it */
    public function __invoke(StripRinseInput $in): StripRinseResult
    {
        $washes = $in->washes ?? $this->fewest($in);
        $kept = $in->keptEach($washes);
        $byWash = [];
        for ($wash = 1; $wash <= $washes; $wash++) {
            $byWash[] = $in->startG * $kept ** $wash;
        }

        return new StripRinseResult($in->startG * $kept ** $washes, $kept ** $washes, $washes, $in->solventMl($washes), $byWash);
    }

    public function compute(Fields $input): array
    {
        return $this(StripRinseInput::from($input))->toArray();
    }

    private function fewest(StripRinseInput $in): int
    {
        $reached = fn(int $washes): bool => $in->keptEach($washes) ** $washes <= (float) $in->targetFraction * (1 + Check::EPSILON);
        // Each further wash leaves less, also where the same solvent is split into more of them.
        [$low, $high] = [1, self::MOST_WASHES];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $reached($middle) ? ($high = $middle) : ($low = $middle + 1);
        }
        if ($reached($low)) {
            return $low;
        }
        throw new InvalidInput(
            'target_fraction',
            $in->totalMl === null
                ? 'takes more than ' . self::MOST_WASHES . ' washes; use larger baths'
                : sprintf('cannot be reached with this much solvent: %.3g is the least there is', exp(-$in->totalMl / $in->carryOverMl)),
        );
    }
}
