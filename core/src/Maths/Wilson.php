<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * How large a share really is, of which so many of so many were seen. Source: E. B. Wilson, Probable inference, the law of succession,
 * and statistical inference, Journal of the American Statistical Association 22 (1927).
 */
final readonly class Wilson
{
    /** 90 % of such intervals hold the true share. */
    public const TAIL = 0.05;

    private function __construct(public float $low, public float $high) {}

    /** @param int $of above 0 */
    public static function of(int $hits, int $of, float $tail = self::TAIL): self
    {
        $z = Normal::quantile(1.0 - $tail);
        $share = $hits / $of;
        $middle = $share + $z ** 2 / (2 * $of);
        $wide = $z * sqrt(($share * (1.0 - $share)) / $of + $z ** 2 / (4 * $of ** 2));
        $all = 1.0 + $z ** 2 / $of;

        return new self(max(0.0, ($middle - $wide) / $all), min(1.0, ($middle + $wide) / $all));
    }

    public function holds(float $share): bool
    {
        return $this->low <= $share && $share <= $this->high;
    }
}
