<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Devices\Connect;
use App\Devices\RideAddress;
use App\Devices\RideFolder;
use App\Devices\SimulatedRides;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Text\Names;
use Illuminate\Console\Command;

/** The simulated bike computer, from the command line: it brings rides to the demo. */
final class Rides extends Command
{
    protected $signature = 'dripel:rides
        {--count=2 : so many rides, the last one home by now}
        {--bike= : of this bike; without it of one after the other}
        {--km= : so long each; as the bike is usually ridden, if left out}
        {--by=http : http, to the address of the inbox with a token; or folder, into the one that is watched}';

    protected $description = 'Deliver simulated rides to the inbox';

    public function handle(Connect $connect, SimulatedRides $rides, ReadBook $readBook): int
    {
        $workshop = Workshop::query()->where('demo', true)->first();
        $book = $workshop === null ? null : $readBook($workshop);
        $bikes = $book === null ? [] : array_combine(array_map((new Names($book->settings))->bike(...), $book->bikeIds), $book->bikeIds);
        $bike = $this->option('bike');
        if ($workshop === null || ($bike !== null && !isset($bikes[$bike]))) {
            $this->error(
                $workshop === null ? 'There is no demo.' : 'The demo has no such bike. It has ' . implode(', ', array_keys($bikes)) . '.',
            );

            return self::FAILURE;
        }
        $km = is_numeric($this->option('km')) ? (float) $this->option('km') : null;
        [$device, $token] = $this->option('by') === 'folder' ? [null, ''] : $connect->bikeComputer($workshop, 'Simulated bike computer');
        $source = $device === null ? new RideFolder($workshop) : new RideAddress($token);
        $delivered = $rides->deliver($workshop, $source, (int) $this->option('count'), $bike === null ? null : $bikes[$bike], $km);
        $device === null || $connect->disconnect($device);
        $this->info("Delivered {$delivered} rides.");

        return $delivered > 0 ? self::SUCCESS : self::FAILURE;
    }
}
