<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Maths\GaussPanel;

/** Slices of a belief between two u = ln r, and how likely each rate there is. */
final class WearPanel
{
    /** @var list<float> u of each slice */
    public readonly array $places;

    /** @var list<float> r of each slice, % per 1000 km */
    public readonly array $rates;

    /** @var list<float> what each slice counts in the whole */
    public readonly array $shares;

    /** @var array{self, self}|null */
    private ?array $halves = null;

    /** @param list<WearSlice> $slices */
    private function __construct(public readonly GaussPanel $mass, public readonly array $slices)
    {
        $this->places = GaussPanel::places($mass->from, $mass->to);
        $this->rates = array_map(exp(...), $this->places);
        $half = ($mass->to - $mass->from) / 2;
        $this->shares = array_map(fn(float $weight, WearSlice $slice) => $half * $weight * $slice->mass, GaussPanel::weights(), $slices);
    }

    /** @param callable(float): WearSlice $slice at a u */
    public static function of(float $from, float $to, callable $slice): self
    {
        $slices = array_map($slice, GaussPanel::places($from, $to));

        return new self(new GaussPanel($from, $to, array_map(fn(WearSlice $one) => $one->mass, $slices)), $slices);
    }

    /**
     * The same in two panels, for who wants it finer.
     *
     * @param callable(float): WearSlice $slice
     *
     * @return array{self, self}
     */
    public function halves(callable $slice): array
    {
        $middle = ($this->mass->from + $this->mass->to) / 2;

        return $this->halves ??= [self::of($this->mass->from, $middle, $slice), self::of($middle, $this->mass->to, $slice)];
    }
}
