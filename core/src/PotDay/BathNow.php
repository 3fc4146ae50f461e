<?php

declare(strict_types=1);

namespace Dripel\Core\PotDay;

use Dripel\Core\Input\Check;

/**
 * How warm a bath is taken to be, and what may be done in it: by its last reading where that is fresh, else as its watts would have it.
 * °C. A bath that is still solid waxes nothing: common practice.
 */
final readonly class BathNow
{
    /** For so long a reading says how warm it is, in seconds: house rule. */
    public const FRESH_S = 900;

    public float $celsius;

    /** @param float|null $readC the last reading; null: there is none since the pot day began */
    private function __construct(private PotDayTerms $terms, float $expectedC, public ?float $readC)
    {
        $this->celsius = $readC ?? $expectedC;
    }

    /** @param array{int, float}|null $reading when it was read, Unix seconds, and °C */
    public static function of(PotDayTerms $terms, float $expectedC, ?array $reading, int $nowS): self
    {
        return new self($terms, $expectedC, $reading === null || $nowS - $reading[0] > self::FRESH_S ? null : $reading[1]);
    }

    /** Below its melting range: no chain goes in, and nobody is believed that all of it is liquid. */
    public function solid(): bool
    {
        return $this->celsius < $this->terms->pot->wax->meltFromC - Check::EPSILON;
    }

    /** A reading in the range in which all of it is liquid, and below the limit of the wax. */
    public function readMelted(): bool
    {
        [$fromC, $toC] = self::meltedC($this->terms);

        return $this->readC !== null && $this->readC >= $fromC - Check::EPSILON && $this->readC <= $toC + Check::EPSILON;
    }

    /** @return array{float, float} °C between which a reading says that all of it is liquid */
    public static function meltedC(PotDayTerms $terms): array
    {
        return [$terms->pot->wax->meltToC, $terms->limitC];
    }
}
