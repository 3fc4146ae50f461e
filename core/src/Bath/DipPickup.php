<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Logbook\Dip;

/** What a dip takes along, in g: what was weighed, else the mean of its pot, else that of all pots, else the house rule. */
final readonly class DipPickup
{
    /** @param array<int, float> $byPot the mean of each pot in which something was weighed */
    private function __construct(private array $byPot) {}

    /** @param iterable<BathState> $baths */
    public static function of(iterable $baths): self
    {
        $byPot = [];
        foreach ($baths as $bath) {
            $bath->ledger === null || !$bath->ledger->weighed || ($byPot[$bath->potId] = $bath->ledger->pickupG);
        }

        return new self($byPot);
    }

    public function ofDip(Dip $dip): float
    {
        return $dip->pickupG ?? $this->ofPot($dip->potId);
    }

    public function ofPot(?int $potId): float
    {
        return $this->byPot[$potId ?? 0] ?? $this->usual();
    }

    public function usual(): float
    {
        return $this->byPot === [] ? BathLedgerInput::PICKUP_G : array_sum($this->byPot) / count($this->byPot);
    }
}
