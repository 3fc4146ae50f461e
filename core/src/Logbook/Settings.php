<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use DateTimeZone;
use Dripel\Core\Drip\DripCleanSchool;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\DeclinedFactors;
use Dripel\Core\Interval\Factors;
use Dripel\Core\Interval\LifeCurve;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\PotDay\ReadySchool;
use Dripel\Core\Wear\LimitSchool;

/** All settings of a workshop with their dates. What was never set has the default said here. */
final class Settings
{
    /** The middle school: re-wax every 250 to 300 km. Common practice. */
    public const INTERVAL_KM = 300.0;

    /** House rule: drip wax does not reach all that a bath does. */
    private const DRIP_AS_WAX = 1.5;

    /** @var array<string, array<int, list<DatedSetting>>> in order of time */
    private array $settings = [];

    /** @var array<string, Factors> by the instants between which they hold */
    private array $factorsCache = [];

    /** @param list<DatedSetting> $settings in any order */
    public function __construct(array $settings)
    {
        usort(
            $settings,
            fn(DatedSetting $a, DatedSetting $b) => $a->from->unixS <=> $b->from->unixS ?: $a->from->sequence <=> $b->from->sequence,
        );
        foreach ($settings as $setting) {
            $this->settings[$setting->key->value][$setting->subjectId][] = $setting;
        }
    }

    /** The value in force at an instant; for what is not dated, the newest one. Lists are asked for by `numbers`, `texts` or by name. */
    public function at(SettingKey $key, int $subjectId, int $atS): string|int|float|null
    {
        $value = $this->rowAt($key, $subjectId, $atS)?->value;

        return is_array($value) ? null : $value;
    }

    /** @return list<float> the newest list of an undated setting; empty: nobody said */
    public function numbers(SettingKey $key, int $subjectId): array
    {
        return array_values(array_map(floatval(...), array_filter($this->list($key, $subjectId), is_numeric(...))));
    }

    /** @return list<string> likewise, of texts or days */
    public function texts(SettingKey $key, int $subjectId): array
    {
        return array_values(array_filter($this->list($key, $subjectId), is_string(...)));
    }

    /** The newest value with the date it holds from; null: never set. */
    public function newest(SettingKey $key, int $subjectId): ?DatedSetting
    {
        return $this->rowAt($key, $subjectId, PHP_INT_MAX);
    }

    /** @return list<int> the bikes or components of which it was ever set */
    public function subjects(SettingKey $key): array
    {
        return array_keys($this->settings[$key->value] ?? []);
    }

    public function text(SettingKey $key, int $subjectId, string $default = ''): string
    {
        return (string) ($this->at($key, $subjectId, PHP_INT_MAX) ?? $default);
    }

    public function whole(SettingKey $key, int $subjectId, int $default = 0): int
    {
        return (int) ($this->at($key, $subjectId, PHP_INT_MAX) ?? $default);
    }

    /** The newest value of an undated setting as a number; null: nobody said. */
    public function number(SettingKey $key, int $subjectId): ?float
    {
        $value = $this->at($key, $subjectId, PHP_INT_MAX);

        return is_numeric($value) ? (float) $value : null;
    }

    public function intervalKm(int $bikeId, int $atS): float
    {
        return (float) ($this->at(SettingKey::IntervalKm, $bikeId, $atS) ?? self::INTERVAL_KM);
    }

    /** Whether somebody said that no km end a coat of a bike, only hours. */
    public function byHoursAlone(int $bikeId, int $atS): bool
    {
        $row = $this->rowAt(SettingKey::IntervalKm, $bikeId, $atS);

        return $row !== null && $row->value === null && $this->intervalHours($bikeId, $atS) !== null;
    }

    public function intervalHours(int $bikeId, int $atS): ?float
    {
        $hours = $this->at(SettingKey::IntervalHours, $bikeId, $atS);

        return $hours === null ? null : (float) $hours;
    }

    /** Whether a bike is re-waxed by ear. */
    public function byEar(int $bikeId, int $atS): bool
    {
        return (int) $this->at(SettingKey::ByEar, $bikeId, $atS) === 1;
    }

    /** Whether a bike's chains live on drip wax alone. */
    public function dripOnly(int $bikeId, int $atS): bool
    {
        return (int) $this->at(SettingKey::DripOnly, $bikeId, $atS) === 1;
    }

    /** How often a chain may be topped up between two dips. Common practice: twice, then a proper clean and a dip. */
    public function topUpsMost(): int
    {
        return $this->whole(SettingKey::TopUpsMost, 0, 2);
    }

    /** Common practice: drip wax dries overnight. */
    public function dripDryHours(): float
    {
        return (float) ($this->at(SettingKey::DripDryHours, 0, PHP_INT_MAX) ?? DripDoseInput::DRY_HOURS);
    }

    public function excessSchool(): ExcessSchool
    {
        return ExcessSchool::tryFrom($this->text(SettingKey::ExcessSchool, 0)) ?? ExcessSchool::Leave;
    }

    public function dripCleanSchool(): DripCleanSchool
    {
        return DripCleanSchool::tryFrom($this->text(SettingKey::DripCleanSchool, 0)) ?? DripCleanSchool::Water;
    }

    /** After how many rides a chain wants a cloth; 0: it is not asked for. Common practice: every four or five. */
    public function wipeRides(): int
    {
        return $this->whole(SettingKey::WipeRides, 0, 5);
    }

    public function limitSchool(int $bikeId, int $atS): LimitSchool
    {
        return LimitSchool::tryFrom((string) $this->at(SettingKey::LimitSchool, $bikeId, $atS)) ?? LimitSchool::Strict;
    }

    /** So many times as long a wax interval as its own a coat of drip wax wears like. */
    public function dripAsWax(): float
    {
        $lifeKm = $this->number(SettingKey::PlainDripLifeKm, 0);

        return $this->number(SettingKey::DripAsWax, 0) ??
            ($lifeKm === null ? self::DRIP_AS_WAX : $this->lifeCurve()->intervalKm($lifeKm) / $this->plainDripEveryKm());
    }

    /** km between two doses of plain drip. */
    public function plainDripEveryKm(): float
    {
        return $this->number(SettingKey::PlainDripEveryKm, 0) ?? WaxTopUp::KM;
    }

    /** What an hour of one's time is worth, in minor units; 0 until somebody says. */
    public function hourMinor(): float
    {
        return $this->number(SettingKey::HourPrice, 0) ?? 0.0;
    }

    /** What a new bike starts with. */
    public function usualIntervalKm(): float
    {
        return (float) ($this->at(SettingKey::UsualIntervalKm, 0, PHP_INT_MAX) ?? self::INTERVAL_KM);
    }

    /** What a new bike starts with. */
    public function usualLimitSchool(): LimitSchool
    {
        return LimitSchool::tryFrom($this->text(SettingKey::UsualLimitSchool, 0)) ?? LimitSchool::Strict;
    }

    public function readySchool(): ReadySchool
    {
        return ReadySchool::tryFrom($this->text(SettingKey::ReadySchool, 0)) ?? ReadySchool::Cold;
    }

    public function zone(): DateTimeZone
    {
        return new DateTimeZone($this->text(SettingKey::TimeZone, 0, 'UTC'));
    }

    /** How long a chain of a bike should live; null: nobody said. */
    public function targetLifeKm(int $bikeId): ?float
    {
        return $this->number(SettingKey::TargetLifeKm, $bikeId);
    }

    /** An advised interval of a bike that was left; null: none. */
    public function declinedKm(int $bikeId): ?float
    {
        return $this->number(SettingKey::DeclinedKm, $bikeId);
    }

    /** @return list<string> Mondays of weeks that say nothing of how a bike is usually ridden */
    public function oddWeeks(int $bikeId): array
    {
        return $this->texts(SettingKey::BikeOddWeeks, $bikeId);
    }

    public function factorsDeclined(): DeclinedFactors
    {
        return DeclinedFactors::ofPairs($this->list(SettingKey::FactorsDeclined, 0));
    }

    /** How many chains in use a bike wants; null: nobody said. */
    public function chainsWanted(int $bikeId): ?int
    {
        return $this->whole(SettingKey::ChainsWanted, $bikeId) ?: null;
    }

    /** What is expected of a chain's life by the interval it is waxed at. */
    public function lifeCurve(): LifeCurve
    {
        $points = array_values(array_filter($this->list(SettingKey::LifePoints, 0), is_array(...)));

        return $points === [] ? LifeCurve::usual() : LifeCurve::ofPairs($points);
    }

    public function home(int $chainId, int $atS): ?int
    {
        $home = $this->at(SettingKey::ChainHome, $chainId, $atS);

        return $home === null ? null : (int) $home;
    }

    public function factors(int $atS): Factors
    {
        $rows = [];
        foreach (Condition::cases() as $condition) {
            $rows[$condition->value] = $this->rowAt(SettingKey::factorOf($condition), 0, $atS);
        }
        $key = implode(
            ' ',
            array_map(fn(?DatedSetting $row) => $row === null || is_array($row->value) ? '-' : (string) $row->value, $rows),
        );

        return $this->factorsCache[$key] ??= array_reduce(
            Condition::cases(),
            fn(Factors $factors, Condition $c) => $rows[$c->value] === null || is_array($rows[$c->value]->value)
                ? $factors
                : $factors->with($c, (float) $rows[$c->value]->value),
            Factors::houseRule(),
        );
    }

    /** @return non-empty-list<array{int, float}> what a km in a condition takes, each from an instant on, Unix seconds, the newest first */
    public function factorsOf(Condition $condition): array
    {
        $factors = [[PHP_INT_MIN, $this->factor($condition, PHP_INT_MIN)]];
        foreach ($this->settings["factor.{$condition->value}"][0] ?? [] as $setting) {
            array_unshift($factors, [$setting->from->unixS, $this->factor($condition, $setting->from->unixS)]);
        }

        return $factors;
    }

    public function factor(Condition $condition, int $atS): float
    {
        return isset($this->settings["factor.{$condition->value}"])
            ? $this->factors($atS)->of($condition)
            : Factors::houseRule()->of($condition);
    }

    /** @return list<mixed> */
    private function list(SettingKey $key, int $subjectId): array
    {
        $value = $this->newest($key, $subjectId)?->value;

        return is_array($value) ? $value : [];
    }

    private function rowAt(SettingKey $key, int $subjectId, int $atS): ?DatedSetting
    {
        $found = null;
        foreach ($this->settings[$key->value][$subjectId] ?? [] as $setting) {
            if ($key->isDated() && $setting->from->unixS > $atS) {
                break;
            }
            $found = $setting;
        }

        return $found;
    }
}
