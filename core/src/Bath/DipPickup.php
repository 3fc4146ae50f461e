<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Logbook\Dip;

/** What a dip takes along, in g: what was weighed, else what its chain takes, else the mean of its pot, of all pots, or the house rule. */
final readonly class DipPickup
{
    /**
     * @param array<int, float> $byPot the mean of each pot in which something was weighed
     * @param array<int, ChainPickup> $byChain
     */
    private function __construct(private array $byPot, private array $byChain) {}

    /**
     * @param iterable<BathState> $baths
     * @param list<Dip> $dips of the chains, in order of time
     */
    public static function of(iterable $baths, array $dips = []): self
    {
        $byPot = [];
        foreach ($baths as $bath) {
            $bath->ledger === null || !$bath->ledger->weighed || ($byPot[$bath->potId] = $bath->ledger->pickupG);
        }

        return new self($byPot, ChainPickup::ofDips($dips));
    }

    public function ofDip(Dip $dip): float
    {
        return $dip->pickupG ?? $this->ofChain($dip->chainId, $dip->potId);
    }

    public function ofChain(int $chainId, ?int $potId): float
    {
        return $this->byChain[$chainId]->meanG ?? $this->ofPot($potId);
    }

    /** @param list<int> $chainIds */
    public function ofChains(array $chainIds, ?int $potId): float
    {
        return (float) array_sum(array_map(fn(int $id) => $this->ofChain($id, $potId), $chainIds));
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
