<?php

declare(strict_types=1);

namespace App\Actions\Ride;

use App\Logbook\ReadBook;
use App\Models\RideImport;
use App\Models\Workshop;
use App\Ride\RideTable;
use App\Ride\TrackSource;
use App\Support\WriteTransaction;
use App\Text\Names;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Ride\RideColumns;
use Illuminate\Support\Facades\File;

/** The columns of a table were said: its rides wait to be taken in, like those of files. What cannot be read is left out. */
final readonly class ReadTable
{
    public function __construct(private ReadTrack $readTrack, private ReadBook $readBook) {}

    /** @throws InvalidInput at `file` where nothing can be read */
    public function __invoke(Workshop $workshop, RideImport $import, RideColumns $columns): void
    {
        $settings = $this->readBook->settings($workshop);
        $table = RideTable::of($import);
        ['rides' => $rides, 'faults' => $faults] = $table->read($columns, $settings->zone());
        $rides !== [] ||
            throw new InvalidInput(
                'file',
                'has no row that can be read so. Line ' .
                    ($faults[0]['line'] ?? 1) .
                    ': the ' .
                    ($faults[0]['column'] ?? 'row') .
                    ' ' .
                    ($faults[0]['why'] ?? 'is missing'),
            );
        $bikes = $this->bikes($workshop);
        WriteTransaction::run(function () use ($workshop, $import, $columns, $table, $rides, $bikes, $settings): void {
            foreach ($rides as $n => $ride) {
                $this->readTrack->remember($workshop, TrackSource::Table, [
                    'name' =>
                        $ride->name !== '' ? $ride->name : (string) __('ui.tracks.row', ['line' => $ride->line, 'name' => $import->name]),
                    // A day alone stands for all of it.
                    'start' => $ride->startS ?? LocalDay::named($ride->date, $settings->zone())->endS(),
                    'precision' => $ride->startS === null ? 'day' : 'minute',
                    'km' => $ride->km,
                    'moving_hours' => $ride->hours,
                    'elapsed_hours' => $ride->hours,
                    'points' => 0,
                    'segments' => 0,
                    'fingerprint' => $ride->fingerprint(),
                    'bike_id' => $bikes[mb_strtolower($ride->bike)] ?? null,
                    'condition' => $ride->condition?->value,
                    'import_id' => $import->id,
                    'position' => $n,
                ]);
            }
            $table->remember($workshop, $columns);
            $import->delete();
        });
        File::delete($import->path());
    }

    /** @return array<string, int> by name in small letters */
    private function bikes(Workshop $workshop): array
    {
        $book = $this->readBook->withoutRides($workshop);
        $names = new Names($book->settings);
        $bikes = [];
        foreach ($book->bikeIds as $id) {
            $bikes[mb_strtolower($names->bike($id))] = $id;
        }

        return $bikes;
    }
}
