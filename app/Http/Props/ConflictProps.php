<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Exceptions\VersionMoved;
use App\Logbook\ReadBook;
use App\Models\Entry;
use App\Models\Ride;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
use Dripel\Core\Logbook\Ride as CoreRide;

/** Two versions of one entry side by side: what is there now, and what was about to be written. */
final readonly class ConflictProps
{
    public function __construct(private Speaker $speaker, private CurrentWorkshop $current, private ReadBook $readBook) {}

    /** @return array<string, mixed> */
    public function of(VersionMoved $e): array
    {
        $by = $e->current?->action()->with('user')->first()?->who();

        return [
            'type' => $e->seen->getTable(),
            'seen' => $this->version($e->seen),
            'current' => $e->current === null ? null : $this->version($e->current),
            'by' => $by,
            'wanted' => request()->except(['action_id', '_token', '_method']),
            'deleting' => ($e->wanted['deleted'] ?? false) === true,
        ];
    }

    /** @return array<string, mixed> */
    private function version(Entry $row): array
    {
        $voice = $this->speaker->voice();
        if ($row instanceof Ride) {
            $ride = new CoreRide($row->id, $row->moment(), $row->bike_id, $row->km, $row->hours, $row->condition);

            return (new RoadProps(($this->readBook)($this->current->workshop()), $voice))->ride($ride);
        }

        return ['id' => $row->id, 'day' => $voice->quantities->day($row->at), 'time' => $voice->quantities->time($row->at)];
    }
}
