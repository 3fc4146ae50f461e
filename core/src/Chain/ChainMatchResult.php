<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

/** Pitches as the new chain will be ridden, and those to keep of the chain itself, its quick link aside. */
final readonly class ChainMatchResult
{
    public function __construct(public int $pitches, public int $cutToPitches, public MatchNote $note) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['pitches' => $this->pitches, 'cut_to_pitches' => $this->cutToPitches, 'note' => $this->note->value];
    }
}
