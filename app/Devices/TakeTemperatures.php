<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Models\Temperature;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Input\IsoTime;

/**
 * Takes what a probe sends: each reading once, good ones beside bad ones. A device whose clock is off is told so, and its
 * readings are put where they belong by the one clock.
 */
final readonly class TakeTemperatures
{
    /** What a bath of wax can be, in °C; anything else is a broken sensor. */
    private const COLDEST_C = -30.0;

    private const HOTTEST_C = 300.0;

    /** A clock that is off by less is left alone, in seconds. */
    private const SKEW_S = 5;

    public function __construct(private AppClock $clock) {}

    /**
     * @param list<mixed> $readings each with `sequence`, `at` (ISO 8601) and `celsius`
     * @param mixed $sentAt what the device's clock showed when it sent them, if it says so
     *
     * @return array{taken: int, known: int, refused: list<array{index: int, reason: string}>, clock_skew_s: int, clock: string}
     */
    public function __invoke(Device $device, array $readings, mixed $sentAt): array
    {
        $nowS = $this->clock->unixS();
        $good = $refused = [];
        foreach ($readings as $index => $reading) {
            $read = self::read($reading);
            is_string($read) ? ($refused[] = ['index' => $index, 'reason' => (string) __("errors.probe.{$read}")]) : ($good[] = $read);
        }
        $skewS = self::skewS($good, $sentAt, $nowS);
        $taken = WriteTransaction::run(function () use ($device, $good, $skewS, $nowS): int {
            $device->update(['seen_at' => $nowS]);

            return Temperature::query()->insertOrIgnore(
                array_map(
                    fn(array $reading) => [
                        'workshop_id' => $device->workshop_id,
                        'pot_id' => $device->pot_id,
                        'device_id' => $device->id,
                        'sequence' => $reading[0],
                        'at' => min($nowS, $reading[1] + $skewS),
                        'device_at' => $reading[1],
                        'received_at' => $nowS,
                        'temp_c' => $reading[2],
                    ],
                    $good,
                ),
            );
        });

        return [
            'taken' => $taken,
            'known' => count($good) - $taken,
            'refused' => $refused,
            'clock_skew_s' => $skewS,
            'clock' => $skewS === 0 ? 'good' : 'corrected',
        ];
    }

    /** @return array{int, int, float}|string sequence, instant, °C; or what is wrong */
    private static function read(mixed $reading): array|string
    {
        if (!is_array($reading)) {
            return 'object';
        }
        ['sequence' => $sequence, 'at' => $at, 'celsius' => $celsius] = $reading + ['sequence' => null, 'at' => null, 'celsius' => null];
        try {
            $atS = is_string($at) ? (int) floor(IsoTime::parse('at', $at)->unixSeconds) : null;
        } catch (InvalidInput) {
            $atS = null;
        }

        return match (true) {
            !is_int($sequence) || $sequence < 0 => 'sequence',
            $atS === null || $atS < 0 => 'at',
            !is_int($celsius) && !is_float($celsius) => 'celsius',
            $celsius < self::COLDEST_C || $celsius > self::HOTTEST_C => 'range',
            default => [$sequence, $atS, (float) $celsius],
        };
    }

    /**
     * By how much the device's clock is behind: from what it showed when it sent, else only if it lies in the future.
     *
     * @param list<array{int, int, float}> $readings
     */
    private static function skewS(array $readings, mixed $sentAt, int $nowS): int
    {
        try {
            $sentS = is_string($sentAt) ? (int) floor(IsoTime::parse('sent_at', $sentAt)->unixSeconds) : null;
        } catch (InvalidInput) {
            $sentS = null;
        }
        $skewS = $nowS - ($sentS ?? max([$nowS - self::SKEW_S, ...array_column($readings, 1)]));

        return abs($skewS) > self::SKEW_S || ($sentS === null && $skewS < 0) ? $skewS : 0;
    }
}
