<?php

declare(strict_types=1);

namespace App\Command;

use App\Logbook\ActionContext;
use App\Models\Action;
use Closure;

/** What was understood: in a sentence, and ready to be done. */
final readonly class Command
{
    /**
     * @param Closure(ActionContext): Action $do
     * @param list<string> $cautions what the form would say too
     */
    public function __construct(public string $sentence, public Closure $do, public array $cautions = []) {}
}
