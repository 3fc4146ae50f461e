<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** One step of a protocol: a bath with what is done in it, or what happens between and after baths. ml and seconds. */
final readonly class ProtocolStep
{
    /** House rule: less does not cover a chain in any jar. */
    public const LEAST_ML = 50.0;

    /** A bucket; what is more is a slip of the finger. */
    private const MOST_ML = 5000.0;

    private const MOST_S = 172_800;

    private const MOST_PARTS = 50.0;

    /**
     * @param list<Move> $moves what is done in a bath; empty for other steps
     *
     * @throws InvalidInput at `solvent`, `volume_ml` or `moves` where a bath lacks one or another step has one, at `volume_ml`
     *                      unless 50 to 5,000, at `solvent` for a liquid that burns in an ultrasonic bath, at `seconds` unless
     *                      hanging and drying have 10 to 172,800, at `water_parts` for anything but a degreaser
     */
    public function __construct(
        public StepKind $kind,
        public ?Solvent $solvent = null,
        public ?float $volumeMl = null,
        public array $moves = [],
        /** Repeated with fresh solvent as long as it comes out cloudy. */
        public bool $untilClear = false,
        /** How long it hangs or dries; null for steps without a time. */
        public ?int $seconds = null,
        /** So many parts of water to one of a concentrate; null: it is used as it is bought. */
        public ?float $waterParts = null,
    ) {
        if ($kind->isBath()) {
            $solvent !== null || throw new InvalidInput('solvent', 'is missing: say what the bath is of');
            $volumeMl !== null || throw new InvalidInput('volume_ml', 'is missing: say how much the bath takes');
            Check::notEmpty('moves', $moves);
            if (Check::finite('volume_ml', $volumeMl) < self::LEAST_ML || $volumeMl > self::MOST_ML) {
                throw new InvalidInput('volume_ml', 'must be 50 to 5,000 ml: less does not cover a chain');
            }
            if ($kind === StepKind::Ultrasonic && $solvent->flammable()) {
                throw new InvalidInput('solvent', 'burns, and an ultrasonic bath is hot and sparks: use a water-based degreaser there');
            }
        } elseif ($solvent !== null || $volumeMl !== null || $moves !== [] || $untilClear) {
            throw new InvalidInput('kind', 'is no bath, so it has no solvent, volume, moves or “until clear”');
        }
        if ($waterParts !== null) {
            $solvent === Solvent::Degreaser ||
                throw new InvalidInput('water_parts', 'is for a water-based degreaser only: nothing else is thinned with water');
            Check::positive('water_parts', $waterParts) <= self::MOST_PARTS || throw new InvalidInput('water_parts', 'must be 50 or less');
        }
        $timed = $kind === StepKind::Hang || $kind->isDrying();
        $timed === ($seconds !== null) ||
            throw new InvalidInput('seconds', $timed ? 'is missing: say how long' : 'is for hanging and drying only');
        $seconds === null || Check::between('seconds', $seconds, 10, self::MOST_S);
    }

    public static function from(Fields $in): self
    {
        $in->only('kind', 'solvent', 'volume_ml', 'moves', 'until_clear', 'seconds', 'water_parts');

        return new self(
            $in->choice('kind', StepKind::class),
            $in->has('solvent') ? $in->choice('solvent', Solvent::class) : null,
            $in->has('volume_ml') ? $in->number('volume_ml') : null,
            $in->has('moves') ? $in->list('moves', Move::from(...)) : [],
            $in->has('until_clear') && $in->yesOrNo('until_clear'),
            $in->has('seconds') ? $in->whole('seconds') : null,
            $in->has('water_parts') ? $in->number('water_parts') : null,
        );
    }

    public function with(float $volumeMl, bool $untilClear): self
    {
        return new self($this->kind, $this->solvent, $volumeMl, $this->moves, $untilClear, $this->seconds, $this->waterParts);
    }

    /** The same for so many chains in one jar: common practice, as much for each. */
    public function forChains(int $chains): self
    {
        return $this->kind->scales() ? $this->with(min(self::MOST_ML, $chains * (float) $this->volumeMl), $this->untilClear) : $this;
    }

    /** What of its volume comes from the can: of a concentrate its part, 83 ml of 500 at one to five. */
    public function boughtMl(): float
    {
        return (float) $this->volumeMl / (1.0 + (float) $this->waterParts);
    }

    /** How long its timers run, in seconds; 0 for a step that lasts as long as it lasts. */
    public function timedS(): int
    {
        return array_sum(array_map(fn(Move $move) => $move->seconds, $this->moves)) + ($this->seconds ?? 0);
    }

    /** @return array{kind: string, solvent?: string, volume_ml?: float, moves?: list<array{kind: string, seconds: int}>, until_clear?: bool, seconds?: int, water_parts?: float} only what it has */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value] +
            array_filter(
                [
                    'solvent' => $this->solvent?->value,
                    'volume_ml' => $this->volumeMl,
                    'moves' => array_map(fn(Move $move) => $move->toArray(), $this->moves),
                    'until_clear' => $this->untilClear,
                    'seconds' => $this->seconds,
                    'water_parts' => $this->waterParts,
                ],
                fn(mixed $value) => $value !== null && $value !== [] && $value !== false,
            );
    }
}
