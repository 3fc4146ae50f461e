<?php

declare(strict_types=1);

namespace App\Devices;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\Names;
use Random\Engine\Secure;
use Random\Randomizer;

/** Rides of the simulated bike computer for the bikes of a workshop, the last one home by now. */
final readonly class SimulatedRides
{
    /** From the end of one ride to the start of the one after it. */
    private const BETWEEN_S = 20 * 3600;

    public function __construct(private SimulatedBikeComputer $computer, private ReadBook $readBook, private AppClock $clock) {}

    /** @return int how many were handed over */
    public function deliver(Workshop $workshop, RideSource $source, int $count, ?int $bikeId = null, ?float $km = null): int
    {
        $book = ($this->readBook)($workshop);
        $names = new Names($book->settings);
        $dice = new Randomizer(new Secure());
        $endS = $this->clock->unixS() - 600;
        for ($n = 0; $n < $count && $book->bikeIds !== []; $n++) {
            $seed = $dice->getInt(1, 1_000_000);
            $bike = $bikeId ?? $book->bikeIds[$n % count($book->bikeIds)];
            [$usualKm, $kmh] = $this->computer->habit($book, $bike, $seed);
            $distance = $km ?? max(3.0, ($usualKm * $dice->getInt(85, 115)) / 100);
            // Stops on the way make it a little longer.
            $startS = $endS - (int) (((3600 * $distance) / $kmh) * 1.15) - 300;
            $name = preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($names->bike($bike))) . gmdate('-Y-m-d-Hi', $startS) . '.gpx';
            if (!$source->deliver($name, $this->computer->gpx($startS, $distance, $kmh, $seed))) {
                return $n;
            }
            $endS = $startS - self::BETWEEN_S;
        }

        return $count;
    }
}
