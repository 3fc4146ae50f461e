<?php

declare(strict_types=1);

namespace App\Http\Requests\Ride;

use App\Actions\Ride\RideFacts;
use App\Exceptions\NotPossible;
use App\Http\Requests\ActionRequest;
use App\Logbook\Moments;
use App\Models\Action;
use App\Models\Track;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Precision;
use Illuminate\Validation\Rule;

/** Many rides out of files: of each the bike and what it was like. */
final class TakeInRequest extends ActionRequest
{
    /** More go in several times. */
    public const MOST = 5000;

    protected function fields(): array
    {
        return [
            'rides' => ['required', 'array', 'max:' . self::MOST],
            'rides.*.track' => ['required', 'uuid', 'distinct'],
            'rides.*.bike_id' => ['present', 'nullable', 'integer'],
            'rides.*.condition' => ['required', Rule::enum(Condition::class)],
        ];
    }

    /** @return list<array{Track, RideFacts}> */
    public function rides(): array
    {
        $wanted = array_values($this->array('rides'));
        $tracks = Track::query()->in($this->workshop())->whereKey(array_column($wanted, 'track'))->get()->keyBy('id');
        $done = Action::query()
            ->whereKey($this->string('action_id')->lower()->toString())
            ->exists();

        // Sent twice it is done once: the tracks are gone then.
        return $done
            ? []
            : array_map(
                function (array $ride, int $n) use ($tracks): array {
                    $track = $tracks[$ride['track']] ?? abort(404);
                    $track->start !== null || throw new NotPossible("rides.{$n}", 'track_without_time');

                    return [
                        $track,
                        new RideFacts(
                            $this->find()->bikeIfNamed($ride['bike_id']),
                            $track->precision === Precision::Day
                                ? new Moment(
                                    app(Moments::class)->notAhead($track->start - 86399, "rides.{$n}")->unixS + 86399,
                                    Precision::Day,
                                )
                                : app(Moments::class)->notAhead($track->start, "rides.{$n}"),
                            $track->km,
                            $track->moving_hours === null || $track->moving_hours <= 0 ? null : $track->moving_hours,
                            Condition::from($ride['condition']),
                        ),
                    ];
                },
                $wanted,
                array_keys($wanted),
            );
    }
}
