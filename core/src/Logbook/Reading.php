<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Closure;
use Dripel\Core\Wear\WearReadingInput;

/** A chain was measured. */
final readonly class Reading extends Event
{
    /**
     * @param WearReadingInput|Closure(): WearReadingInput $source made when it is first asked for: of many readings few are
     * @param string|null $written what it is made from, whole
     */
    public function __construct(
        int $id,
        Moment $moment,
        public int $chainId,
        private WearReadingInput|Closure $source,
        private ?string $written = null,
    ) {
        parent::__construct($id, $moment);
    }

    /** @return array{int, Moment, int, WearReadingInput, string|null} what a snapshot keeps of it: what it showed, made */
    public function __serialize(): array
    {
        return [$this->id, $this->moment, $this->chainId, $this->input(), $this->written];
    }

    /** @param array{int, Moment, int, WearReadingInput, string|null} $kept */
    public function __unserialize(array $kept): void
    {
        $this->__construct(...$kept);
    }

    /** Tells what it showed from anything else that it could have shown. */
    public function written(): string
    {
        return $this->written ?? serialize($this->input());
    }

    public function input(): WearReadingInput
    {
        return $this->source instanceof Closure ? ($this->source)() : $this->source;
    }

    public function kind(): EntryKind
    {
        return EntryKind::Reading;
    }

    public function component(Fittings $fittings): int
    {
        return $this->chainId;
    }
}
