<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/**
 * Something that was written down, and while it was known: from when it was recorded until it was changed or taken back. Unix seconds.
 *
 * @template-covariant T
 */
final readonly class Recorded
{
    /** @param T $what */
    public function __construct(public mixed $what, public int $fromS, public ?int $untilS = null) {}

    public function knownAt(int $atS): bool
    {
        return $this->fromS <= $atS && ($this->untilS === null || $this->untilS > $atS);
    }

    /**
     * @template K
     *
     * @param list<self<K>> $all
     *
     * @return list<K> those that were known at an instant, as they were known then
     */
    public static function at(array $all, int $atS): array
    {
        $known = [];
        foreach ($all as $one) {
            $one->knownAt($atS) && ($known[] = $one->what);
        }

        return $known;
    }
}
