<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Bath;
use App\Models\BathEntry;
use App\Models\Bike;
use App\Models\Brushing;
use App\Models\Commute;
use App\Models\Component;
use App\Models\Dip;
use App\Models\Entry;
use App\Models\Estimate;
use App\Models\Fitting;
use App\Models\JarEntry;
use App\Models\LogbookRow;
use App\Models\Noise;
use App\Models\Oiling;
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
use App\Models\WipeDown;
use Dripel\Core\Logbook\EntryKind;
use LogicException;

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
    case Oiling = 'oilings';
    case WipeDown = 'cares';
    case Brushing = 'brushings';
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
            self::Oiling => Oiling::class,
            self::WipeDown => WipeDown::class,
            self::Brushing => Brushing::class,
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
        return !in_array($this, [self::Bike, self::Component, self::Setting, self::Bath, self::Protocol], true);
    }

    /** Whether it was done to the chain that it names, so that it goes along when two tags turn out to have been mixed up. */
    public function followsChain(): bool
    {
        return match ($this) {
            self::Fitting, self::Strip, self::Dip, self::TopUp, self::Oiling, self::WipeDown, self::Reading, self::Retirement => true,
            // What it came with stays with the tag that it came under; a brushing, a noise and a ride are of the bike, the rest is of the
            // bench.
            self::Opening,
            self::Brushing,
            self::Noise,
            self::Ride,
            self::Bike,
            self::Component,
            self::Setting,
            self::Estimate,
            self::Commute,
            self::RestDay,
            self::JarEntry,
            self::Bath,
            self::BathEntry,
            self::Price,
            self::PlannedRide,
            self::Protocol
                => false,
        };
    }

    /** The kind that a chain, part or bike has it in its book as; null: it is of the bench, or derived from. */
    public function kind(): ?EntryKind
    {
        return match ($this) {
            self::Opening => EntryKind::Opening,
            self::Fitting => EntryKind::Fitting,
            self::Ride => EntryKind::Ride,
            self::Strip => EntryKind::Strip,
            self::Dip => EntryKind::Dip,
            self::TopUp => EntryKind::TopUp,
            self::Oiling => EntryKind::Oiling,
            self::WipeDown => EntryKind::WipeDown,
            self::Brushing => EntryKind::Brushing,
            self::Noise => EntryKind::Noise,
            self::Reading => EntryKind::Reading,
            self::Retirement => EntryKind::Retirement,
            self::Bike,
            self::Component,
            self::Setting,
            self::Estimate,
            self::Commute,
            self::RestDay,
            self::JarEntry,
            self::Bath,
            self::BathEntry,
            self::Price,
            self::PlannedRide,
            self::Protocol
                => null,
        };
    }

    public static function ofKind(EntryKind $kind): self
    {
        foreach (self::cases() as $type) {
            if ($type->kind() === $kind) {
                return $type;
            }
        }
        throw new LogicException("No table holds the kind {$kind->value}.");
    }

    /** @return list<self> those whose rows are events, in the order of their kinds */
    public static function events(): array
    {
        return array_map(self::ofKind(...), array_values(array_filter(EntryKind::cases(), fn(EntryKind $kind) => $kind->isEvent())));
    }

    /** @return class-string<IsEvent> */
    public function event(): string
    {
        $model = $this->model();
        assert(is_subclass_of($model, IsEvent::class));

        return $model;
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
