<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Wear\WearReadingInput;

/** A chain was measured. */
final readonly class Reading extends Entry
{
    public function __construct(int $id, Moment $moment, public int $chainId, public WearReadingInput $input)
    {
        parent::__construct($id, $moment);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Reading;
    }
}
