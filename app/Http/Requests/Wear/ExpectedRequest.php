<?php

declare(strict_types=1);

namespace App\Http\Requests\Wear;

use App\Http\Requests\ActionRequest;
use App\Text\Units;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Interval\LifeCurve;
use Dripel\Core\Interval\LifePoint;

/** How long a chain is expected to live by the interval at which it is waxed. */
final class ExpectedRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'house' => ['boolean'],
            'points' => ['required_unless:house,true', 'array', 'between:2,8'],
            'points.*.interval' => ['required', 'numeric', 'gt:0', 'lte:5000'],
            'points.*.life' => ['required', 'numeric', 'gt:0', 'lte:200000'],
        ];
    }

    /**
     * Null: the house rule again.
     *
     * @throws InvalidInput at `life_points` where life does not fall with the interval
     */
    public function curve(): ?LifeCurve
    {
        $units = Units::of($this->translator()->settings);

        return $this->boolean('house')
            ? null
            : new LifeCurve(
                array_map(
                    fn(array $point) => new LifePoint($units->toKm((float) $point['interval']), $units->toKm((float) $point['life'])),
                    array_values($this->array('points')),
                ),
            );
    }
}
