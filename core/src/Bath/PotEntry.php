<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Moment;

/** What was done with the wax in a pot, as it was written down; dips stand with their chains. g with oil apart, °C. */
final readonly class PotEntry
{
    public function __construct(
        public int $id,
        public Moment $moment,
        public int $potId,
        public BathEventKind $kind,
        private ?float $waxG = null,
        private ?float $oilG = null,
        private ?float $removedFraction = null,
        private ?float $tempC = null,
    ) {}

    /** @throws InvalidInput at a field that its kind cannot do without */
    public function event(): BathEvent
    {
        return BathEvent::recorded($this->kind, $this->moment->unixS, $this->waxG, $this->oilG, $this->removedFraction, $this->tempC);
    }
}
