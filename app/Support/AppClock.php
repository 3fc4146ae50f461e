<?php

declare(strict_types=1);

namespace App\Support;

use DateTimeImmutable;
use DateTimeZone;
use Psr\Clock\ClockInterface;

/** The one clock. It runs with the machine's, or from a set start at a set speed, and can be put to an instant. */
final class AppClock implements ClockInterface
{
    private float $realStartS;

    private float $startS;

    private bool $stands = false;

    /** @param float|null $since the real instant (Unix seconds) at which it showed $start; null: this one */
    public function __construct(?string $start = null, private readonly float $speed = 1.0, ?float $since = null)
    {
        $this->realStartS = $since ?? microtime(true);
        $this->startS = $start === null || $start === '' ? microtime(true) : (float) (new DateTimeImmutable($start))->format('U.u');
    }

    public function now(): DateTimeImmutable
    {
        return (new DateTimeImmutable('@' . $this->unixS()))->setTimezone(new DateTimeZone('UTC'));
    }

    public function unixS(): int
    {
        return (int) floor($this->startS + ($this->stands ? 0.0 : (microtime(true) - $this->realStartS) * $this->speed));
    }

    /** Puts the clock to an instant, from where it goes on running. */
    public function set(int $unixS): void
    {
        $this->realStartS = microtime(true);
        $this->startS = $unixS;
        $this->stands = false;
    }

    /** Stops it at an instant until it is put to another: what is written there has that very time, however long it takes. */
    public function stopAt(int $unixS): void
    {
        $this->set($unixS);
        $this->stands = true;
    }
}
