<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Plan\LocalDay;

/**
 * What a ride was probably like: as most of the bike's rides of the week before it, else as most of its rides of that month in
 * earlier years and this. A proposal, never applied by itself. House rules throughout.
 */
final class LikelyCondition
{
    private const DAYS = 7;

    /** With fewer the last days say nothing. */
    private const LEAST_LATE = 2;

    private const LEAST_SEASON = 4;

    private const SHARE = 0.6;

    /** @var array<int, list<array{int, string, string}>> instant, month and condition by bike, the newest first: many files ask */
    private array $rides = [];

    public function __construct(private readonly Book $book) {}

    /** @return ConditionGuess|null null where the bike's rides do not say */
    public function of(?int $bikeId, int $startS): ?ConditionGuess
    {
        if ($bikeId === null) {
            return null;
        }
        $month = $this->month($startS);
        [$late, $season] = [[], []];
        foreach ($this->rides[$bikeId] ??= $this->known($bikeId) as [$atS, $of, $condition]) {
            if ($atS < $startS) {
                $startS - $atS <= 86400 * self::DAYS && ($late[] = $condition);
                $of === $month && ($season[] = $condition);
            }
        }

        return self::most($late, self::LEAST_LATE, true) ?? self::most($season, self::LEAST_SEASON, false);
    }

    /** @return list<array{int, string, string}> */
    private function known(int $bikeId): array
    {
        $rides = array_filter(array_reverse($this->book->ridesOf($bikeId)->all()), fn(Ride $ride) => $ride->guess === null);

        return array_values(
            array_map(fn(Ride $ride) => [$ride->moment->unixS, $this->month($ride->moment->unixS), $ride->condition->value], $rides),
        );
    }

    private function month(int $unixS): string
    {
        return substr(LocalDay::of($unixS, $this->book->settings->zone())->date, 5, 2);
    }

    /** @param list<string> $conditions */
    private static function most(array $conditions, int $least, bool $late): ?ConditionGuess
    {
        $counts = array_count_values($conditions);
        arsort($counts);
        $first = array_key_first($counts);

        return $first !== null && count($conditions) >= $least && $counts[$first] >= self::SHARE * count($conditions)
            ? new ConditionGuess(Condition::from($first), $counts[$first], count($conditions), $late)
            : null;
    }
}
