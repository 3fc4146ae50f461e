<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Closure;
use Dripel\Core\Explain\Change;
use Dripel\Core\Explain\Changes;

/** Does something to the logbook, looks at what it would change, and takes it back as if nothing had happened. */
final readonly class DryRun
{
    public function __construct(private ReadBook $readBook, private AppClock $clock) {}

    /**
     * @param Closure(): mixed $do what it throws is passed on
     *
     * @return array<int, non-empty-list<Change>> every figure that would change, by chain
     */
    public function changes(Workshop $workshop, Closure $do): array
    {
        $before = ($this->readBook)($workshop);
        try {
            return WriteTransaction::takenBack(function () use ($workshop, $do, $before): array {
                $do();
                $workshop->refresh();

                return Changes::between($before, ($this->readBook)($workshop), $this->clock->unixS());
            });
        } finally {
            $workshop->refresh();
            $this->readBook->forget();
        }
    }
}
