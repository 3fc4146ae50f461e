<?php

declare(strict_types=1);

namespace Bench;

use App\Actions\Ride\ReadArchive;
use App\Actions\Ride\RideFacts;
use App\Actions\Ride\TakeFile;
use App\Actions\Ride\TakeInRides;
use App\Devices\SimulatedBikeComputer;
use App\Logbook\ActionContext;
use App\Models\Bike;
use App\Models\RideImport;
use App\Models\Track;
use App\Models\Workshop;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use RuntimeException;
use ZipArchive;

/** A thousand rides of five thousand points each, in one archive. */
final readonly class ThousandRides
{
    private const RIDES = 1000;

    private const KM = 172.0;

    /** A few roads; each ride is on a day of its own. */
    private const ROADS = 10;

    private Workshop $workshop;

    public function __construct()
    {
        $this->workshop = Workshop::query()->firstOrFail();
    }

    public function drop(): RideImport
    {
        // Read here, and measured, not by a queue.
        Queue::fake();
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        $first = strtotime('2001-01-01 08:00 UTC');
        $roads = array_map(fn(int $seed) => (new SimulatedBikeComputer())->gpx($first, self::KM, 25.0, $seed), range(1, self::ROADS));
        for ($n = 0; $n < self::RIDES; $n++) {
            $zip->addFromString("ride-{$n}.gpx", str_replace('2001-01-01', gmdate('Y-m-d', $first + 86400 * $n), $roads[$n % self::ROADS]));
        }
        $zip->close();
        $import = app(TakeFile::class)($this->workshop, $path, 'thousand.zip');
        unlink($path);

        return $import instanceof RideImport ? $import : throw new RuntimeException('A zip was taken for a ride.');
    }

    public function read(RideImport $import): void
    {
        while (app(ReadArchive::class)($import, 15.0));
        Track::query()->count() === self::RIDES || throw new RuntimeException('Not all of the rides were read.');
    }

    public function takeIn(): void
    {
        $bike = Bike::query()->in($this->workshop)->firstOrFail();
        $rides = Track::query()
            ->in($this->workshop)
            ->get()
            ->map(
                fn(Track $track) => [
                    $track,
                    new RideFacts($bike, new Moment((int) $track->start), $track->km, $track->moving_hours, Condition::Dry),
                ],
            );
        app(TakeInRides::class)(new ActionContext($this->workshop->refresh(), null, (string) Str::uuid()), array_values($rides->all()));
    }
}
