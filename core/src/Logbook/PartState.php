<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** What follows from the logbook for a cassette, a chainring, jockey wheels or a quick link at one instant. */
final readonly class PartState
{
    private function __construct(
        public Part $part,
        public ?Opening $opening,
        /** The bike it is on; null for a quick link and for what lies in a drawer. */
        public ?int $bikeId,
        public Distance $km,
        /** Times it was closed; null for what has no closings. */
        public ?int $closings,
        /** Whether all closings are known; if not, `closings` is a least value. */
        public bool $closingsKnown,
        /** When it went out of use, null: it has not. */
        public ?int $retiredS = null,
    ) {}

    public static function derive(Part $part, Book $book, ChainHistory $history, int $nowS): self
    {
        $opening = $history->until($nowS)->last(Opening::class);
        $slot = $part->slot();
        $retiredS = $history->until($nowS)->last(Retirement::class)?->moment->unixS;

        return $slot === null
            ? self::quickLink($part, $book, $opening, $nowS)
            : new self(
                $part,
                $opening,
                $book->fittingsOf($slot)->bikeOf($part->id, $nowS),
                self::onBikes($part, $book, $opening, $nowS),
                null,
                true,
                $retiredS,
            );
    }

    private static function onBikes(Part $part, Book $book, ?Opening $opening, int $nowS): Distance
    {
        $rides = array_filter(
            $book->inventory()->ridesOn($part, $nowS),
            fn(Ride $ride) => $opening === null || Entry::compare($ride, $opening) > 0,
        );
        $km = ($opening->km ?? 0.0) + array_sum(array_map(fn(Ride $ride) => $ride->km, $rides));

        return new Distance($km, $opening === null || $opening->km !== null);
    }

    /** Each time its chain goes on a bike it is closed once; the closings it came with include the one it came in. */
    private static function quickLink(Part $part, Book $book, ?Opening $opening, int $nowS): self
    {
        $sinceS = $opening === null ? PHP_INT_MIN : $opening->moment->unixS;
        $untilS = min($nowS, self::replacedS($part, $book) - 1);
        $closed = array_filter(
            $book->fittings()->spansOf((int) $part->chainId),
            fn(Span $span) => $span->fromS > $sinceS && $span->fromS <= $untilS,
        );
        $chain = $book->history((int) $part->chainId)->until($nowS)->km();

        return new self(
            $part,
            $opening,
            null,
            $chain,
            ($opening->closings ?? 0) + count($closed),
            $opening === null || $opening->closings !== null,
        );
    }

    /** When the next quick link took its place. */
    private static function replacedS(Part $link, Book $book): int
    {
        $links = $book->inventory()->linksOf((int) $link->chainId);
        $next = $links[(int) array_search($link, $links, true) + 1] ?? null;
        $opening = $next === null ? null : $book->history($next->id)->last(Opening::class);

        return $opening->moment->unixS ?? PHP_INT_MAX;
    }

    /** Whether it was closed as often as its maker allows. */
    public function usedUp(): bool
    {
        return $this->part->closingsAllowed !== null && $this->closings >= $this->part->closingsAllowed;
    }
}
