<?php

declare(strict_types=1);

namespace App\Devices;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Ride;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A stand-in for a bike computer: rides that could have been, out along a winding road and back by another, recorded every few
 * seconds with the wander of a receiver and a stop now and then. The same seed gives the same ride.
 */
final readonly class SimulatedBikeComputer
{
    private const EVERY_S = 5;

    /** Somewhere flat and invented. */
    private const START = [52.412, 6.587];

    private const METRES_PER_DEGREE = 111_320.0;

    /** How the receiver wanders, in metres. */
    private const WANDER_M = 1.2;

    /**
     * How far and how fast a bike usually goes: as on one of its last rides.
     *
     * @return array{float, float} km and km/h
     */
    public function habit(Book $book, int $bikeId, int $seed): array
    {
        $all = $book->ridesOf($bikeId);
        $rides = array_values(
            array_filter(
                $all->slice(max(0, count($all) - 20))->all(),
                fn(Ride $ride) => $ride->guess === null && (float) $ride->hours > 0.0,
            ),
        );
        if ($rides === []) {
            return [30.0, 24.0];
        }
        $ride = $rides[$seed % count($rides)];

        return [$ride->km, $ride->km / (float) $ride->hours];
    }

    public function gpx(int $startS, float $km, float $kmh, int $seed): string
    {
        $dice = new Randomizer(new Xoshiro256StarStar($seed));
        $throw = fn(): float => $dice->getInt(-1000, 1000) / 1000;
        [$lat, $lon] = self::START;
        $heading = $throw() * M_PI;
        [$gone, $atS, $points] = [0.0, $startS, ''];
        $shrink = cos(deg2rad($lat));
        while ($gone < 1000 * $km) {
            // Half-way it turns for home, a little to one side.
            $back = $gone > 500 * $km;
            $home = atan2((self::START[1] - $lon) * $shrink, self::START[0] - $lat);
            $heading += 0.12 * $throw() + ($back ? 0.05 * sin($home - $heading) : 0.0);
            $step = max(1.0, ($kmh / 3.6) * (1 + 0.25 * $throw())) * self::EVERY_S;
            $gone += $step;
            $lat += (cos($heading) * $step) / self::METRES_PER_DEGREE;
            $lon += (sin($heading) * $step) / self::METRES_PER_DEGREE / $shrink;
            $points .= sprintf(
                "      <trkpt lat=\"%.6f\" lon=\"%.6f\"><time>%s</time></trkpt>\n",
                $lat + ($throw() * self::WANDER_M) / self::METRES_PER_DEGREE,
                $lon + ($throw() * self::WANDER_M) / self::METRES_PER_DEGREE,
                gmdate('Y-m-d\TH:i:s\Z', $atS),
            );
            $atS += self::EVERY_S + ($dice->getInt(1, 400) === 1 ? $dice->getInt(30, 240) : 0);
        }

        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<gpx version=\"1.1\" creator=\"simulated bike computer\" xmlns=\"http://www.topografix.com/GPX/1/1\">\n  <trk>\n    <trkseg>\n{$points}    </trkseg>\n  </trk>\n</gpx>\n";
    }
}
