<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\ChainPickup;
use Dripel\Core\Bath\PotBook;
use Dripel\Core\Bath\PotEntry;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Plan\PlannedRide;

/**
 * All that was ever written down of a workshop, with when it was known: what was changed or taken back since, too. From it the logbook is
 * read as it was known on any past day, without a look at what was only written down later.
 */
final class RecordedBook
{
    /** The last that was asked for. */
    private ?Book $book = null;

    private int $atS = 0;

    /**
     * @param list<Recorded<int>> $bikeIds in the order in which they are shown
     * @param list<Recorded<int>> $chainIds likewise
     * @param list<Recorded<DatedSetting>> $settings
     * @param list<Recorded<Fitting>> $fittings
     * @param list<Recorded<Ride>> $rides
     * @param list<Recorded<Event>> $events
     * @param list<Recorded<array{int, PartKind}>> $parts id and what it is
     * @param list<Recorded<Estimate>> $estimates
     * @param list<Recorded<Commute>> $commutes
     * @param list<Recorded<RestDay>> $restDays
     * @param list<Recorded<PlannedRide>> $planned
     * @param list<Recorded<PotEntry>> $potEntries
     */
    public function __construct(
        private readonly array $bikeIds,
        private readonly array $chainIds,
        private readonly array $settings,
        private readonly array $fittings,
        private readonly array $rides,
        private readonly array $events,
        private readonly array $parts = [],
        private readonly array $estimates = [],
        private readonly array $commutes = [],
        private readonly array $restDays = [],
        private readonly array $planned = [],
        private readonly array $potEntries = [],
    ) {}

    /** When the first of it was recorded, Unix seconds; null: nothing was. */
    public function beganS(): ?int
    {
        $since = array_map(fn(Recorded $one) => $one->fromS, [...$this->rides, ...$this->events]);

        return $since === [] ? null : min($since);
    }

    /** The same for all that was known at an instant as it was known then, and another for anything else. */
    public function fingerprint(int $atS): string
    {
        $hash = hash_init('sha1');
        $kinds = [
            $this->bikeIds,
            $this->chainIds,
            $this->settings,
            $this->fittings,
            $this->rides,
            $this->events,
            $this->parts,
            $this->estimates,
            $this->commutes,
            $this->restDays,
            $this->planned,
            $this->potEntries,
        ];
        foreach ($kinds as $kind => $all) {
            foreach ($all as $one) {
                // What was written down stays as it is: its number is all of it.
                $one->knownAt($atS) && hash_update($hash, "{$kind} {$one->fromS} " . self::number($one->what) . "\n");
            }
        }

        return hash_final($hash);
    }

    /** @param int|array{int, PartKind}|DatedSetting|Entry|Estimate|Commute|RestDay|PlannedRide|PotEntry $what */
    private static function number(int|array|object $what): int
    {
        return match (true) {
            is_int($what) => $what,
            is_array($what) => $what[0],
            $what instanceof DatedSetting => $what->from->sequence,
            default => $what->id,
        };
    }

    /** @return list<Recorded<DatedSetting>> what a setting was ever given, of whatever it is a setting, the newest first */
    public function valuesOf(SettingKey $key): array
    {
        $all = array_filter($this->settings, fn(Recorded $one) => $one->what->key === $key);
        usort($all, fn(Recorded $a, Recorded $b) => $b->fromS <=> $a->fromS);

        return $all;
    }

    /** The logbook as it was known at an instant, Unix seconds. */
    public function asKnown(int $atS): Book
    {
        if ($this->book !== null && $this->atS === $atS) {
            return $this->book;
        }
        $settings = $this->settingsAt($atS);
        $this->atS = $atS;

        return $this->book = new Book(
            Recorded::at($this->bikeIds, $atS),
            Recorded::at($this->chainIds, $atS),
            $settings,
            Recorded::at($this->fittings, $atS),
            Recorded::at($this->rides, $atS),
            Recorded::at($this->events, $atS),
            new FillIn(
                Recorded::at($this->estimates, $atS),
                Recorded::at($this->commutes, $atS),
                Recorded::at($this->restDays, $atS),
                $settings->zone(),
                $atS,
            ),
            array_map(fn(array $part) => Part::of($part[0], $part[1], $settings), Recorded::at($this->parts, $atS)),
        );
    }

    public function settingsAt(int $atS): Settings
    {
        return new Settings(Recorded::at($this->settings, $atS));
    }

    /** @return list<int> pots in which there was ever wax, as known at an instant */
    public function potIds(int $atS): array
    {
        $ids = array_map(fn(PotEntry $entry) => $entry->potId, Recorded::at($this->potEntries, $atS));

        return array_values(array_unique($ids));
    }

    /**
     * What had been done with the wax in a pot by an instant, as it was known then, in order. What a chain brought in is left out: it
     * tells how dirty a bath is, not how much is left.
     *
     * @param Settings $settings as known then
     *
     * @return list<BathEvent>
     *
     * @throws InvalidInput at what cannot be
     */
    public function bath(int $potId, int $atS, Settings $settings): array
    {
        $entries = array_filter(
            Recorded::at($this->potEntries, $atS),
            fn(PotEntry $entry) => $entry->potId === $potId && $entry->moment->unixS <= $atS,
        );
        $dips = array_values(
            array_filter(Recorded::at($this->events, $atS), fn(Event $one) => $one instanceof Dip && $one->moment->unixS <= $atS),
        );
        usort($dips, fn(Dip $a, Dip $b) => $a->moment->unixS <=> $b->moment->unixS);
        $inIt = array_filter($dips, fn(Dip $dip) => $dip->potId === $potId);

        return PotBook::events($entries, $inIt, ChainPickup::ofDips($dips), $settings, fn() => 0.0);
    }

    /** @return list<PlannedRide> that were meant then, and not over: YYYY-MM-DD of the workshop's time zone */
    public function plannedAt(int $atS, string $today): array
    {
        return array_values(array_filter(Recorded::at($this->planned, $atS), fn(PlannedRide $ride) => $ride->until >= $today));
    }
}
