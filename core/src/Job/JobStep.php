<?php

declare(strict_types=1);

namespace Dripel\Core\Job;

/** One step of a guided job: a code that says what to do, how long, and what it asks. */
final readonly class JobStep
{
    /** House rule: a wait of half an hour and more can be left; it comes back in Next. */
    public const LEAVE_FROM_S = 1800;

    /**
     * @param array<string, string|int|float|bool|null> $about what its words need
     * @param list<string> $ticks what must be confirmed one by one before it counts as done
     */
    public function __construct(
        public string $code,
        /** How long at least, in seconds; null: until it is done. */
        public ?int $seconds = null,
        public array $about = [],
        /** For a step that asks: the step to go back to when the answer is no. */
        public ?int $againFrom = null,
        public array $ticks = [],
    ) {}

    public function leavable(): bool
    {
        return $this->seconds !== null && $this->seconds >= self::LEAVE_FROM_S;
    }

    /** @return array<string, mixed> as a job keeps it */
    public function toArray(): array
    {
        return ['code' => $this->code, 'seconds' => $this->seconds, 'about' => $this->about, 'again_from' => $this->againFrom, 'ticks' => $this->ticks];
    }

    /** @param array{code: string, seconds: int|null, about: array<string, string|int|float|bool|null>, again_from: int|null, ticks: list<string>} $kept */
    public static function fromArray(array $kept): self
    {
        return new self($kept['code'], $kept['seconds'], $kept['about'], $kept['again_from'], $kept['ticks']);
    }
}
