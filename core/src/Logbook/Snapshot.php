<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Closure;
use Dripel\Core\Maths\Memo;

/**
 * What was worked out from a logbook as it stands, kept for whoever asks for it again. It holds for instants after all that is in the
 * logbook: what is made then follows from its entries alone, and is the same until the next of them.
 */
final readonly class Snapshot
{
    /** A page of rides, a bath since it was filled, the plan of yesterday. */
    private const LATELY_S = 100 * 86400;

    /** @param Closure(): int $lastS the last instant of anything in the logbook, Unix seconds */
    public function __construct(private Memo $memo, private Closure $lastS) {}

    public function holds(int $atS): bool
    {
        return $atS >= $this->lastS();
    }

    /** Whether an instant is so lately past that what was then is asked for again and again. */
    public function lately(int $atS): bool
    {
        return $atS >= $this->lastS() - self::LATELY_S;
    }

    private function lastS(): int
    {
        return $this->memo->of('last', $this->lastS);
    }

    /**
     * @template T
     *
     * @param Closure(): T $make
     *
     * @return T
     */
    public function of(string $key, Closure $make): mixed
    {
        return $this->memo->of($key, $make);
    }
}
