<?php

declare(strict_types=1);

namespace App\Support;

use App\Logbook\EntryType;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Bottle;
use App\Models\Chain;
use App\Models\Entry;
use App\Models\Instrument;
use App\Models\Jar;
use App\Models\Part;
use App\Models\Pot;
use App\Models\Ride;
use Illuminate\Database\Eloquent\ModelNotFoundException;

/** Finds what an address or a form names, in the current workshop only; anything else is not found (404). */
final readonly class Find
{
    public function __construct(private CurrentWorkshop $current) {}

    public function bike(mixed $id): Bike
    {
        return Bike::query()->in($this->current->workshop())->live()->named($id)->firstOrFail();
    }

    /** For a filter that may be left out. */
    public function bikeIfNamed(mixed $id): ?Bike
    {
        return $id === null || $id === '' ? null : $this->bike($id);
    }

    public function chain(mixed $id): Chain
    {
        return Chain::query()->in($this->current->workshop())->live()->named($id)->firstOrFail();
    }

    public function chainIfNamed(mixed $id): ?Chain
    {
        return $id === null || $id === '' ? null : $this->chain($id);
    }

    public function jar(mixed $id): Jar
    {
        return Jar::query()->in($this->current->workshop())->live()->named($id)->firstOrFail();
    }

    public function pot(mixed $id): Pot
    {
        return Pot::query()->in($this->current->workshop())->live()->named($id)->firstOrFail();
    }

    public function bottle(mixed $id): Bottle
    {
        return Bottle::query()->in($this->current->workshop())->live()->named($id)->firstOrFail();
    }

    public function bottleIfNamed(mixed $id): ?Bottle
    {
        return $id === null || $id === '' ? null : $this->bottle($id);
    }

    public function instrument(mixed $id): Instrument
    {
        return Instrument::query()->in($this->current->workshop())->live()->named($id)->firstOrFail();
    }

    /** A cassette, chainring, pair of jockey wheels or quick link. */
    public function part(mixed $id): Part
    {
        return Part::query()->in($this->current->workshop())->live()->named($id)->firstOrFail();
    }

    public function ride(mixed $id): Ride
    {
        return Ride::query()->in($this->current->workshop())->named($id)->firstOrFail();
    }

    /** An event of the logbook, earlier versions included. */
    public function entry(string $type, int $id): Entry
    {
        $known = EntryType::tryFrom($type);
        if ($known === null || !$known->isEvent()) {
            throw new ModelNotFoundException();
        }

        return $known->eventModel()::query()->in($this->current->workshop())->named($id)->firstOrFail();
    }

    /**
     * @param array<mixed> $ids
     *
     * @return list<Action> all of them
     */
    public function actions(array $ids): array
    {
        return array_map(
            fn(mixed $id) => Action::query()->in($this->current->workshop())->named($id)->firstOrFail(),
            array_values(array_unique($ids)),
        );
    }
}
