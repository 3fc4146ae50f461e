<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * Distance on the WGS 84 ellipsoid, in metres, from degrees. Within 0.01 % of the geodesic everywhere.
 * Short pairs: the arc in the local radii of curvature. Longer ones: T. Vincenty, Direct and inverse solutions of
 * geodesics on the ellipsoid, Survey Review XXIII (1975) (memory). Nearly antipodal ones, where Vincenty's series does
 * not settle: the shortest way over a point halfway round, found by search.
 */
final class Geodesic
{
    private const A = 6378137.0;

    private const F = 1 / 298.257223563;

    private const B = self::A * (1 - self::F);

    private const E2 = self::F * (2 - self::F);

    /** Up to about a kilometre the local formula is good to 1e-6 … */
    private const LOCAL_DEG = 0.01;

    /** … except near the poles, where a degree of longitude shrinks too fast. */
    private const LOCAL_MAX_LAT = 80.0;

    public static function metres(float $lat1, float $lon1, float $lat2, float $lon2): float
    {
        $dLat = $lat2 - $lat1;
        $dLon = fmod($lon2 - $lon1 + 540.0, 360.0) - 180.0;
        if (abs($dLat) < self::LOCAL_DEG && abs($dLon) < self::LOCAL_DEG && abs($lat1) < self::LOCAL_MAX_LAT) {
            return self::local(deg2rad($lat1 + $dLat / 2), deg2rad($dLat), deg2rad($dLon));
        }

        return self::vincenty(deg2rad($lat1), deg2rad($lat2), deg2rad($dLon)) ??
            self::antipodal(deg2rad($lat1), deg2rad($lat2), deg2rad($dLon));
    }

    private static function local(float $lat, float $dLat, float $dLon): float
    {
        $w2 = 1 - self::E2 * sin($lat) ** 2;
        $primeVertical = self::A / sqrt($w2);
        $meridional = ($primeVertical * (1 - self::E2)) / $w2;

        return hypot($meridional * $dLat, $primeVertical * cos($lat) * $dLon);
    }

    private static function vincenty(float $lat1, float $lat2, float $dLon): ?float
    {
        $u1 = atan((1 - self::F) * tan($lat1));
        $u2 = atan((1 - self::F) * tan($lat2));
        [$sinU1, $cosU1, $sinU2, $cosU2] = [sin($u1), cos($u1), sin($u2), cos($u2)];
        $lambda = $dLon;
        for ($i = 0; $i < 100; $i++) {
            [$sinLambda, $cosLambda] = [sin($lambda), cos($lambda)];
            $sinSigma = hypot($cosU2 * $sinLambda, $cosU1 * $sinU2 - $sinU1 * $cosU2 * $cosLambda);
            if ($sinSigma == 0.0) {
                return 0.0;
            }
            $cosSigma = $sinU1 * $sinU2 + $cosU1 * $cosU2 * $cosLambda;
            $sigma = atan2($sinSigma, $cosSigma);
            $sinAlpha = ($cosU1 * $cosU2 * $sinLambda) / $sinSigma;
            $cos2Alpha = 1 - $sinAlpha ** 2;
            $cos2SigmaM = $cos2Alpha > 1e-12 ? $cosSigma - (2 * $sinU1 * $sinU2) / $cos2Alpha : 0.0;
            $c = (self::F / 16) * $cos2Alpha * (4 + self::F * (4 - 3 * $cos2Alpha));
            $before = $lambda;
            $lambda =
                $dLon +
                (1 - $c) * self::F * $sinAlpha * ($sigma + $c * $sinSigma * ($cos2SigmaM + $c * $cosSigma * (2 * $cos2SigmaM ** 2 - 1)));
            if (abs($lambda) > M_PI) {
                return null;
            }
            if (abs($lambda - $before) < 1e-12) {
                $uu = ($cos2Alpha * (self::A ** 2 - self::B ** 2)) / self::B ** 2;
                $bigA = 1 + ($uu / 16384) * (4096 + $uu * (-768 + $uu * (320 - 175 * $uu)));
                $bigB = ($uu / 1024) * (256 + $uu * (-128 + $uu * (74 - 47 * $uu)));
                $deltaSigma =
                    $bigB *
                    $sinSigma *
                    ($cos2SigmaM +
                        ($bigB / 4) *
                            ($cosSigma * (2 * $cos2SigmaM ** 2 - 1) -
                                ($bigB / 6) * $cos2SigmaM * (4 * $sinSigma ** 2 - 3) * (4 * $cos2SigmaM ** 2 - 3)));

                return self::B * $bigA * ($sigma - $deltaSigma);
            }
        }

        return null;
    }

    /** The geodesic crosses the circle of points a quarter of the globe away somewhere: the shortest crossing is it. */
    private static function antipodal(float $lat1, float $lat2, float $dLon): float
    {
        $via = function (float $azimuth) use ($lat1, $lat2, $dLon): float {
            $lat = asin(cos($lat1) * cos($azimuth));
            $lon = atan2(sin($azimuth), -sin($lat1) * cos($azimuth));

            return (self::vincenty($lat1, $lat, $lon) ?? INF) +
                (self::vincenty($lat, $lat2, fmod($dLon - $lon + 3 * M_PI, 2 * M_PI) - M_PI) ?? INF);
        };
        [$best, $step] = [0.0, M_PI / 36];
        for ($azimuth = 0.0; $azimuth < 2 * M_PI; $azimuth += $step) {
            $best = $via($azimuth) < $via($best) ? $azimuth : $best;
        }
        for (; $step > 1e-5; $step /= 2) {
            foreach ([$best - $step / 2, $best + $step / 2] as $azimuth) {
                $best = $via($azimuth) < $via($best) ? $azimuth : $best;
            }
        }

        return $via($best);
    }
}
