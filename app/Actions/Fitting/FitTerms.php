<?php

declare(strict_types=1);

namespace App\Actions\Fitting;

use App\Models\Part;

/** On which terms a chain goes on that would otherwise be refused. */
final readonly class FitTerms
{
    public function __construct(
        /** Why a chain of another speed count goes on all the same; the owner's to say. */
        public ?string $note = null,
        /** A new quick link is opened for it. */
        public bool $newLink = false,
        /** How many closings that one allows, null: unknown. */
        public ?int $closingsAllowed = null,
        /** A spare from the drawer that is opened; null: one that is not in the book yet. */
        public ?Part $spare = null,
        /**
         * Of a chain that is fitted before the day of what it came with: whether those figures hold the rides between already, or were
         * those of the day it is fitted, so that the rides come on top; null: nobody said.
         */
        public ?bool $openingHolds = null,
        /** How the chain that comes off was measured; null: it was not. */
        public ?MeasuredOff $measured = null,
    ) {}

    /** @return array<string, mixed> as a job keeps it */
    public function toArray(): array
    {
        return [
            'note' => $this->note,
            'new_link' => $this->newLink,
            'closings_allowed' => $this->closingsAllowed,
            'spare' => $this->spare?->id,
            'opening_holds' => $this->openingHolds,
            'measured' => $this->measured === null ? null : (array) $this->measured,
        ];
    }

    /** @param array{note: string|null, new_link: bool, closings_allowed: int|null, spare: int|null, opening_holds: bool|null, measured: array{input: array<string, mixed>, ask: bool, instrumentId: int|null}|null} $kept */
    public static function fromArray(array $kept): self
    {
        return new self(
            $kept['note'],
            $kept['new_link'],
            $kept['closings_allowed'],
            $kept['spare'] === null ? null : Part::query()->live()->whereKey($kept['spare'])->first(),
            $kept['opening_holds'],
            $kept['measured'] === null ? null : new MeasuredOff(...$kept['measured']),
        );
    }
}
