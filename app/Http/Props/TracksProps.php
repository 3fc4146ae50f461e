<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Rides\RideFacts;
use App\Logbook\Moments;
use App\Models\Ride;
use App\Models\Track;
use App\Models\Workshop;
use App\Text\Voice;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Ride\WhichBike;

/** The ride files that wait to be taken in: what each says, which bike it probably was, and what stands against it. */
final readonly class TracksProps
{
    public function __construct(private Book $book, private Voice $voice) {}

    /** @return array<string, mixed> */
    public function all(Workshop $workshop): array
    {
        $names = array_combine($this->book->bikeIds, array_map($this->voice->names->bike(...), $this->book->bikeIds));
        $which = new WhichBike($this->book, $names);
        // Of two alike the one that came first, or has the plainer name, goes before its copy.
        $tracks = Track::query()->in($workshop)->orderBy('start')->orderBy('uploaded_at')->orderByRaw('length(name)')->orderBy('name')->orderBy('id')->get();
        $logged = Ride::query()->in($workshop)->live()->whereIn('track_fingerprint', $tracks->pluck('fingerprint'))->pluck('bike_id', 'track_fingerprint')->all();
        $seen = [];
        $rows = [];
        foreach ($tracks as $track) {
            $rows[] = $this->row($track, $which, $logged, $seen);
            $seen[$track->fingerprint] = true;
        }

        return [
            'tracks' => $rows,
            'bikes' => array_map(fn(int $id) => ['value' => $id, 'title' => $names[$id]], $this->book->bikeIds),
            'conditions' => array_map(fn(Condition $condition) => ['value' => $condition->value, 'title' => ucfirst($this->voice->say("chain.condition.{$condition->value}"))], Condition::cases()),
        ];
    }

    /**
     * @param array<string, int|null> $logged bike by fingerprint
     * @param array<string, true> $seen fingerprints of the rows before
     *
     * @return array<string, mixed>
     */
    private function row(Track $track, WhichBike $which, array $logged, array $seen): array
    {
        $q = $this->voice->quantities;
        $guess = $which->of($track->name, $track->start, $track->km, $track->moving_hours);
        $against = match (true) {
            array_key_exists($track->fingerprint, $logged) => 'logged',
            isset($seen[$track->fingerprint]) => 'twice',
            $track->start === null => 'no_time',
            $track->start > $this->voice->nowS + Moments::SLACK_S => 'future',
            $track->km <= 0 || $track->km > RideFacts::MAX_KM => 'km',
            default => null,
        };

        return [
            'id' => $track->id,
            'name' => $track->name,
            'start' => $track->start === null ? '—' : $q->date($track->start, 'EEE d MMM y, HH:mm'),
            'km' => $q->distance($track->km, 1),
            'moving' => $track->moving_hours === null ? '' : $q->hours($track->moving_hours),
            'bike' => $guess->bikeId,
            'because' => $this->voice->say("ui.tracks.because.{$guess->because->value}"),
            'byItself' => $against === 'no_time',
            'against' => $against === null ? null : $this->voice->say("ui.tracks.against.{$against}", ['bike' => $this->voice->names->bike($logged[$track->fingerprint] ?? null)]),
        ];
    }
}
