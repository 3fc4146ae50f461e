<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;

/** By which rules the weeks ahead are planned. Minutes are house rules until somebody says better. */
final readonly class PlanTerms
{
    public const FIXED_MINUTES = 45.0;

    public const DIP_MINUTES = 4.0;

    public const BATCH_MINUTES = 10.0;

    public const SWAP_MINUTES = 3.0;

    /** More than the work takes, so that the pot comes first where it can and the bottle bridges. */
    public const TOPUP_MINUTES = 60.0;

    /** What a top-up takes in truth: wipe, a drop on each roller, wipe again. House rule. */
    public const TOPUP_WORK_MINUTES = 15.0;

    public const MARGIN_PCT = 10.0;

    /**
     * @param list<int> $weekdays 1 Monday to 7 Sunday
     * @param list<string> $pinned local days YYYY-MM-DD
     * @param list<string> $forbidden
     * @param list<string> $byHand
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
        public array $byHand = [],
        public bool $bottle = true,
        public bool $followed = false,
        /** Hours a week that one is willing to spend; null: nobody said. */
        public ?float $hoursWeekly = null,
    ) {}

    /** What a plan takes beyond what one is willing to spend in its weeks; 0 where it does not. */
    public function minutesTooMany(float $minutes): float
    {
        return $this->hoursWeekly === null ? 0.0 : max(0.0, $minutes - (60.0 * $this->hoursWeekly * $this->days) / 7);
    }

    public static function of(Book $book, int $days, ?int $potCapacity, int $nowS): self
    {
        $settings = $book->settings;

        return new self(
            $days,
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
            $settings->texts(SettingKey::PlanPinned, 0),
            $settings->texts(SettingKey::PlanForbidden, 0),
            $settings->texts(SettingKey::PlanByHand, 0),
            $settings->whole(SettingKey::PlanBottle, 0, 1) === 1,
            $settings->whole(SettingKey::PlanFollowed, 0) === 1,
            $settings->number(SettingKey::PlanHoursWeekly, 0),
        );
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
        foreach ($book->dips() as $dip) {
            if ($dip->moment->unixS <= $nowS && $dip->moment->unixS > $nowS - 182 * 86400) {
                $day = LocalDay::of($dip->moment->unixS, $zone);
                $dates[$day->weekday()][$day->date] = true;
            }
        }
        $usual = array_keys(array_filter($dates, fn(array $days) => count($days) >= 2));
        sort($usual);

        return $usual === [] ? [6, 7] : $usual;
    }
}
