<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Countable;
use Dripel\Core\Interval\Condition;
use UnexpectedValueException;

/**
 * The rides of one bike in order, kept as columns of plain numbers with running sums: what many years of them add up to is a difference of
 * two. A Ride is made where one is asked for, and only once. Sums are of whole millionths of a metre and of an hour's
 * thousandth, so that they are the same wherever one begins to add.
 */
final class RideRun implements Countable
{
    /** What is kept packed begins with it: another one where the columns or the conditions change. */
    private const FORMAT = 'rides 1 ';

    /** Sums are whole numbers of so many parts of a km or an hour. */
    public const PARTS = 1e9;

    /** Beside the place of the condition: only the day is known. */
    private const DAY = 128;

    /** Of a ride that is packed. */
    private const BYTES = 41;

    /** @var array<int, Ride> by place, as far as they were asked for */
    private array $made = [];

    /** @var array<string, list<int>> running sums, as far as they were asked for */
    private array $sums = [];

    private ?Settings $weighedBy = null;

    /**
     * @param list<int> $ids
     * @param list<int> $atS in order
     * @param list<int> $sequences
     * @param list<float> $km
     * @param list<float> $hours NAN where nobody timed it
     * @param list<int> $facts
     * @param array<int, Guess> $guesses by place
     */
    private function __construct(
        public readonly ?int $bikeId,
        private readonly array $ids,
        public readonly array $atS,
        private readonly array $sequences,
        private readonly array $km,
        private readonly array $hours,
        private readonly array $facts,
        private readonly array $guesses = [],
    ) {}

    public static function none(?int $bikeId): self
    {
        return new self($bikeId, [], [], [], [], [], []);
    }

    /** @param list<Ride> $rides in any order; of other bikes too, where it is only for what they add up to */
    public static function of(?int $bikeId, array $rides): self
    {
        return self::none($bikeId)->with($rides);
    }

    /** @param list<Ride> $rides in any order */
    public function with(array $rides): self
    {
        $rides = InOrder::of($rides);
        $count = count($this);
        if ($rides !== [] && $count > 0 && $this->comesAfter($count - 1, $rides[0])) {
            return self::none($this->bikeId)->with([...array_map($this->ride(...), array_keys($this->ids)), ...$rides]);
        }
        $run = $this->extended(
            array_map(
                fn(Ride $ride) => [
                    $ride->id,
                    $ride->moment->unixS,
                    $ride->moment->sequence,
                    $ride->km,
                    $ride->hours,
                    $ride->condition,
                    $ride->moment->precision === Precision::Day,
                ],
                $rides,
            ),
            array_filter(array_map(fn(Ride $ride) => $ride->guess, $rides)),
        );
        $run->made = $this->made;
        foreach ($rides as $i => $ride) {
            $run->made[$count + $i] = $ride;
        }

        return $run;
    }

    /**
     * The same with later ones behind it: plain rows, of which there may be thousands.
     *
     * @param list<array{int, int, int, float, float|null, Condition, bool}> $rows id, instant, sequence, km, hours, condition, whether
     *     only the day is known
     */
    public function followedBy(array $rows): self
    {
        $beforeS = null;
        foreach ($rows as [, $atS]) {
            if ($beforeS !== null && $atS <= $beforeS) {
                // Which of two at one instant comes first is a matter of entries.
                return $this->with(array_map($this->made(...), $rows));
            }
            $beforeS = $atS;
        }

        return $this->extended($rows);
    }

    /** @param array{int, int, int, float, float|null, Condition, bool} $row likewise */
    private function made(array $row): Ride
    {
        [$id, $atS, $sequence, $km, $hours, $condition, $day] = $row;

        return new Ride(
            $id,
            new Moment($atS, $day ? Precision::Day : Precision::Minute, $sequence),
            $this->bikeId,
            $km,
            $hours,
            $condition,
        );
    }

    /**
     * @param list<array{int, int, int, float, float|null, Condition, bool}> $rows likewise, in order
     * @param array<int, Guess> $guesses by place among them
     */
    private function extended(array $rows, array $guesses = []): self
    {
        $place = array_flip(array_column(Condition::cases(), 'value'));
        $facts = array_map(fn(array $row) => $place[$row[5]->value] | ($row[6] ? self::DAY : 0), $rows);
        $after = count($this->ids);

        return new self(
            $this->bikeId,
            [...$this->ids, ...array_column($rows, 0)],
            [...$this->atS, ...array_column($rows, 1)],
            [...$this->sequences, ...array_column($rows, 2)],
            [...$this->km, ...array_column($rows, 3)],
            [...$this->hours, ...array_map(fn(array $row) => $row[4] ?? NAN, $rows)],
            [...$this->facts, ...$facts],
            $this->guesses + array_combine(array_map(fn(int $i) => $after + $i, array_keys($guesses)), $guesses),
        );
    }

    /** Those that began before an instant, without what was filled in. */
    public function before(int $atS): self
    {
        $places = array_filter($this->ids, fn(int $i) => $this->atS[$i] < $atS && !isset($this->guesses[$i]), ARRAY_FILTER_USE_KEY);

        return new self(
            $this->bikeId,
            array_values(array_intersect_key($this->ids, $places)),
            array_values(array_intersect_key($this->atS, $places)),
            array_values(array_intersect_key($this->sequences, $places)),
            array_values(array_intersect_key($this->km, $places)),
            array_values(array_intersect_key($this->hours, $places)),
            array_values(array_intersect_key($this->facts, $places)),
        );
    }

    /** To be kept: eight bytes a number, the lowest first. What was filled in is no part of it. */
    public function packed(): string
    {
        return self::FORMAT .
            pack('P', count($this->ids)) .
            implode('', array_map(fn(array $whole) => pack('P*', ...$whole), [$this->ids, $this->atS, $this->sequences])) .
            pack('e*', ...$this->km) .
            pack('e*', ...$this->hours) .
            pack('C*', ...$this->facts);
    }

    /** @throws UnexpectedValueException if it was packed otherwise */
    public static function unpacked(?int $bikeId, string $packed): self
    {
        $head = strlen(self::FORMAT) + 8;
        $count = str_starts_with($packed, self::FORMAT) && strlen($packed) >= $head ? self::column('P', $packed, $head - 8, 8)[0] : -1;
        strlen($packed) === $head + self::BYTES * $count ||
            throw new UnexpectedValueException('These rides were packed by another version.');
        /** @return list<int> */
        $whole = fn(int $n): array => self::column('P', $packed, $head + 8 * $n * $count, 8 * $count);
        /** @return list<float> */
        $number = fn(int $n): array => self::column('e', $packed, $head + 8 * $n * $count, 8 * $count);

        return new self(
            $bikeId,
            $whole(0),
            $whole(1),
            $whole(2),
            $number(3),
            $number(4),
            self::column('C', $packed, $head + 8 * 5 * $count, $count),
        );
    }

    /** @return ($as is 'e' ? list<float> : list<int>) */
    private static function column(string $as, string $packed, int $from, int $bytes): array
    {
        /** @var list<int>|list<float> */
        return array_values(unpack("{$as}*", substr($packed, $from, $bytes)) ?: []);
    }

    public function count(): int
    {
        return count($this->ids);
    }

    public function ride(int $place): Ride
    {
        return $this->made[$place] ??= new Ride(
            $this->ids[$place],
            new Moment(
                $this->atS[$place],
                ($this->facts[$place] & self::DAY) === 0 ? Precision::Minute : Precision::Day,
                $this->sequences[$place],
            ),
            $this->bikeId,
            $this->km[$place],
            is_nan($this->hours[$place]) ? null : $this->hours[$place],
            Condition::cases()[$this->facts[$place] & ~self::DAY],
            $this->guesses[$place] ?? null,
        );
    }

    /** Whether a ride comes after an entry. */
    public function comesAfter(int $place, Entry $entry): bool
    {
        return $this->atS[$place] === $entry->moment->unixS
            ? Entry::compare($this->ride($place), $entry) > 0
            : $this->atS[$place] > $entry->moment->unixS;
    }

    /** What those from one place to before another add up to, in parts. */
    public function sum(RideSum $of, int $from, int $to): int
    {
        $sums = $this->sums[$of->name] ??= self::running(
            match ($of) {
                RideSum::Km => $this->km,
                RideSum::Hours => array_map(fn(float $hours) => is_nan($hours) ? 0.0 : $hours, $this->hours),
                RideSum::TimedKm => array_map(fn(float $hours, float $km) => $hours > 0.0 ? $km : 0.0, $this->hours, $this->km),
                RideSum::Untimed => array_map(fn(float $hours) => is_nan($hours) ? 1.0 : 0.0, $this->hours),
            },
        );

        return $sums[$to] - $sums[$from];
    }

    /** The same in effective km by the factors of a workshop. */
    public function effective(Settings $settings, int $from, int $to): int
    {
        if ($this->weighedBy !== $settings) {
            $factors = array_map($settings->factorsOf(...), Condition::cases());
            $this->weighedBy = $settings;
            $this->sums['effective'] = self::running(
                array_map(
                    fn(float $km, int $facts, int $atS): float => $km * self::factorAt($factors[$facts & ~self::DAY], $atS),
                    $this->km,
                    $this->facts,
                    $this->atS,
                ),
            );
        }

        return $this->sums['effective'][$to] - $this->sums['effective'][$from];
    }

    /** @param non-empty-list<array{int, float}> $factors each from an instant on, the newest first */
    private static function factorAt(array $factors, int $atS): float
    {
        foreach ($factors as [$fromS, $factor]) {
            if ($fromS <= $atS) {
                return $factor;
            }
        }

        return $factors[count($factors) - 1][1];
    }

    /**
     * @param list<float> $values
     *
     * @return list<int> what none of them, the first, the first two and so on add up to, in parts
     */
    private static function running(array $values): array
    {
        [$sums, $sum] = [[0], 0];
        foreach ($values as $value) {
            $sums[] = $sum += (int) round(self::PARTS * $value);
        }

        return $sums;
    }
}
