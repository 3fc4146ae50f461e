<?php

declare(strict_types=1);

namespace App\Archive;

use App\Logbook\EntryType;
use App\Logbook\PastRides;
use App\Logbook\ReadBook;
use App\Logbook\Snapshots;
use App\Models\Workshop;
use App\Support\WriteTransaction;
use Illuminate\Support\Facades\DB;

/** Takes everything out of a workshop but its people. The one thing that cannot be undone, so a backup comes first. */
final readonly class EmptyWorkshop
{
    public function __construct(private Backups $backups, private ReadBook $readBook, private Snapshots $snapshots) {}

    public function __invoke(Workshop $workshop): void
    {
        $this->backups->before();
        WriteTransaction::run(fn() => $this->rows($workshop));
        $workshop->refresh();
        $this->readBook->forget();
    }

    /** Whether nothing was ever done in it but settings. */
    public function isEmpty(Workshop $workshop): bool
    {
        foreach (EntryType::cases() as $type) {
            if ($type !== EntryType::Setting && DB::table($type->value)->where('workshop_id', $workshop->id)->exists()) {
                return false;
            }
        }

        return true;
    }

    /** Its settings stay unless they go too. */
    public function rows(Workshop $workshop): void
    {
        PastRides::forget($workshop);
        $this->snapshots->forget($workshop);
        foreach (['tracks', 'guided_taps', 'guided_jobs', 'temperatures', 'gauge_values', 'rain_hours', 'devices'] as $table) {
            DB::table($table)->where('workshop_id', $workshop->id)->delete();
        }
        foreach (array_reverse(WorkshopFile::tables()) as $table) {
            if ($table === WorkshopFile::ACTIONS) {
                DB::table($table)
                    ->where('workshop_id', $workshop->id)
                    ->update(['reverted_by' => null]);
            }
            DB::table($table)->where('workshop_id', $workshop->id)->delete();
        }
        Workshop::query()->whereKey($workshop->id)->increment('revision');
    }
}
