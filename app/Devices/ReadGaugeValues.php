<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\GaugeValue;
use App\Models\Workshop;

/** What the gauges of a workshop sent, for the form that listens. */
final readonly class ReadGaugeValues
{
    private const MOST = 12;

    /**
     * Without `since` only where one is now.
     *
     * @return array{values: list<string>, last: int} in percent as shown, and where to listen on from
     */
    public function __invoke(Workshop $workshop, ?int $since): array
    {
        $query = GaugeValue::query()->in($workshop);
        $values =
            $since === null ? [] : array_values((clone $query)->where('id', '>', $since)->orderBy('id')->limit(self::MOST)->get()->all());
        $last = $values === [] ? null : $values[count($values) - 1];

        return [
            'values' => array_map(fn(GaugeValue $value) => (string) $value->value_pct, $values),
            'last' => $last->id ?? ($since ?? (int) $query->max('id')),
        ];
    }
}
