<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Input\Check;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Plan\LocalDay;

/**
 * A bottle of drip wax: what is left of it by what was dripped since it was full, or since somebody looked, and the day it runs out
 * at the pace of late. ml. House rule: the pace is what all bottles gave in the last 90 days, over at least two weeks.
 */
final readonly class BottleState
{
    private const PACE_DAYS = 90;

    private const LEAST_DAYS = 14;

    private function __construct(
        public int $bottleId,
        public float $volumeMl,
        public float $leftMl,
        /** YYYY-MM-DD; null: still shut. */
        public ?string $openedOn,
        /** Applications that it gave. */
        public int $given,
        /** ml a day of all bottles; 0 while nothing was dripped. */
        public float $paceMl,
        /** YYYY-MM-DD at that pace, once those before it are empty; null while there is none. */
        public ?string $emptyOn,
    ) {}

    /** @return list<self> the bottles on the shelf, the opened ones first, of those the emptiest */
    public static function all(Book $book, int $nowS): array
    {
        $settings = $book->settings;
        $topUps = self::topUps($book, $nowS);
        $ids = array_filter(
            $settings->subjects(SettingKey::BottleName),
            fn(int $id) => $settings->whole(SettingKey::BottleGone, $id) === 0,
        );
        $pace = self::pace($topUps, $nowS);
        $bottles = array_map(fn(int $id) => self::of($id, $settings, $topUps, $pace), $ids);
        usort(
            $bottles,
            fn(self $a, self $b) => ($a->openedOn === null) <=> ($b->openedOn === null) ?:
            $a->leftMl <=> $b->leftMl ?:
            $a->bottleId <=> $b->bottleId,
        );
        [$today, $shelfMl] = [LocalDay::of($nowS, $settings->zone()), 0.0];

        return array_map(function (self $bottle) use ($today, &$shelfMl): self {
            $shelfMl += $bottle->leftMl;

            return $bottle->emptyOn(
                $bottle->paceMl > 0.0 ? $today->plus((int) floor($shelfMl / $bottle->paceMl + Check::EPSILON))->date : null,
            );
        }, $bottles);
    }

    /**
     * Of each bottle that gives no dose any more: when that was.
     *
     * @return array<int, BottleEnd> by bottle
     */
    public static function ends(Book $book, int $nowS): array
    {
        $settings = $book->settings;
        $topUps = self::topUps($book, $nowS);
        $ends = [];
        foreach ($settings->subjects(SettingKey::BottleName) as $id) {
            $gone = $settings->whole(SettingKey::BottleGone, $id) === 1 ? $settings->newest(SettingKey::BottleGone, $id) : null;
            $bottle = self::of($id, $settings, $topUps, 0.0);
            $emptied = !$bottle->does(DripDoseInput::USUAL_ML);
            $last = array_last(array_filter($topUps, fn(TopUp $topUp) => $topUp->bottleId === $id));
            $seenS = $settings->newest(SettingKey::BottleLeftMl, $id)?->from->unixS;
            $atS = $emptied ? max($last?->moment->unixS, $seenS) : $gone?->from->unixS;
            $atS === null || ($ends[$id] = new BottleEnd($atS, $emptied));
        }

        return $ends;
    }

    /** @return list<TopUp> of all bottles until now */
    private static function topUps(Book $book, int $nowS): array
    {
        return array_values(array_filter($book->topUps(), fn(TopUp $topUp) => $topUp->moment->unixS <= $nowS));
    }

    /** Whether it still does a dose. */
    public function does(float $ml): bool
    {
        return $this->leftMl + Check::EPSILON >= $ml;
    }

    private function emptyOn(?string $date): self
    {
        return new self($this->bottleId, $this->volumeMl, $this->leftMl, $this->openedOn, $this->given, $this->paceMl, $date);
    }

    /** @param list<TopUp> $topUps */
    private static function of(int $id, Settings $settings, array $topUps, float $pace): self
    {
        $volumeMl = (float) $settings->at(SettingKey::BottleVolumeMl, $id, PHP_INT_MAX);
        $seen = $settings->newest(SettingKey::BottleLeftMl, $id);
        $from = array_values(array_filter($topUps, fn(TopUp $topUp) => $topUp->bottleId === $id));
        $since = array_filter($from, fn(TopUp $topUp) => $seen === null || $topUp->moment->unixS > $seen->from->unixS);
        $leftMl = max(
            0.0,
            (float) ($seen === null ? $volumeMl : $seen->value) - array_sum(array_map(fn(TopUp $topUp) => (float) $topUp->ml, $since)),
        );
        $opened = $settings->text(SettingKey::BottleOpenedOn, $id);

        return new self($id, $volumeMl, $leftMl, $opened === '' ? null : $opened, count($from), $pace, null);
    }

    /** @param list<TopUp> $topUps */
    private static function pace(array $topUps, int $nowS): float
    {
        $fromS = $nowS - 86400 * self::PACE_DAYS;
        $late = array_values(array_filter($topUps, fn(TopUp $topUp) => $topUp->ml !== null && $topUp->moment->unixS > $fromS));
        if ($late === []) {
            return 0.0;
        }
        $first = array_values(array_filter($topUps, fn(TopUp $topUp) => $topUp->ml !== null))[0];
        $days = min(self::PACE_DAYS, max(self::LEAST_DAYS, ($nowS - $first->moment->unixS) / 86400));

        return array_sum(array_map(fn(TopUp $topUp) => (float) $topUp->ml, $late)) / $days;
    }
}
