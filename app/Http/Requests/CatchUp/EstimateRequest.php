<?php

declare(strict_types=1);

namespace App\Http\Requests\CatchUp;

use App\Exceptions\NotPossible;
use App\Http\Requests\ActionRequest;
use App\Logbook\Moments;
use App\Models\Bike;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Plan\LocalDay;
use Illuminate\Validation\Rule;

/** "240 km since Monday", or what the odometer shows. */
final class EstimateRequest extends ActionRequest
{
    /** Longer gaps say nothing about their days any more. */
    private const MAX_DAYS = 366;

    protected function fields(): array
    {
        return [
            'by' => ['required', 'in:distance,odometer'],
            'distance' => ['required_if:by,distance', 'nullable', 'numeric', 'gt:0', 'lte:20000'],
            'odometer' => ['required_if:by,odometer', 'nullable', 'numeric', 'gte:0', 'lte:1000000'],
            'from' => ['required_if:by,distance', 'nullable', 'date_format:Y-m-d'],
            'to' => ['required_if:by,distance', 'nullable', 'date_format:Y-m-d'],
            'condition' => ['required', Rule::enum(Condition::class)],
        ];
    }

    /** Refused with NotPossible at `from` or `to` if the days cannot be, at `odometer` if it went backwards. */
    public function estimate(Bike $bike, Book $book): Estimate
    {
        $zone = $this->translator()->zone();
        $now = app(Moments::class)->now();
        $condition = Condition::from($this->string('condition')->toString());
        $today = LocalDay::of($now->unixS, $zone)->date;
        // As recorded after everything else that is known.
        $made = fn(int $atS) => new Moment($atS, sequence: PHP_INT_MAX);
        if ($this->input('by') === 'odometer') {
            $showsKm = $this->km('odometer');
            $last = $book->lastOdometer($bike->id);
            if ($last === null) {
                return new Estimate(0, $made($now->unixS), $bike->id, $now->unixS, $today, $today, 0.0, $condition, $showsKm);
            }
            $km = $showsKm - (float) $last->odometerKm;
            $km >= 0 ||
                throw new NotPossible('odometer', 'odometer_back', [
                    'day' => $this->translator()->quantities->day($last->moment->unixS),
                    'km' => $this->translator()->quantities->distance((float) $last->odometerKm),
                ]);

            return new Estimate(
                0,
                $made($now->unixS),
                $bike->id,
                $last->moment->unixS,
                LocalDay::of($last->moment->unixS, $zone)->date,
                $today,
                $km,
                $condition,
                $showsKm,
            );
        }
        [$from, $to] = [LocalDay::named($this->string('from')->toString(), $zone), LocalDay::named($this->string('to')->toString(), $zone)];
        app(Moments::class)->notAhead($to->startS(), 'to');
        $from->startS() <= $to->startS() || throw new NotPossible('from', 'days_order');
        $to->startS() - $from->startS() < 86400 * self::MAX_DAYS || throw new NotPossible('from', 'too_many_days');

        return new Estimate(
            0,
            $made(min($to->endS(), $now->unixS)),
            $bike->id,
            $from->startS(),
            $from->date,
            $to->date,
            $this->km(),
            $condition,
        );
    }
}
