<?php

declare(strict_types=1);

namespace Dripel\Core\Explain;

/** Why a figure is what it is: the formula's code, every input and step in order, and the result they lead to. */
final readonly class Why
{
    /** @param list<WhyLine> $lines */
    public function __construct(public string $figure, public ?float $value, public string $unit, public array $lines) {}
}
