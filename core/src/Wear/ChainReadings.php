<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Reading;

/**
 * The readings of a chain with its km at each, its limit, what is expected of it and where it is now: what wear.forecast takes, made of the
 * readings only where it is asked for. What follows from them is kept by what they were written as. km, %.
 */
final class ChainReadings
{
    private ?WearForecastInput $input = null;

    /** @param list<array{Reading, float}> $readings */
    public function __construct(
        public readonly float $limitPct,
        public readonly array $readings,
        public readonly WearPrior $prior,
        public readonly float $nowKm,
    ) {}

    /** With one more that nobody wrote down yet, taken now. */
    public function with(WearReadingInput $reading): self
    {
        $now = [new Reading(0, new Moment(0), 0, $reading), $this->nowKm];

        return new self($this->limitPct, [...$this->readings, $now], $this->prior, $this->nowKm);
    }

    public function expecting(WearPrior $prior): self
    {
        return new self($this->limitPct, $this->readings, $prior, $this->nowKm);
    }

    /** The same at its last reading: its rate follows from its readings; where it is now makes no difference. */
    public function asLastRead(): self
    {
        $last = array_last($this->readings);

        return $last === null ? $this : new self($this->limitPct, $this->readings, $this->prior, $last[1]);
    }

    public function input(): WearForecastInput
    {
        return $this->input ??= new WearForecastInput(
            $this->limitPct,
            array_map(fn(array $one) => ForecastReading::of($one[1], (new WearReading())($one[0]->input())), $this->readings),
            $this->prior,
            $this->nowKm,
        );
    }

    /** The same for the same input, and another for any other. */
    public function key(): string
    {
        $hash = hash_init('sha1');
        hash_update($hash, serialize([$this->limitPct, $this->prior, $this->nowKm]));
        foreach ($this->readings as [$reading, $km]) {
            hash_update($hash, pack('E', $km) . $reading->written() . "\0");
        }

        return hash_final($hash);
    }
}
