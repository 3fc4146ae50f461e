<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Wear\ChainForecast;

/** The wear of a chain in sentences: what to do, how worn it is, when its limit comes, and why that is believed. */
final readonly class WearWords
{
    public function __construct(private Voice $voice) {}

    /** @return list<string> */
    public function sentences(ChainForecast $forecast): array
    {
        $q = $this->voice->quantities;
        $result = $forecast->result;
        $pct = fn(float $value): string => $q->number(max(0.0, $value), 2);
        $parameters = [
            'mean' => $pct($result->nowMean), 'p10' => $pct($result->nowP10), 'p90' => $pct($result->nowP90), 'limit' => $q->mark($forecast->input->limitPct),
            'likely' => $q->percent(100 * $result->probabilityPastLimit),
            'km10' => $this->about($result->kmToLimitP10), 'km50' => $this->about($result->kmToLimitP50), 'km90' => $this->about($result->kmToLimitP90),
            'at' => $result->nextMeasurementKm === null ? '' : $this->about($result->nextMeasurementKm),
            'ahead' => $result->nextMeasurementKm === null ? '' : $this->about($result->nextMeasurementKm - $forecast->input->nowKm),
        ];
        $say = fn(string $code): string => $this->voice->say("wear.{$code}", $parameters);

        return array_values(array_filter([
            $say("now.{$result->verdict->value}"),
            match (true) {
                $result->kmToLimitP50 === null => $say('limit_never'),
                $result->kmToLimitP50 <= 0.0 => null,
                $result->kmToLimitP90 === null => $say('limit_open'),
                default => $say('limit'),
            },
            $result->nextMeasurementKm !== null && $result->nextMeasurementKm > $forecast->input->nowKm ? $say('measure_by') : null,
        ]));
    }

    /** Where the belief comes from. */
    public function why(ChainForecast $forecast, ChainState $chain): string
    {
        $q = $this->voice->quantities;
        $prior = $forecast->input->prior;

        return trans_choice('wear.why', count($forecast->input->readings), [
            'rate' => $q->number($prior->rateMedian ?? 0.0, 3), 'interval' => $q->distance($forecast->intervalKm), 'limit' => $q->mark($chain->terms->limitPct),
        ]);
    }

    /** Two digits are all that such a figure bears. */
    private function about(?float $km): string
    {
        if ($km === null) {
            return '';
        }
        $shown = $this->voice->quantities->units->fromKm(max(0.0, $km));
        $step = 10 ** max(1, (int) floor(log10(max(1.0, $shown))) - 1);

        return $this->voice->quantities->number(round($shown / $step) * $step)."\u{a0}{$this->voice->quantities->units->distance}";
    }
}
