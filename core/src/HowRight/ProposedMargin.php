<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\PlanTerms;

/** How much longer than expected the plan had to take its rides so that nine of ten good-until days had held. %. */
final readonly class ProposedMargin
{
    /** House rules: so many promises are to hold, told by so many at least, in steps of so many percent, by half again at most. */
    private const HOLD = 0.9;

    private const LEAST = 12;

    private const STEP_PCT = 5.0;

    public const MOST_PCT = 50.0;

    private function __construct(public float $marginPct, public float $nowPct, public int $promises) {}

    /**
     * Null where there are too few, where it is what is set, near enough, or what was declined.
     *
     * @param list<float> $marginsPct what each of the promises would have needed
     */
    public static function of(array $marginsPct, Settings $settings): ?self
    {
        $nowPct = $settings->number(SettingKey::PlanMarginPct, 0) ?? PlanTerms::MARGIN_PCT;
        if (count($marginsPct) < self::LEAST) {
            return null;
        }
        sort($marginsPct);
        $needed = $marginsPct[(int) ceil(self::HOLD * count($marginsPct)) - 1];
        $pct = min(self::MOST_PCT, self::STEP_PCT * ceil($needed / self::STEP_PCT));

        return abs($pct - $nowPct) < self::STEP_PCT || $pct === $settings->number(SettingKey::PlanMarginDeclined, 0)
            ? null
            : new self($pct, $nowPct, count($marginsPct));
    }
}
