<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;

/** How somebody wants to drip a chain. */
final readonly class DripChoices
{
    public const MOST_COATS = 3;

    /** @throws InvalidInput at `coats` unless 1 to 3 */
    public function __construct(
        public DripPlace $place,
        /** Brushed with water and blown dry, instead of a dry cloth. */
        public bool $washed,
        /** The bottle stands in hot water first, so that it runs in. */
        public bool $warmed,
        public int $coats,
        public ExcessSchool $excess,
        /** The set coat is brushed in while the cranks turn. */
        public bool $brushedIn = false,
        public DripManner $manner = DripManner::Drops,
        /** The box, where it is done in one; null: nobody measured it. */
        public ?DripBox $box = null,
    ) {
        Check::between('coats', $coats, 1, self::MOST_COATS);
    }
}
