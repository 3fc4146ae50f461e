<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Closure;
use Dripel\Core\Wear\WearReadingInput;

/** A chain was measured. */
final readonly class Reading extends Event
{
    /** @param WearReadingInput|Closure(): WearReadingInput $source made when it is first asked for: of many readings few are */
    public function __construct(int $id, Moment $moment, public int $chainId, private WearReadingInput|Closure $source)
    {
        parent::__construct($id, $moment);
    }

    public function input(): WearReadingInput
    {
        return $this->source instanceof Closure ? ($this->source)() : $this->source;
    }

    public function kind(): EntryKind
    {
        return EntryKind::Reading;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
