<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** A way, and the chains that a pot day may dip on it: what that comes to, known before it is done. Most are beaten, and never are. */
final readonly class DipChoice
{
    /** Minutes so far, without the pot days and the batches. */
    public float $minutes;

    public int $dips;

    public int $choice;

    public int $counts;

    /** How many pot days so far. */
    public int $pots;

    /**
     * @param list<int> $chains
     * @param int $choice the bit of this pot day
     * @param int $counts what one dip of it adds; 0 where their number makes no difference
     */
    public function __construct(private DipWay $way, private array $chains, private int $day, int $choice, int $counts)
    {
        $count = count($chains);
        $this->dips = $way->dips + $count;
        $this->minutes = $way->minutes($count);
        $this->choice = $count === 0 ? $way->choice : $way->choice | $choice;
        $this->counts = $way->counts + $counts * $count;
        $this->pots = count($way->taken) + ($count === 0 ? 0 : 1);
    }

    /** The way from here on; where nothing is dipped, the same: it is ridden once. */
    public function way(): DipWay
    {
        return $this->chains === [] ? $this->way : $this->way->dipped($this->chains, $this->day, $this);
    }
}
