<?php

declare(strict_types=1);

namespace Dripel\Core\Next;

use Dripel\Core\Bath\BathState;
use Dripel\Core\Care\Conversion;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Plan\ChainSupply;
use Dripel\Core\Plan\WetPath;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\WearForecastResult;

/** One line of Next: what, for which bike and chains, until when, and the action that settles it. Codes, no sentences. */
final readonly class NextItem
{
    /**
     * @param list<ChainState> $chains the chains concerned, the subject first
     * @param string|null $date local day YYYY-MM-DD it should be done by, null: whenever it suits
     * @param bool $urgent goes before everything else, whatever its day
     * @param int|null $byS Unix seconds, where the hour matters
     * @param list<Ride> $rides that wait for something
     * @param string|null $evening the local day on which it is done at the bench, with all else of that day
     * @param list<self> $steps what it consists of, where it stands for several
     */
    public function __construct(
        public NextKind $kind,
        public ?int $bikeId,
        public array $chains,
        public ?string $date,
        public ?Verb $verb,
        public bool $late = false,
        public bool $urgent = false,
        public ?int $byS = null,
        public ?ChainState $swapTo = null,
        public array $rides = [],
        /** What its kind knows beyond that. */
        public OpenJob|JarState|BathState|ChainSupply|WearForecastResult|WetPath|PotOfPlan|DripOfPlan|SwapOfPlan|RideOfPlan|WayOut|WaitingFiles|Conversion|null $about = null,
        public ?string $evening = null,
        public float $minutes = 0.0,
        public array $steps = [],
    ) {}

    public function part(): NextPart
    {
        return match (true) {
            $this->evening !== null => NextPart::Bench,
            $this->date === null, $this->kind->waits() => NextPart::AnyDay,
            default => NextPart::Now,
        };
    }

    /** @return list<self> what of it is done at the bench or for the pot; of small things those that are */
    public function benchWork(): array
    {
        return match (true) {
            $this->part() === NextPart::Bench, $this->kind->isBenchWork(), $this->verb === Verb::PotDay => [$this],
            $this->kind === NextKind::Chores => array_values(array_filter($this->steps, fn(self $step) => $step->kind->isBenchWork())),
            default => [],
        };
    }

    /** The same, done at the bench on a day. */
    public function onEvening(string $evening): self
    {
        return $this->with(['evening' => $evening]);
    }

    /**
     * Several as one line: what the first says of itself, and how long all take.
     *
     * @param non-empty-list<self> $items
     */
    public static function group(NextKind $kind, array $items): self
    {
        $first = $items[0];
        // What an evening is for: the pot, or the job that goes on.
        $main = array_values(array_filter($items, fn(self $item) => in_array($item->verb, [Verb::PotDay, Verb::Go], true)))[0] ?? null;

        return $first->with([
            'kind' => $kind,
            'verb' => $main?->verb,
            'about' => ($main ?? $first)->about,
            'byS' => null,
            'late' => array_filter($items, fn(self $item) => $item->late) !== [],
            'urgent' => array_filter($items, fn(self $item) => $item->urgent) !== [],
            'chains' => $main->chains ?? array_merge(...array_map(fn(self $item) => $item->chains, $items)),
            'rides' => array_merge(...array_map(fn(self $item) => $item->rides, $items)),
            'minutes' => self::minutesOf($items),
            'steps' => $items,
        ]);
    }

    /**
     * What they take, one after the other, but for what is done together.
     *
     * @param list<self> $items
     */
    private static function minutesOf(array $items): float
    {
        [$minutes, $together] = [0.0, []];
        foreach ($items as $item) {
            $kind = $item->kind;
            $kind->together()
                ? ($together[$kind->value] = max($together[$kind->value] ?? 0.0, $item->minutes))
                : ($minutes += $item->minutes);
        }

        return $minutes + array_sum($together);
    }

    /** Whether it is worth a word to somebody who is not looking: it is for today, or late, and waiting costs something. */
    public function reminds(string $today): bool
    {
        return ($this->part() === NextPart::Bench || in_array($this->kind, [NextKind::Bare, NextKind::Wet, NextKind::EventDip], true)) &&
            ($this->date === null || $this->date <= $today);
    }

    /** @param array<string, mixed> $changes by the name of the field */
    private function with(array $changes): self
    {
        /** @phpstan-ignore argument.type (the fields are its own) */
        return new self(...[...get_object_vars($this), ...$changes]);
    }
}
