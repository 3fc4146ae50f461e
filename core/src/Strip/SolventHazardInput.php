<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** Flash point and initial boiling point (null: unknown) in °C, as the product's sheet has them. */
final readonly class SolventHazardInput
{
    /** @throws InvalidInput at either below −273.15 °C, at `boiling_c` if below the flash point */
    public function __construct(public float $flashC, public ?float $boilingC = null)
    {
        Check::temperature('flash_c', $flashC);
        if ($boilingC !== null && Check::temperature('boiling_c', $boilingC) < $flashC) {
            throw new InvalidInput('boiling_c', 'must not be below flash_c: a liquid gives off vapour before it boils');
        }
    }

    public static function from(Fields $in): self
    {
        $in->only('flash_c', 'boiling_c');

        return new self($in->number('flash_c'), $in->has('boiling_c') ? $in->numberOrNull('boiling_c') : null);
    }
}
