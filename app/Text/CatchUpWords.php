<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\EstimateShare;

/** What an estimate comes to, before it is made. */
final readonly class CatchUpWords
{
    public function __construct(private Translator $translator) {}

    public function spread(Estimate $estimate, EstimateShare $share): string
    {
        $q = $this->translator->quantities;
        if ($estimate->odometerKm !== null && $estimate->km <= 0.0) {
            return $this->translator->say('catch_up.noted', ['km' => $q->distance($estimate->odometerKm)]);
        }
        $code = match (true) {
            $share->kmEach <= 0.0 => 'nothing_left',
            $share->knownKm > 0 => 'some_known',
            default => 'none_known',
        };

        return trans_choice("catch_up.{$code}", count($share->dates), [
            'total' => $q->distance($estimate->km),
            'known' => $q->distance($share->knownKm),
            'rest' => $q->distance($share->kmEach * count($share->dates)),
            'each' => $q->distance($share->kmEach, 1),
        ]);
    }
}
