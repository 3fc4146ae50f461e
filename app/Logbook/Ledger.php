<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\ActionIdTaken;
use App\Exceptions\LogbookConflict;
use App\Jobs\PackPastRides;
use App\Models\Action;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Closure;

/** Writes actions: each in one transaction, once only, and only if the logbook can still be true afterwards. */
final readonly class Ledger
{
    public function __construct(private AppClock $clock, private ReadBook $readBook, private PastRides $pastRides) {}

    /**
     * @param Closure(Draft): About $write writes the rows, returns what the history says about it
     *
     * @throws ActionIdTaken if the id was used for something else, or with other content
     * @throws LogbookConflict if two entries could not both be true
     */
    public function record(ActionContext $by, ActionKind $kind, Closure $write): Action
    {
        try {
            $action = WriteTransaction::run(fn(): Action => $this->write($by, $kind, $write));
        } finally {
            $this->readBook->forget();
        }
        $this->pastRides->ask($by->workshop) && PackPastRides::dispatch($by->workshop->id)->afterCommit();

        return $action;
    }

    /**
     * What was done already under this id: it is not done again. To be asked before what is refused once it is done.
     *
     * @throws ActionIdTaken if the id was used for something else, or with other content
     */
    public static function done(ActionContext $by, ActionKind $kind): ?Action
    {
        $done = Action::query()->find($by->actionId);
        $same =
            $done === null ||
            ($done->workshop_id === $by->workshop->id &&
                $done->kind === $kind &&
                ($done->sent === null || $by->sent === null || $done->sent === $by->sent));

        return $same ? $done : throw new ActionIdTaken();
    }

    /** @param Closure(Draft): About $write */
    private function write(ActionContext $by, ActionKind $kind, Closure $write): Action
    {
        $done = self::done($by, $kind);
        if ($done !== null) {
            return $done;
        }
        Workshop::query()->whereKey($by->workshop->id)->increment('revision');
        $by->workshop->refresh();
        $action = Action::query()->create([
            'id' => $by->actionId,
            'workshop_id' => $by->workshop->id,
            'user_id' => $by->user?->id,
            'kind' => $kind,
            'sent' => $by->sent,
            'recorded_at' => $this->clock->unixS(),
            'revision' => $by->workshop->revision,
            'about' => new About(),
            'effects' => [],
        ]);
        $draft = new Draft($by->workshop, $action->id, $by->workshop->revision);
        $about = $write($draft);
        $action->update(['about' => $about, 'effects' => $draft->effects()]);
        PastRides::touched($by->workshop, $draft->ridesFromS());
        if ($draft->canConflict()) {
            $conflicts = $this->readBook->withoutRides($by->workshop)->conflicts();
            $conflicts === [] || throw new LogbookConflict($conflicts);
        }

        return $action;
    }
}
