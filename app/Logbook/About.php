<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Action;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Wear\WearReadingResult;
use Illuminate\Contracts\Database\Eloquent\Castable;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;

/**
 * What the history says about an action: each kind fills in what its sentence speaks of. Kept as JSON, without what nobody said. Times are
 * Unix seconds, dates local days YYYY-MM-DD; units as in the columns of the logbook.
 */
final readonly class About implements Castable
{
    /** What is an id, and of what: so that a restored workshop finds its own again. Lists and single ones alike. */
    public const REFERENCES = [
        'bike' => 'bikes',
        'bikes' => 'bikes',
        'chain' => 'components',
        'chains' => 'components',
        'off' => 'components',
        'part' => 'components',
        'before' => 'components',
        'instrument' => 'components',
        'jar' => 'components',
        'pot' => 'components',
        'bottle' => 'components',
        'ride' => 'rides',
        'undid' => 'actions',
    ];

    /** Whose history the action belongs to. */
    public const OF_BIKES = ['bike', 'bikes'];

    public const OF_CHAINS = ['chain', 'chains', 'off'];

    /**
     * @param list<int> $bikes
     * @param list<int>|null $chains none: it was a pot day that waxed nothing
     * @param int|null $off the chain that came off, or was said to be on
     * @param int|null $before the part that was there before
     * @param list<string> $undid actions
     * @param array{km?: float, bike?: int|null, condition?: string}|null $was
     * @param array<string, array{mixed, mixed}>|null $changed by SettingKey: before and after; empty: nothing was
     * @param int|string|null $to an instant, or a date
     * @param string|null $day how exactly `at` is known: Precision
     * @param string|null $type of an entry: EntryType
     * @param int|null $rides how many
     * @param int|null $days how many
     * @param list<int> $weekdays 1 Monday to 7 Sunday
     * @param list<string> $potDays dates
     */
    public function __construct(
        public ?int $bike = null,
        public array $bikes = [],
        public ?int $chain = null,
        public ?array $chains = null,
        public ?int $off = null,
        public ?int $part = null,
        public ?int $before = null,
        public ?int $instrument = null,
        public ?int $jar = null,
        public ?int $pot = null,
        public ?int $bottle = null,
        public ?int $ride = null,
        public array $undid = [],
        public ?array $was = null,
        public ?array $changed = null,
        public ?int $at = null,
        public ?string $day = null,
        public ?string $from = null,
        public ?string $until = null,
        public int|string|null $to = null,
        public ?string $type = null,
        public ?float $km = null,
        public ?float $first = null,
        public ?float $each = null,
        public ?float $odometer = null,
        public ?string $condition = null,
        public ?string $care = null,
        public ?string $school = null,
        public ?string $supply = null,
        public ?int $amountMinor = null,
        public ?float $quantity = null,
        public ?string $act = null,
        public ?string $bath = null,
        public ?string $solvent = null,
        public ?float $ml = null,
        public ?float $leftMl = null,
        public ?float $grams = null,
        public ?float $celsius = null,
        public ?float $valuePct = null,
        public ?float $sigmaPct = null,
        public ?float $lowerPct = null,
        public ?float $upperPct = null,
        public bool $measured = false,
        public ?int $rides = null,
        public ?int $days = null,
        public ?int $parts = null,
        public ?int $baths = null,
        public ?int $count = null,
        public array $weekdays = [],
        public array $potDays = [],
        public ?string $name = null,
        public ?string $note = null,
        public bool $new = false,
        public bool $gone = false,
        public bool $loud = false,
        public bool $early = false,
        public bool $byHand = false,
        public bool $holiday = false,
        public bool $newLink = false,
        public bool $exchange = false,
        public bool $replaces = false,
        public bool $past = false,
    ) {}

    /**
     * As it was kept; what an older version said besides is left out.
     *
     * @param array<string, mixed> $kept
     */
    public static function from(array $kept): self
    {
        $known = array_keys(get_class_vars(self::class));
        $values = [];
        foreach ($kept as $key => $value) {
            $property = Str::camel($key);
            if ($value !== null && in_array($property, $known, true)) {
                $values[$property] = $value;
            }
        }
        // What was measured had no word of its own once.
        $values += ['measured' => array_key_exists('value_pct', $kept)];

        return new self(...$values);
    }

    /** Whether the workshop began with it: only then it had no name before. */
    public function opensWorkshop(): bool
    {
        $name = $this->changed[SettingKey::WorkshopName->value] ?? null;

        return $name !== null && $name[0] === null;
    }

    /**
     * Actions that were taken back: they belong to the history of all that they were about.
     *
     * @param list<Action> $actions
     */
    public static function undone(array $actions): self
    {
        $all = fn(array $properties): array => array_values(
            array_unique(
                array_merge(
                    ...array_map(
                        fn(Action $action) => array_merge(
                            ...array_map(
                                fn(string $property) => array_filter((array) $action->about->{$property}, is_int(...)),
                                $properties,
                            ),
                        ),
                        $actions,
                    ),
                ),
            ),
        );

        return new self(
            bikes: $all(self::OF_BIKES),
            chains: $all(self::OF_CHAINS),
            undid: array_map(fn(Action $action) => $action->id, $actions),
        );
    }

    /** The same with a reading. */
    public function measuring(WearReadingResult $reading): self
    {
        return self::from([...$this->toArray(), ...$reading->toArray(), 'measured' => true]);
    }

    /** What was measured; null: nothing. */
    public function reading(): ?WearReadingResult
    {
        return $this->measured ? new WearReadingResult($this->valuePct, $this->sigmaPct, $this->lowerPct, $this->upperPct) : null;
    }

    /** @return array<string, mixed> without what nobody said */
    public function toArray(): array
    {
        $kept = [];
        foreach (get_object_vars($this) as $property => $value) {
            if ($value !== null && $value !== false && ($value !== [] || in_array($property, ['changed', 'chains'], true))) {
                $kept[Str::snake($property)] = $value;
            }
        }

        return $kept;
    }

    /**
     * @param array<mixed> $arguments
     *
     * @return CastsAttributes<About, About>
     */
    public static function castUsing(array $arguments): CastsAttributes
    {
        return new class implements CastsAttributes {
            /** Kept as an object it would be written out as JSON again whenever the model is asked for anything. */
            public bool $withoutObjectCaching = true;

            /** @param array<string, mixed> $attributes */
            public function get(Model $model, string $key, mixed $value, array $attributes): About
            {
                return About::from(is_string($value) ? (array) json_decode($value, true) : []);
            }

            /** @param array<string, mixed> $attributes */
            public function set(Model $model, string $key, mixed $value, array $attributes): string
            {
                return json_encode($value instanceof About ? $value->toArray() : $value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            }
        };
    }
}
