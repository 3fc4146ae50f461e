<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Chain\Joint;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Strip\Load;
use LogicException;

/** The cassettes, chainrings, jockey wheels and quick links of a logbook: where they are and what they ran. */
final readonly class Inventory
{
    /** @param list<Part> $parts */
    public function __construct(private Book $book, public array $parts) {}

    /** The quick link that closes a chain: of several the one that came last. */
    public function linkOf(int $chainId, int $nowS): ?PartState
    {
        return $this->book->kept(
            "link of {$chainId}",
            function () use ($chainId, $nowS): ?PartState {
                $link = array_last($this->linksOf($chainId));

                return $link === null ? null : PartState::derive($link, $this->book, $this->book->history($link->id), $nowS);
            },
            $nowS,
        );
    }

    /** What is on the quick link that closes a chain; null where a pin does. The first one came with the chain. */
    public function linkStateOf(int $chainId, int $nowS): ?LinkState
    {
        return $this->book->kept("link state of {$chainId}", fn() => $this->findLinkState($chainId, $nowS), $nowS);
    }

    private function findLinkState(int $chainId, int $nowS): ?LinkState
    {
        $settings = $this->book->settings;
        if (Joint::tryFrom($settings->text(SettingKey::ChainJoint, $chainId)) === Joint::Pin) {
            return null;
        }
        $later = $this->laterLink($chainId);

        return LinkState::of(
            $this->book->history($chainId)->until($nowS),
            $later === null ? null : $this->book->history($later->id)->last(Opening::class),
            Load::tryFrom($settings->text(SettingKey::ChainLoad, $chainId)) === Load::FactoryWaxed,
            $later === null ? null : $settings->newest(SettingKey::LinkStripped, $later->id)?->from->unixS,
        );
    }

    /** The quick link of a chain that was opened since it came and has its grease yet, whatever the chain itself has on it. */
    public function greasedLink(int $chainId, int $nowS): ?Part
    {
        return $this->linkStateOf($chainId, $nowS) === LinkState::Greased ? $this->laterLink($chainId) : null;
    }

    /** The one that came last, if it did not come with the chain. */
    private function laterLink(int $chainId): ?Part
    {
        $later = array_slice($this->linksOf($chainId), 1);

        return $later === [] ? null : $later[count($later) - 1];
    }

    /** @return list<Part> the quick links of a chain in the order in which they were opened; a spare may be older than the one before it */
    public function linksOf(int $chainId): array
    {
        $links = array_values(
            array_filter($this->parts, fn(Part $part) => $part->kind === PartKind::QuickLink && $part->chainId === $chainId),
        );
        $openedS = fn(Part $link): int => $this->book->history($link->id)->last(Opening::class)->moment->unixS ?? PHP_INT_MIN;
        usort($links, fn(Part $a, Part $b) => $openedS($a) <=> $openedS($b) ?: $a->id <=> $b->id);

        return $links;
    }

    /** @return list<Part> the quick links that lie in a drawer, not opened yet */
    public function spareLinks(): array
    {
        return array_values(array_filter($this->parts, fn(Part $part) => $part->kind === PartKind::QuickLink && $part->chainId === null));
    }

    public function partOn(Slot $slot, int $bikeId, int $atS): ?Part
    {
        $partId = $this->book->fittingsOf($slot)->componentOn($bikeId, $atS);

        return array_column($this->parts, null, 'id')[$partId ?? 0] ?? null;
    }

    /**
     * The rides of a cassette, chainring or pair of jockey wheels. What is ridden indoors wears the cassette of the trainer, where
     * the bike has one, and spares the one on its wheel.
     *
     * @return list<Ride> in order, up to an instant
     */
    public function ridesOn(Part $part, int $untilS): array
    {
        $slot = $part->slot();
        if ($slot === null) {
            return [];
        }
        $trainer = $this->book->fittingsOf(Slot::Trainer);
        $wears = fn(Ride $ride): bool => match ($slot) {
            Slot::Trainer => $ride->condition === Condition::Indoor,
            Slot::Cassette => $ride->condition !== Condition::Indoor ||
                $trainer->componentOn((int) $ride->bikeId, $ride->moment->unixS) === null,
            default => true,
        };
        $rides = [];
        foreach ($this->book->fittingsOf($slot)->spansOf($part->id) as $span) {
            $on = $this->book->ridesOf($span->bikeId)->through($untilS)->between($span->fromS, $span->untilS);
            foreach ($on as $ride) {
                if ($wears($ride)) {
                    $rides[] = $ride;
                }
            }
        }

        return $rides;
    }

    public function part(int $partId, int $nowS): PartState
    {
        foreach ($this->parts as $part) {
            if ($part->id === $partId) {
                return $this->book->kept(
                    "part {$partId}",
                    fn() => PartState::derive($part, $this->book, $this->book->history($partId), $nowS),
                    $nowS,
                );
            }
        }
        throw new LogicException("There is no part {$partId}.");
    }
}
