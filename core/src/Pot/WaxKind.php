<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

/** What is in the pot, and how hot it may get. */
enum WaxKind: string
{
    /** Candle, canning or ski-glide grade. */
    case Plain = 'plain';
    /** With lamp oil, so that it does not flake. */
    case Softened = 'softened';
    /** With friction additives, some of which are spoilt by heat. */
    case Blend = 'blend';

    private const PLAIN_C = 100.0;

    private const BLEND_C = 90.0;

    /** House rules: so far below the lamp oil's flash point, and so hot where nobody knows it. */
    private const BELOW_FLASH_C = 15.0;

    private const UNKNOWN_FLASH_C = 80.0;

    /**
     * In °C. Common practice but for what is marked a house rule.
     *
     * @param float|null $flashC of the lamp oil, by its sheet
     */
    public function limitC(?float $flashC = null): float
    {
        return match ($this) {
            self::Plain => self::PLAIN_C,
            self::Blend => self::BLEND_C,
            self::Softened => $flashC === null ? self::UNKNOWN_FLASH_C : min(self::PLAIN_C, $flashC - self::BELOW_FLASH_C),
        };
    }

    /** Blends separate in the heat and are stirred before every dip. */
    public function wantsStirring(): bool
    {
        return $this === self::Blend;
    }
}
