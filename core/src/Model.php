<?php

declare(strict_types=1);

namespace Dripel\Core;

use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A computation that can be called by name with a JSON object. */
interface Model
{
    /**
     * @return array<string, mixed> the result, unrounded, ready for JSON
     *
     * @throws InvalidInput
     */
    public function compute(Fields $input): array;
}
