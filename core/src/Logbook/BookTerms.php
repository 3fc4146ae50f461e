<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\LearnedByEar;

/** What the bikes of a logbook ask of their chains, at an instant. */
final class BookTerms
{
    /** @var array<string, float|null> by bike and instant: every chain of a bike asks */
    private array $learned = [];

    /** @var array<int, float> effective km in an hour, by bike */
    private array $kmPerHour = [];

    public function __construct(private readonly Book $book) {}

    /** What the bike of a chain asks of it; without a bike, the defaults. */
    public function ofChain(int $chainId, int $atS): Terms
    {
        $terms = $this->ofBike($this->book->bikeOfChain($chainId, $atS) ?? 0, $atS);
        $dripKm = $this->book->settings->at(SettingKey::ChainDripKm, $chainId, $atS);

        return $dripKm === null ? $terms : new Terms((float) $dripKm, null, $terms->limitPct, false, true);
    }

    public function ofBike(int $bikeId, int $atS): Terms
    {
        $settings = $this->book->settings;
        $learnedKm = $this->learnedKm($bikeId, $atS);
        $hours = $settings->intervalHours($bikeId, $atS);
        $hoursAlone = $learnedKm === null && $settings->byHoursAlone($bikeId, $atS);

        return new Terms(
            $learnedKm ?? $this->setKm($bikeId, $atS),
            $hours,
            $settings->limitSchool($bikeId, $atS)->limitPct($settings->whole(SettingKey::BikeSpeeds, $bikeId, 1)),
            $learnedKm !== null,
            $settings->dripOnly($bikeId, $atS),
            $hoursAlone,
            $hours === null ? 0.0 : Pace::counted($this->book->hoursPerKm($bikeId), $hoursAlone),
        );
    }

    /** The interval that somebody set, in effective km; of a bike that goes by hours alone, how far it gets in them. */
    public function setKm(int $bikeId, int $atS): float
    {
        $settings = $this->book->settings;

        return $settings->byHoursAlone($bikeId, $atS)
            ? $this->kmPerHour($bikeId) * $settings->intervalHours($bikeId, $atS)
            : $settings->intervalKm($bikeId, $atS);
    }

    /** Effective km in an hour of all its rides that were timed; where none was, of those that were not, at the usual pace. */
    private function kmPerHour(int $bikeId): float
    {
        return $this->kmPerHour[$bikeId] ??= $this->book->kept(
            "km per hour {$bikeId}",
            fn() => $this->findKmPerHour($this->book->ridesOf($bikeId)->all()),
        );
    }

    /** @param list<Ride> $rides */
    private function findKmPerHour(array $rides): float
    {
        $timed = array_filter($rides, fn(Ride $ride) => $ride->hours > 0.0 && $ride->km > 0.0);
        [$km, $effectiveKm, $hours] = [0.0, 0.0, 0.0];
        foreach ($timed ?: $rides as $ride) {
            $km += $ride->km;
            $effectiveKm += $ride->km * $this->book->settings->factor($ride->condition, $ride->moment->unixS);
            $hours += $ride->hours ?? 0.0;
        }

        return match (true) {
            $timed !== [] => $effectiveKm / $hours,
            $km > 0.0 => (Pace::USUAL_KMH * $effectiveKm) / $km,
            default => Pace::USUAL_KMH,
        };
    }

    /** Of a bike that goes by ear: when its chains get loud; null before the first noise, and for any other. */
    private function learnedKm(int $bikeId, int $atS): ?float
    {
        if (!$this->book->settings->byEar($bikeId, $atS)) {
            return null;
        }
        $key = "{$bikeId} {$atS}";
        if (!array_key_exists($key, $this->learned)) {
            $this->learned[$key] = LearnedByEar::of($this->book, $bikeId, $atS)?->result->intervalKm;
        }

        return $this->learned[$key];
    }
}
