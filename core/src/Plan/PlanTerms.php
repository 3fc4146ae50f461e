<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/** By which rules the weeks ahead are planned. Minutes are house rules until somebody says better. */
final readonly class PlanTerms
{
    public const FIXED_MINUTES = 45.0;

    public const DIP_MINUTES = 4.0;

    public const BATCH_MINUTES = 10.0;

    public const SWAP_MINUTES = 3.0;

    /** What a strip by the default school keeps somebody, however many chains go together; waits of half an hour and more left out. */
    public const STRIP_MINUTES = 35.0;

    /** More than the work takes, so that the pot comes first where it can and the bottle bridges. */
    public const TOPUP_MINUTES = 60.0;

    /** What a top-up takes in truth: wipe, a drop on each roller, wipe again. House rule. */
    public const TOPUP_WORK_MINUTES = 15.0;

    /** What it takes to measure a chain, and to run one through a dry cloth. House rules. */
    public const MEASURE_MINUTES = 5.0;

    public const WIPE_MINUTES = 2.0;

    public const MARGIN_PCT = 10.0;

    /** Half a year. */
    private const LATELY_S = 182 * 86400;

    public const WEEKS = 4;

    public const MOST_WEEKS = 26;

    /**
     * @param list<int> $weekdays 1 Monday to 7 Sunday
     * @param list<string> $pinned local days YYYY-MM-DD
     * @param list<string> $forbidden
     * @param array<int, list<string>> $notOn by chain: pot days on which it stays out
     */
    public function __construct(
        public int $days,
        public array $weekdays,
        /** Whether the pot is heated the evening before its chains are ridden. */
        public bool $evening,
        public float $fixedMinutes = self::FIXED_MINUTES,
        public float $dipMinutes = self::DIP_MINUTES,
        public float $batchMinutes = self::BATCH_MINUTES,
        public float $swapMinutes = self::SWAP_MINUTES,
        public float $topUpMinutes = self::TOPUP_MINUTES,
        public float $marginPct = self::MARGIN_PCT,
        public ?int $potCapacity = null,
        public array $pinned = [],
        public array $forbidden = [],
        public array $notOn = [],
        /** Hours a week that one is willing to spend; null: nobody said. */
        public ?float $hoursWeekly = null,
        public float $stripMinutes = self::STRIP_MINUTES,
    ) {}

    /** What a plan takes beyond what one is willing to spend in its weeks; 0 where it does not. */
    public function minutesTooMany(float $minutes): float
    {
        return $this->hoursWeekly === null ? 0.0 : max(0.0, $minutes - (60.0 * $this->hoursWeekly * $this->days) / 7);
    }

    /** For how many days a workshop plans, today among them. */
    public static function daysOf(Settings $settings): int
    {
        return 7 * $settings->whole(SettingKey::PlanWeeks, 0, self::WEEKS) + 1;
    }

    public static function of(Book $book, ?int $potCapacity, int $nowS): self
    {
        $settings = $book->settings;

        return new self(
            self::daysOf($settings),
            $settings->newest(SettingKey::PlanWeekdays, 0)?->value === null
                ? self::usualWeekdays($book, $nowS)
                : array_map(intval(...), $settings->numbers(SettingKey::PlanWeekdays, 0)),
            $settings->text(SettingKey::PlanPotTime, 0, 'evening') !== 'morning',
            $settings->number(SettingKey::PlanFixedMinutes, 0) ?? self::FIXED_MINUTES,
            $settings->number(SettingKey::PlanDipMinutes, 0) ?? self::DIP_MINUTES,
            $settings->number(SettingKey::PlanBatchMinutes, 0) ?? self::BATCH_MINUTES,
            $settings->number(SettingKey::PlanSwapMinutes, 0) ?? self::SWAP_MINUTES,
            $settings->number(SettingKey::PlanTopUpMinutes, 0) ?? self::TOPUP_MINUTES,
            $settings->number(SettingKey::PlanMarginPct, 0) ?? self::MARGIN_PCT,
            $potCapacity,
            array_values(array_unique([...$settings->texts(SettingKey::PlanPinned, 0), ...$settings->texts(SettingKey::PlanByHand, 0)])),
            $settings->texts(SettingKey::PlanForbidden, 0),
            array_filter(
                array_combine(
                    $book->chainIds,
                    array_map(fn(int $chainId) => $settings->texts(SettingKey::ChainNotOn, $chainId), $book->chainIds),
                ),
            ),
            $settings->number(SettingKey::PlanHoursWeekly, 0),
            $settings->number(SettingKey::PlanStripMinutes, 0) ?? self::STRIP_MINUTES,
        );
    }

    /** What a pot day takes with so many dips, in minutes. */
    public function potDayMinutes(int $dips): float
    {
        return $this->fixedMinutes + $dips * $this->dipMinutes + ceil($dips / ($this->potCapacity ?? max(1, $dips))) * $this->batchMinutes;
    }

    /**
     * The same with other days pinned, forbidden, or without a chain.
     *
     * @param list<string> $pinned
     * @param list<string> $forbidden
     * @param array<int, list<string>> $notOn
     */
    public function choosing(array $pinned, array $forbidden, array $notOn): self
    {
        return $this->with(['pinned' => $pinned, 'forbidden' => $forbidden, 'notOn' => $notOn]);
    }

    /**
     * The same on other weekdays.
     *
     * @param list<int> $weekdays
     */
    public function on(array $weekdays): self
    {
        return $this->with(['weekdays' => $weekdays]);
    }

    /** The same with other minutes for a pot day, each dip, each batch, each swap and each strip. */
    public function taking(float $fixed, float $dip, float $batch, float $swap, float $strip): self
    {
        return $this->with([
            'fixedMinutes' => $fixed,
            'dipMinutes' => $dip,
            'batchMinutes' => $batch,
            'swapMinutes' => $swap,
            'stripMinutes' => $strip,
        ]);
    }

    public function over(int $weeks): self
    {
        return $this->with(['days' => 7 * $weeks + 1]);
    }

    /** @param array<string, mixed> $changes by the name of the field */
    private function with(array $changes): self
    {
        /** @phpstan-ignore argument.type (the fields are its own) */
        return new self(...[...get_object_vars($this), ...$changes]);
    }

    /**
     * The weekdays on which the pot was heated at least twice in the last half year; before that Saturday and Sunday, when most have an
     * hour to stay beside it. House rules.
     *
     * @return list<int>
     */
    private static function usualWeekdays(Book $book, int $nowS): array
    {
        $zone = $book->settings->zone();
        $dates = [];
        foreach ($book->kept('dipped lately', fn() => self::dippedLatelyS($book, $nowS), $nowS) as $dippedS) {
            if ($dippedS > $nowS - self::LATELY_S) {
                $day = LocalDay::of($dippedS, $zone);
                $dates[$day->weekday()][$day->date] = true;
            }
        }
        $usual = array_keys(array_filter($dates, fn(array $days) => count($days) >= 2));
        sort($usual);

        return $usual === [] ? [6, 7] : $usual;
    }

    /** @return list<int> when anything was dipped by an instant and in the half year before the last of it, Unix seconds */
    private static function dippedLatelyS(Book $book, int $nowS): array
    {
        $dippedS = [];
        foreach ($book->dips() as $dip) {
            $dip->moment->unixS > $nowS || ($dippedS[$dip->moment->unixS] = $dip->moment->unixS);
        }

        $lastS = max([0, ...$dippedS]);

        return array_values(array_filter($dippedS, fn(int $atS) => $atS > $lastS - self::LATELY_S));
    }
}
