<?php

declare(strict_types=1);

namespace Dripel\Core\Explain;

/** One input or intermediate value of a figure. Codes and numbers, no sentences. */
final readonly class WhyLine
{
    /** @param array<string, string|int|float|null> $parameters */
    public function __construct(
        public string $code,
        public ?float $value,
        public string $unit,
        public Origin $origin,
        public array $parameters = [],
    ) {}
}
