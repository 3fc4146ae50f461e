<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Ride\KeepTrack;
use App\Models\Track;
use App\Text\Translator;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Ride;

/**
 * A ride file before it is kept: what it says, which chain it will go to, and what that leaves.
 *
 * @phpstan-import-type FormDefaults from FormProps
 *
 * @phpstan-type TrackPage array{
 *     track: array{
 *         id: string,
 *         name: string,
 *         start: string|null,
 *         km: string,
 *         moving: string|null,
 *         elapsed: string|null,
 *         extent: string,
 *     },
 *     bike: int|null,
 *     condition: value-of<Condition>,
 *     outcomes: list<array{chain: string|null, coat: float|null, text: string, bike: int}>,
 *     same: string|null,
 *     overlap: string|null,
 *     forms: FormDefaults,
 * }
 */
final readonly class TrackProps
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return TrackPage */
    public function of(Track $track, ?int $bikeId, Condition $condition): array
    {
        $q = $this->translator->quantities;
        $bikeId ??= $this->book->bikeIds[0] ?? null;
        $same = KeepTrack::logged($track->workshop_id, $track);

        return [
            'track' => [
                'id' => $track->id,
                'name' => $track->name,
                'start' => $track->start === null ? null : $q->dayAndTime($track->start),
                'km' => $q->distance($track->km, 1),
                'moving' => $track->moving_hours === null ? null : $q->hours($track->moving_hours),
                'elapsed' => $track->elapsed_hours === null ? null : $q->hours($track->elapsed_hours),
                'extent' => trans_choice('ui.track.extent', $track->segments, ['points' => $q->number($track->points)]),
            ],
            'bike' => $bikeId,
            'condition' => $condition->value,
            'outcomes' => array_map(fn(int $id) => ['bike' => $id] + $this->outcome($track, $id, $condition), $this->book->bikeIds),
            'same' =>
                $same === null
                    ? null
                    : $this->translator->say('errors.same_track', [
                        'km' => $q->distance($same->km, 1),
                        'bike' => $this->translator->names->bike($same->bike_id),
                        'at' => $q->day($same->at),
                    ]),
            'overlap' => $same === null && $bikeId !== null ? $this->overlap($track, $bikeId) : null,
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return array{chain: string|null, coat: float|null, text: string} */
    private function outcome(Track $track, int $bikeId, Condition $condition): array
    {
        $atS = $track->start ?? $this->translator->nowS;
        $chainId = $this->book->fittings()->componentOn($bikeId, $atS);
        if ($chainId === null) {
            return [
                'chain' => null,
                'coat' => null,
                'text' => $this->translator->say('ui.track.no_chain', ['bike' => $this->translator->names->bike($bikeId)]),
            ];
        }
        $ride = new Ride(PHP_INT_MAX, new Moment($atS, sequence: PHP_INT_MAX), $bikeId, $track->km, $track->moving_hours, $condition);
        $after = $this->book->withRide($ride)->chain($chainId, max($atS, $this->translator->nowS));

        return [
            'chain' => $this->translator->names->chain($chainId),
            'coat' => $after->wax->life?->leftFraction,
            'text' =>
                $after->wax->life === null
                    ? $this->translator->say('ui.track.no_wax', ['chain' => $this->translator->names->fullChain($chainId)])
                    : $this->translator->say('ui.track.leaves', [
                        'chain' => $this->translator->names->fullChain($chainId),
                        'left' => $this->translator->wax->left($after->left()),
                    ]),
        ];
    }

    /** A ride logged by hand for the same hours is probably the same ride. */
    private function overlap(Track $track, int $bikeId): ?string
    {
        $endS = $track->start === null ? null : $track->start + (int) (3600 * ($track->elapsed_hours ?? 0.0));
        foreach ($track->start === null ? [] : $this->book->ridesOf($bikeId) as $ride) {
            $rideEndS = $ride->moment->unixS + (int) (3600 * ($ride->hours ?? 0.0));
            if ($ride->moment->unixS <= $endS && $rideEndS >= $track->start) {
                return $this->translator->say('ui.track.overlap', [
                    'km' => $this->translator->quantities->distance($ride->km, 1),
                    'at' =>
                        $this->translator->quantities->day($ride->moment->unixS) .
                        ', ' .
                        $this->translator->quantities->time($ride->moment->unixS),
                ]);
            }
        }

        return null;
    }
}
