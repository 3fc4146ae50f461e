<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Bath;
use App\Models\BathEntry;
use App\Models\Bike;
use App\Models\Care;
use App\Models\Commute;
use App\Models\Component;
use App\Models\Dip;
use App\Models\Entry;
use App\Models\Estimate;
use App\Models\Fitting;
use App\Models\JarEntry;
use App\Models\LogbookRow;
use App\Models\Noise;
use App\Models\Opening;
use App\Models\PlannedRide;
use App\Models\Price;
use App\Models\Protocol;
use App\Models\Reading;
use App\Models\RestDay;
use App\Models\Retirement;
use App\Models\Ride;
use App\Models\Setting;
use App\Models\Strip;
use App\Models\TopUp;
use Dripel\Core\Logbook\EntryKind;

/** The tables of the logbook by the name that stands in links and in `actions.effects`. */
enum EntryType: string
{
    case Bike = 'bikes';
    case Component = 'components';
    case Setting = 'settings';
    case Opening = 'openings';
    case Fitting = 'fittings';
    case Ride = 'rides';
    case Strip = 'strips';
    case Dip = 'dips';
    case TopUp = 'topups';
    case Care = 'cares';
    case Noise = 'noises';
    case Reading = 'readings';
    case Retirement = 'retirements';
    case Estimate = 'estimates';
    case Commute = 'commutes';
    case RestDay = 'rest_days';
    case JarEntry = 'jar_entries';
    case Bath = 'baths';
    case BathEntry = 'bath_entries';
    case Price = 'prices';
    case PlannedRide = 'planned_rides';
    case Protocol = 'protocols';

    /** @return class-string<LogbookRow> */
    public function model(): string
    {
        return match ($this) {
            self::Bike => Bike::class,
            self::Component => Component::class,
            self::Setting => Setting::class,
            self::Opening => Opening::class,
            self::Fitting => Fitting::class,
            self::Ride => Ride::class,
            self::Strip => Strip::class,
            self::Dip => Dip::class,
            self::TopUp => TopUp::class,
            self::Care => Care::class,
            self::Noise => Noise::class,
            self::Reading => Reading::class,
            self::Retirement => Retirement::class,
            self::Estimate => Estimate::class,
            self::Commute => Commute::class,
            self::RestDay => RestDay::class,
            self::JarEntry => JarEntry::class,
            self::Bath => Bath::class,
            self::BathEntry => BathEntry::class,
            self::Price => Price::class,
            self::PlannedRide => PlannedRide::class,
            self::Protocol => Protocol::class,
        };
    }

    public static function of(LogbookRow $row): self
    {
        return self::from($row->getTable());
    }

    /** Whether a person may move or delete one of these by itself. */
    public function isEvent(): bool
    {
        // A bath goes with its stripping.
        return ! in_array($this, [self::Bike, self::Component, self::Setting, self::Bath, self::Protocol], true);
    }

    /** Whether it was done to the chain that it names, so that it goes along when two tags turn out to have been mixed up. */
    public function followsChain(): bool
    {
        return match ($this) {
            self::Fitting, self::Strip, self::Dip, self::TopUp, self::Care, self::Reading, self::Retirement => true,
            // What it came with stays with the tag that it came under; a noise and a ride are of the bike, the rest is of the bench.
            self::Opening, self::Noise, self::Ride, self::Bike, self::Component, self::Setting, self::Estimate, self::Commute, self::RestDay,
            self::JarEntry, self::Bath, self::BathEntry, self::Price, self::PlannedRide, self::Protocol => false,
        };
    }

    public static function ofKind(EntryKind $kind): self
    {
        return match ($kind) {
            EntryKind::Opening => self::Opening,
            EntryKind::Strip => self::Strip,
            EntryKind::Dip => self::Dip,
            EntryKind::Fitting => self::Fitting,
            EntryKind::TopUp => self::TopUp,
            EntryKind::Ride => self::Ride,
            EntryKind::Care => self::Care,
            EntryKind::Noise => self::Noise,
            EntryKind::Reading => self::Reading,
            EntryKind::Retirement => self::Retirement,
        };
    }

    /** Whether it decides which chain was where or still in use, so that it can contradict another entry. */
    public function canConflict(): bool
    {
        return $this->followsChain() || $this === self::Opening;
    }

    /** @return class-string<Entry> */
    public function eventModel(): string
    {
        $model = $this->model();
        assert(is_subclass_of($model, Entry::class));

        return $model;
    }
}
