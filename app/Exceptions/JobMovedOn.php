<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Models\GuidedJob;
use RuntimeException;

/** A tap spoke of a step that the job is not at. What is true is shown instead. */
final class JobMovedOn extends RuntimeException
{
    public function __construct(public readonly GuidedJob $job)
    {
        parent::__construct('The job is at another step.');
    }
}
