<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Riders\Whose;

/**
 * What to do next, in three parts: what cannot wait; at the bench, an evening's work as one line, in the order in which it is done; and
 * what any day will do for, what is alike as one line. Derived, never entered.
 */
final readonly class NextList
{
    /** House rule: work that is due is put off to the next evening at the bench if that is not further ahead, in days. */
    private const SOON_DAYS = 7;

    /** House rules: so many evenings are news, and from so many on small things are one line. */
    private const EVENINGS = 2;

    private const CHORES = 3;

    /** @return list<NextItem> part by part */
    public static function of(NextInput $in): array
    {
        $items = self::atTheBench(self::asked($in), $in->today);
        $of = fn(NextPart $part): array => array_values(array_filter($items, fn(NextItem $item) => $item->part() === $part));

        return [
            ...self::alike(
                $of(NextPart::Now),
                fn(NextItem $item) => $item->about instanceof OpenJob ? $item->about->id : $item->kind->value,
            ),
            ...array_slice(self::evenings($of(NextPart::Bench)), 0, self::EVENINGS),
            ...self::anyDay($of(NextPart::AnyDay)),
        ];
    }

    /**
     * @param list<NextItem> $items of the bench
     *
     * @return list<NextItem>
     */
    private static function evenings(array $items): array
    {
        usort($items, fn(NextItem $a, NextItem $b) => $a->evening <=> $b->evening ?: $a->kind->atTheBench() <=> $b->kind->atTheBench());

        return self::alike($items, fn(NextItem $item) => (string) $item->evening, NextKind::Evening);
    }

    /**
     * What is to be bought, and the rest: one line where it is more than a few.
     *
     * @param list<NextItem> $items
     *
     * @return list<NextItem>
     */
    private static function anyDay(array $items): array
    {
        $chores = array_values(array_filter($items, fn(NextItem $item) => $item->kind !== NextKind::Buy));

        return [
            ...self::alike(array_values(array_filter($items, fn(NextItem $item) => $item->kind === NextKind::Buy)), fn() => 'buy'),
            ...count($chores) < self::CHORES ? $chores : [NextItem::group(NextKind::Chores, $chores)],
        ];
    }

    /**
     * @param list<NextItem> $items
     * @param callable(NextItem): string $by what makes them one line
     *
     * @return list<NextItem>
     */
    private static function alike(array $items, callable $by, ?NextKind $as = null): array
    {
        $groups = [];
        foreach ($items as $item) {
            $groups[$by($item)][] = $item;
        }

        return array_values(
            array_map(fn(array $group) => count($group) === 1 ? $group[0] : NextItem::group($as ?? $group[0]->kind, $group), $groups),
        );
    }

    /** @return list<NextItem> one by one */
    private static function asked(NextInput $in): array
    {
        $sources = [
            new RidesWithoutPlace(),
            new Commutes(),
            new OpenJobs(),
            new Jars(),
            new Baths(),
            new RidesIn(),
            new BareChains(),
            new WetChains(),
            new Conversions(),
            new Unstripped(),
            new DeepCleans(),
            new WornChains(),
            new Measurements(),
            new Supplies(),
            new EventDips(),
            new Wipes(),
            new PlannedWork(),
            new PlannedSwaps(),
            new DueChains(),
            new UnmetRides(),
        ];
        $items = array_merge(...array_map(fn(NextSource $source) => $source->items($in), $sources));
        $items = array_values(array_filter($items, ($in->whose ?? Whose::all())->item(...)));
        usort($items, self::order(...));

        return $items;
    }

    /**
     * With what can be done on any day put into the next evening.
     *
     * @param list<NextItem> $items
     *
     * @return list<NextItem>
     */
    private static function atTheBench(array $items, LocalDay $today): array
    {
        $evenings = array_filter(array_map(fn(NextItem $item) => $item->evening, $items));
        $next = $evenings === [] ? null : min($evenings);
        if ($next === null || $next > $today->plus(self::SOON_DAYS)->date) {
            return $items;
        }

        return array_map(
            fn(NextItem $item) => in_array($item->kind, [NextKind::Measure, NextKind::Wipe, NextKind::Worn], true) && !$item->urgent
                ? $item->onEvening($next)
                : $item,
            $items,
        );
    }

    private static function order(NextItem $a, NextItem $b): int
    {
        return $b->urgent <=> $a->urgent ?:
            ($a->evening ?? ($a->date ?? '9999')) <=> ($b->evening ?? ($b->date ?? '9999')) ?:
            $b->late <=> $a->late ?:
            $a->kind->rank() <=> $b->kind->rank();
    }
}
