<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

/** One measurement as the instrument gave it. */
interface WearReadingInput
{
    public function result(): WearReadingResult;
}
