<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** One jar while its book is read through; only JarShelf makes and changes one. */
final class JarCount
{
    public ?Solvent $solvent = null;

    public float $volumeMl = 0.0;

    public float $greaseG = 0.0;

    public ?int $filledS = null;

    public ?int $settlingS = null;

    public ?float $flashC = null;

    public ?float $boilingC = null;

    /** @var array<string, int> chains by the stripping in which they were cleaned */
    private array $series = [];

    public function __construct(public readonly JarRole $role) {}

    public function take(JarEntry $entry): void
    {
        $volumeMl = (float) $entry->volumeMl;
        $this->settlingS = $entry->act === JarAct::Settle ? $entry->atS : ($entry->act === JarAct::TopUp ? $this->settlingS : null);
        match ($entry->act) {
            JarAct::Fill => $this->fill($entry),
            JarAct::TopUp => ($this->volumeMl += $volumeMl),
            JarAct::Settle => null,
            // What is dissolved goes with the solvent: only grit stays behind.
            JarAct::Decant, JarAct::Filter => $this->keep($volumeMl),
            JarAct::HandIn => $this->keep(max(0.0, $this->volumeMl - $volumeMl)),
        };
    }

    public function washed(float $greaseG, string $series, int $chains): void
    {
        $this->greaseG = $greaseG;
        $this->series[$series] = $chains;
        $this->settlingS = null;
    }

    public function pour(float $volumeMl, float $greaseG, Solvent $solvent, int $atS): void
    {
        $this->volumeMl += $volumeMl;
        $this->greaseG += $greaseG;
        $this->solvent ??= $solvent;
        $this->filledS ??= $atS;
    }

    public function cleanings(): int
    {
        return array_sum($this->series);
    }

    private function fill(JarEntry $entry): void
    {
        [$this->solvent, $this->volumeMl, $this->greaseG] = [$entry->solvent, (float) $entry->volumeMl, 0.0];
        [$this->filledS, $this->flashC, $this->boilingC, $this->series] = [$entry->atS, $entry->flashC, $entry->boilingC, []];
    }

    private function keep(float $volumeMl): void
    {
        $this->greaseG = $this->volumeMl > 0.0 ? $this->greaseG * min(1.0, $volumeMl / $this->volumeMl) : 0.0;
        $this->volumeMl = $volumeMl;
        if ($volumeMl <= 0.0) {
            [$this->solvent, $this->filledS, $this->flashC, $this->boilingC, $this->series] = [null, null, null, null, []];
        }
    }
}
