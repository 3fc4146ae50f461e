<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Wear\WearReading;
use Dripel\Core\Wear\WearReadingResult;

/** What the last reading of a chain says. */
final readonly class WearState
{
    private function __construct(
        public ?Reading $reading,
        public ?WearReadingResult $result,
        /** km on the chain at that reading. */
        public ?Distance $atKm,
        public bool $pastLimit,
    ) {}

    public static function derive(ChainHistory $history, Terms $terms): self
    {
        $reading = $history->last(Reading::class);
        $result = $reading === null ? null : (new WearReading())($reading->input());

        return new self(
            $reading,
            $result,
            $reading === null ? null : $history->kmBefore($reading),
            $result?->reaches($terms->limitPct) ?? false,
        );
    }
}
