<?php

declare(strict_types=1);

namespace App\People;

use App\Logbook\ReadBook;
use App\Models\User;
use App\Models\Workshop;
use App\Support\CurrentWorkshop;
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
        return Whose::rider($this->riders($workshop), $user->name);
    }

    /** Whether there is a choice: somebody else rides here too, and this person does. */
    public function choice(): bool
    {
        $riders = $this->riders($this->current->workshop());

        return $riders->several() && $riders->named($this->current->user()->name) !== null;
    }

    /** Every page asks who rides here, and many need no book for anything else. */
    private function riders(Workshop $workshop): Riders
    {
        return Riders::among(
            $this->readBook->bikes($workshop),
            $this->readBook->settings($workshop),
            fn(int $chainId, int $atS) => ($this->readBook)($workshop)->bikeOfChain($chainId, $atS),
        );
    }
}
