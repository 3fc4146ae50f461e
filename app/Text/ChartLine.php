<?php

declare(strict_types=1);

namespace App\Text;

/** One run of points of a chart: a line, steps, or single dots, each with what may lie around it. */
final readonly class ChartLine
{
    /**
     * @param list<array{x: float, y: float, low?: float, high?: float, text?: string}> $points where they are known with both ends of what it
     *     may be, and a word of their own
     * @param 'line'|'step'|'dots'|'bars' $kind bars share the axis evenly, each from its x on
     */
    public function __construct(public string $name, public array $points, public string $kind = 'line') {}
}
