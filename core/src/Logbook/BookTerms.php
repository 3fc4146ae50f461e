<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Interval\LearnedByEar;

/** What the bikes of a logbook ask of their chains, at an instant. */
final class BookTerms
{
    /** @var array<string, float|null> by bike and instant: every chain of a bike asks */
    private array $learned = [];

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
        $learnedKm = $this->learnedKm($bikeId, $atS);

        return new Terms(
            $learnedKm ?? $this->book->settings->intervalKm($bikeId, $atS),
            $this->book->settings->intervalHours($bikeId, $atS),
            $this->book->settings->limitSchool($bikeId, $atS)->limitPct($this->book->settings->whole(SettingKey::BikeSpeeds, $bikeId, 1)),
            $learnedKm !== null,
            $this->book->settings->dripOnly($bikeId, $atS),
        );
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
