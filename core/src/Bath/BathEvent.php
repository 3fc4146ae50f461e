<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** One entry of a bath's book, at an instant (Unix seconds). g and °C. */
final readonly class BathEvent
{
    /** What a filter takes out of the grit: house rule. */
    public const FILTERED = 0.7;

    /** @param list<BathDip> $chains of a dip */
    private function __construct(
        public float $atS,
        public BathEventKind $kind,
        /** Of a fill or top-up without its oil; of a removal the mixture. */
        public float $waxG = 0.0,
        public float $oilG = 0.0,
        public array $chains = [],
        public float $removedFraction = 0.0,
        public float $tempC = 0.0,
    ) {}

    public static function fill(float $atS, float $waxG, float $oilG = 0.0): self
    {
        return new self($atS, BathEventKind::Fill, Check::positive('wax_g', $waxG), Check::notNegative('oil_g', $oilG));
    }

    public static function topUp(float $atS, float $waxG, float $oilG = 0.0): self
    {
        return new self($atS, BathEventKind::TopUp, Check::positive('wax_g', $waxG), Check::notNegative('oil_g', $oilG));
    }

    /** Lamp oil alone, after a smear test. */
    public static function oil(float $atS, float $oilG): self
    {
        return new self($atS, BathEventKind::TopUp, 0.0, Check::positive('oil_g', $oilG));
    }

    /** @param list<BathDip> $chains */
    public static function dip(float $atS, array $chains): self
    {
        return new self($atS, BathEventKind::Dip, chains: Check::notEmpty('chains', $chains));
    }

    /** @throws InvalidInput at `removed_fraction` unless 0 to 1 */
    public static function filter(float $atS, float $removedFraction = self::FILTERED): self
    {
        if (Check::notNegative('removed_fraction', $removedFraction) > 1.0) {
            throw new InvalidInput('removed_fraction', 'must be 1 or less');
        }

        return new self($atS, BathEventKind::Filter, removedFraction: $removedFraction);
    }

    public static function remove(float $atS, float $waxG): self
    {
        return new self($atS, BathEventKind::Remove, Check::positive('wax_g', $waxG));
    }

    public static function reading(float $atS, float $tempC): self
    {
        return new self($atS, BathEventKind::Reading, tempC: Check::temperature('temp_c', $tempC));
    }

    /** As it was written down, with what its kind has. */
    public static function recorded(BathEventKind $kind, int $atS, ?float $waxG, ?float $oilG, ?float $removedFraction, ?float $tempC): self
    {
        return match ($kind) {
            BathEventKind::Fill => self::fill($atS, (float) $waxG, (float) $oilG),
            BathEventKind::TopUp => $waxG === null ? self::oil($atS, (float) $oilG) : self::topUp($atS, $waxG, (float) $oilG),
            BathEventKind::Filter => self::filter($atS, $removedFraction ?? self::FILTERED),
            BathEventKind::Remove => self::remove($atS, (float) $waxG),
            BathEventKind::Reading, BathEventKind::Dip => self::reading($atS, (float) $tempC),
        };
    }

    public static function from(Fields $in): self
    {
        $kind = $in->choice('kind', BathEventKind::class);
        $in->only(
            ...[
                'at',
                'kind',
                ...match ($kind) {
                    BathEventKind::Fill, BathEventKind::TopUp => ['wax_g', 'oil_g'],
                    BathEventKind::Dip => ['chains'],
                    BathEventKind::Filter => ['removed_fraction'],
                    BathEventKind::Remove => ['wax_g'],
                    BathEventKind::Reading => ['temp_c'],
                },
            ],
        );
        $atS = $in->time('at')->unixSeconds;

        return match ($kind) {
            BathEventKind::Fill => self::fill($atS, $in->number('wax_g'), $in->number('oil_g', 0.0)),
            BathEventKind::TopUp => self::topUp($atS, $in->number('wax_g'), $in->number('oil_g', 0.0)),
            BathEventKind::Dip => self::dip($atS, $in->list('chains', BathDip::from(...))),
            BathEventKind::Filter => self::filter($atS, $in->number('removed_fraction', self::FILTERED)),
            BathEventKind::Remove => self::remove($atS, $in->number('wax_g')),
            BathEventKind::Reading => self::reading($atS, $in->number('temp_c')),
        };
    }
}
