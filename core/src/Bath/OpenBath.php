<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\InvalidInput;

/** A pot whose book goes on: what bath.ledger says of it after each event, without reading the book anew. */
final readonly class OpenBath
{
    private function __construct(private BathLedgerInput $terms, private BathBatch $batch) {}

    /** @param BathLedgerInput $filled the pot, its limits, and its first fill */
    public static function filled(BathLedgerInput $filled): self
    {
        return new self($filled, new BathBatch($filled->events[0]));
    }

    /** @throws InvalidInput at the field of an event that would leave less than nothing in the pot */
    public function with(BathEvent $event): self
    {
        return new self($this->terms, BathLedger::after(clone $this->batch, $event, $this->terms->pickupDefaultG));
    }

    public function result(): BathLedgerResult
    {
        return BathLedger::result($this->terms, $this->batch);
    }
}
