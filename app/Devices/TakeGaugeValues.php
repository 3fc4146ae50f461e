<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\GaugeValue;
use App\Support\AppClock;
use App\Support\WriteTransaction;

/** Takes what a digital gauge sends: each value once, good ones beside bad ones. When it was read is when it came. */
final readonly class TakeGaugeValues
{
    /** What a gauge can show of a chain, in percent; anything else is a broken sensor. */
    private const LEAST_PCT = -1.0;

    private const MOST_PCT = 5.0;

    public function __construct(private AppClock $clock) {}

    /**
     * @param list<mixed> $readings each with `sequence` and `value_pct`
     *
     * @return array{taken: int, known: int, refused: list<array{index: int, reason: string}>}
     */
    public function __invoke(Device $device, array $readings): array
    {
        $nowS = $this->clock->unixS();
        $good = $refused = [];
        foreach ($readings as $index => $reading) {
            $read = self::read($reading);
            is_string($read) ? ($refused[] = ['index' => $index, 'reason' => (string) __("errors.gauge.{$read}")]) : ($good[] = $read);
        }
        $taken = WriteTransaction::run(function () use ($device, $good, $nowS): int {
            $device->update(['seen_at' => $nowS]);

            return GaugeValue::query()->insertOrIgnore(
                array_map(
                    fn(array $reading) => [
                        'workshop_id' => $device->workshop_id,
                        'device_id' => $device->id,
                        'sequence' => $reading[0],
                        'received_at' => $nowS,
                        'value_pct' => $reading[1],
                    ],
                    $good,
                ),
            );
        });

        return ['taken' => $taken, 'known' => count($good) - $taken, 'refused' => $refused];
    }

    /** @return array{int, float}|string sequence and percent; or what is wrong */
    private static function read(mixed $reading): array|string
    {
        if (!is_array($reading)) {
            return 'object';
        }
        ['sequence' => $sequence, 'value_pct' => $value] = $reading + ['sequence' => null, 'value_pct' => null];

        return match (true) {
            !is_int($sequence) || $sequence < 0 => 'sequence',
            !is_int($value) && !is_float($value) => 'value',
            $value < self::LEAST_PCT || $value > self::MOST_PCT => 'range',
            default => [$sequence, (float) $value],
        };
    }
}
