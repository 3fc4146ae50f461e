<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/**
 * What was on which bike, and when: chains, or in another slot cassettes, chainrings, jockey wheels. A fitting holds from its moment until
 * the next fitting on the same bike, so
 * the spans of one bike never overlap, and a fitting entered late or moved in time shifts its neighbours by itself.
 * What is put on a bike while it is on another one is a conflict.
 */
final readonly class Fittings
{
    /** The end of a span that goes on, as a number. */
    private const STILL = PHP_INT_MAX;

    /** @var array<int, list<Span>> by bike, in order of time */
    private array $spansByBike;

    /** @var array<int, list<int>> the bikes that each was ever on, in the order of the above */
    private array $bikesByComponent;

    /** @var list<Conflict> */
    public array $conflicts;

    /**
     * @param list<Fitting> $fittings in any order
     * @param array<int, int> $retiredS when a part went out of use: it came off then, whether somebody said so or not
     */
    public function __construct(array $fittings, array $retiredS = [])
    {
        $fittings = InOrder::of($fittings);
        [$spans, $on, $conflicts] = [[], [], []];
        foreach ($fittings as $fitting) {
            foreach ($on as $bikeId => $earlier) {
                if ($fitting->componentId !== null && $earlier->componentId === $fitting->componentId && $bikeId !== $fitting->bikeId) {
                    $conflicts[] = new Conflict(ConflictKind::OnAnotherBike, $fitting->componentId, $fitting, $earlier);
                }
            }
            $before = $on[$fitting->bikeId] ?? null;
            if ($before !== null && $before->componentId === $fitting->componentId) {
                continue;
            }
            if ($before !== null) {
                self::end($spans, $before, $fitting->moment->unixS);
            }
            unset($on[$fitting->bikeId]);
            if ($fitting->componentId !== null) {
                $on[$fitting->bikeId] = $fitting;
            }
        }
        foreach ($on as $fitting) {
            self::end($spans, $fitting, null);
        }
        $this->spansByBike =
            $retiredS === []
                ? $spans
                : array_map(
                    fn(array $ofBike) => array_values(
                        array_map(
                            fn(Span $span) => $span->until($retiredS[$span->componentId] ?? null),
                            array_filter($ofBike, fn(Span $span) => ($retiredS[$span->componentId] ?? PHP_INT_MAX) > $span->fromS),
                        ),
                    ),
                    $spans,
                );
        $bikes = [];
        foreach ($this->spansByBike as $bikeId => $ofBike) {
            foreach (array_unique(array_map(fn(Span $span) => $span->componentId, $ofBike)) as $componentId) {
                $bikes[$componentId][] = $bikeId;
            }
        }
        $this->bikesByComponent = $bikes;
        $this->conflicts = $conflicts;
    }

    /** @return array{array<int, string>, array<int, list<int>>, list<Conflict>} spans as plain numbers: a snapshot may keep thousands of them */
    public function __serialize(): array
    {
        $numbers = fn(Span $span): array => [$span->componentId, $span->fromS, $span->untilS ?? self::STILL, $span->fittingId];

        return [
            array_map(fn(array $spans): string => pack('q*', ...array_merge(...array_map($numbers, $spans))), $this->spansByBike),
            $this->bikesByComponent,
            $this->conflicts,
        ];
    }

    /** @param array{array<int, string>, array<int, list<int>>, list<Conflict>} $kept */
    public function __unserialize(array $kept): void
    {
        [$packed, $this->bikesByComponent, $this->conflicts] = $kept;
        $spans = [];
        foreach ($packed as $bikeId => $numbers) {
            /** @var array{int, int, int, int} $one */
            foreach (array_chunk((array) unpack('q*', $numbers), 4) as $one) {
                $spans[$bikeId][] = new Span($bikeId, $one[0], $one[1], $one[2] === self::STILL ? null : $one[2], $one[3]);
            }
        }
        $this->spansByBike = $spans;
    }

    /** What is on a bike at an instant, null if nothing. */
    public function componentOn(int $bikeId, int $atS): ?int
    {
        return $this->spanAt($bikeId, $atS)?->componentId;
    }

    /** The bike that carries it at an instant, null if none. */
    public function bikeOf(int $componentId, int $atS): ?int
    {
        return array_find(
            $this->bikesByComponent[$componentId] ?? [],
            fn(int $bikeId) => $this->componentOn($bikeId, $atS) === $componentId,
        );
    }

    public function spanAt(int $bikeId, int $atS): ?Span
    {
        $spans = $this->spansByBike[$bikeId] ?? [];
        [$low, $high] = [0, count($spans)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $spans[$middle]->fromS <= $atS ? ($low = $middle + 1) : ($high = $middle);
        }
        $span = $spans[$low - 1] ?? null;

        return $span !== null && $span->holdsAt($atS) ? $span : null;
    }

    /** @return list<Span> of one bike, in order of time */
    public function spansOn(int $bikeId): array
    {
        return $this->spansByBike[$bikeId] ?? [];
    }

    /** When something else was put on a bike after an instant; null: never yet. */
    public function nextS(int $bikeId, int $afterS): ?int
    {
        foreach ($this->spansByBike[$bikeId] ?? [] as $span) {
            if ($span->fromS > $afterS) {
                return $span->fromS;
            }
        }

        return null;
    }

    /** @return list<int> whatever was on a bike, the first one first */
    public function componentsOf(int $bikeId): array
    {
        return array_values(array_unique(array_map(fn(Span $span) => $span->componentId, $this->spansByBike[$bikeId] ?? [])));
    }

    /** How often something was put on a bike by an instant. */
    public function timesFitted(int $bikeId, int $untilS): int
    {
        return count(array_filter($this->spansByBike[$bikeId] ?? [], fn(Span $span) => $span->fromS <= $untilS));
    }

    /** @return list<Span> of one chain or part, in order of time */
    public function spansOf(int $componentId): array
    {
        $spans = array_filter(array_merge(...array_values($this->spansByBike)), fn(Span $span) => $span->componentId === $componentId);
        usort($spans, fn(Span $a, Span $b) => $a->fromS <=> $b->fromS);

        return $spans;
    }

    /** @param array<int, list<Span>> $spans */
    private static function end(array &$spans, Fitting $fitting, ?int $untilS): void
    {
        if ($fitting->componentId !== null && $untilS !== $fitting->moment->unixS) {
            $spans[$fitting->bikeId][] = new Span($fitting->bikeId, $fitting->componentId, $fitting->moment->unixS, $untilS, $fitting->id);
        }
    }
}
