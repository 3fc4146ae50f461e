<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Model;

/**
 * How many pitches a new chain needs where there is no old one to copy. mm and teeth in, pitches out, unrounded but for
 * `pitches`, the even count to cut to: with a derailleur two more, so that it can reach over both largest sprockets.
 * Source: the exact length is that of an open belt around the two pitch circles (plane geometry); the handbook formula is
 * that of roller-chain handbooks and ISO 10823 (memory); two pitches for the derailleur: common practice.
 */
final readonly class ChainLength implements Model
{
    private const FOR_DERAILLEUR = 2;

    private const NEAR_ENOUGH_MM = 1e-6;

    private const APART_MM = 1e-3;

    public function __invoke(ChainLengthInput $in): ChainLengthResult
    {
        $exact = $this->exact($in);
        $wanted = $exact + ($in->derailleur ? self::FOR_DERAILLEUR : 0);

        return new ChainLengthResult($exact, $this->handbook($in), 2 * (int) ceil($wanted / 2 - Check::EPSILON));
    }

    public function compute(Fields $input): array
    {
        return $this(ChainLengthInput::from($input))->toArray();
    }

    /**
     * How far the rear axle moves back (below 0: forward), in mm, until so many pitches fit exactly: a single speed has no
     * derailleur to take up what is over. Length grows with the chainstay, so it is found by halving.
     */
    public function axleMoveMm(ChainLengthInput $in, int $pitches): float
    {
        $slackMm = ($pitches - $this->exact($in)) * Pitch::MM;
        // Twice the slack is more than enough on either side, but never so near that ring and sprocket touch.
        [$low, $high] = [
            max($in->chainstayMm - abs($slackMm), $in->frontRadiusMm() + $in->rearRadiusMm() + self::APART_MM),
            $in->chainstayMm + abs($slackMm),
        ];
        while ($high - $low > self::NEAR_ENOUGH_MM) {
            $middle = ($low + $high) / 2;
            $this->exact(new ChainLengthInput($middle, $in->frontTeeth, $in->rearTeeth, $in->derailleur)) < $pitches
                ? ($low = $middle)
                : ($high = $middle);
        }

        return ($low + $high) / 2 - $in->chainstayMm;
    }

    /** Two straight runs and what lies on each circle. */
    private function exact(ChainLengthInput $in): float
    {
        $larger = max($in->frontRadiusMm(), $in->rearRadiusMm());
        $smaller = min($in->frontRadiusMm(), $in->rearRadiusMm());
        $beta = asin(($larger - $smaller) / $in->chainstayMm);
        $runMm = sqrt($in->chainstayMm ** 2 - ($larger - $smaller) ** 2);

        return (2 * $runMm + $larger * (M_PI + 2 * $beta) + $smaller * (M_PI - 2 * $beta)) / Pitch::MM;
    }

    private function handbook(ChainLengthInput $in): float
    {
        return (2 * $in->chainstayMm) / Pitch::MM +
            ($in->frontTeeth + $in->rearTeeth) / 2 +
            ((($in->frontTeeth - $in->rearTeeth) / (2 * M_PI)) ** 2 * Pitch::MM) / $in->chainstayMm;
    }
}
