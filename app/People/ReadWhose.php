<?php

declare(strict_types=1);

namespace App\People;

use App\Logbook\ReadBook;
use App\Models\User;
use App\Models\Workshop;
use App\Support\CurrentWorkshop;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\Whose;

/** Whose bikes somebody sees, and of whose they are told. A person is the rider of their name. */
final readonly class ReadWhose
{
    public function __construct(private CurrentWorkshop $current, private ReadBook $readBook) {}

    /** What the person who is here looks at. */
    public function __invoke(): Whose
    {
        return $this->current->membership()->only_mine ? $this->told($this->current->workshop(), $this->current->user()) : Whose::all();
    }

    /** Of what a person is told without looking: their own, if they ride; else all of it. */
    public function told(Workshop $workshop, User $user): Whose
    {
        return Whose::rider(Riders::of(($this->readBook)($workshop)), $user->name);
    }

    /** Whether there is a choice: somebody else rides here too, and this person does. */
    public function choice(): bool
    {
        $workshop = $this->current->workshop();
        // Most workshops have one rider: their pages need no book for this.
        if (count($this->readBook->settings($workshop)->subjects(SettingKey::BikeRider)) < 2) {
            return false;
        }
        $riders = Riders::of(($this->readBook)($workshop));

        return $riders->several() && $riders->named($this->current->user()->name) !== null;
    }
}
