<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** Shake, leave or brush for so many seconds. */
final readonly class Move
{
    /** Two days: whoever leaves a chain longer has forgotten it. */
    private const MOST_S = 172_800;

    /** @throws InvalidInput at `seconds` unless 5 to 172,800 */
    public function __construct(public MoveKind $kind, public int $seconds)
    {
        Check::between('seconds', $seconds, 5, self::MOST_S);
    }

    public static function from(Fields $in): self
    {
        $in->only('kind', 'seconds');

        return new self($in->choice('kind', MoveKind::class), $in->whole('seconds'));
    }

    /** @return array{kind: string, seconds: int} */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'seconds' => $this->seconds];
    }
}
