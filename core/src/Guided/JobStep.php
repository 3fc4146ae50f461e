<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

/** One step of a guided job: a code that says what to do, how long, and what it asks. */
final readonly class JobStep
{
    /** House rule: a wait of half an hour and more can be left; it comes back in Next. */
    public const LEAVE_FROM_S = 1800;

    /** House rule: what a step without a timer is taken to last when the end is estimated. */
    public const HANDLING_S = 60;

    /**
     * @param array<string, string|int|float|bool|null> $about what its words need
     * @param list<string> $ticks what must be confirmed one by one before it counts as done
     * @param list<int> $chains whom it concerns; empty: the job as a whole
     */
    public function __construct(
        public string $code,
        /** How long at least, in seconds; null: until it is done. */
        public ?int $seconds = null,
        public array $about = [],
        /** For a step that asks: the step to go back to when the answer is no. */
        public ?int $againFrom = null,
        public array $ticks = [],
        public array $chains = [],
        /** The earlier step with whose end its timer started; null: it starts with the step. So waits run side by side. */
        public ?int $since = null,
        /** Whether it cannot be done before its time is up. */
        public bool $holds = false,
        /** A sign to watch for that must have been seen before it is done; null: none. */
        public ?string $sign = null,
        /** Whether it may be passed over, with a reason. */
        public bool $skippable = false,
        /** What it is taken to last where it has no timer, in seconds. */
        public int $handlingS = self::HANDLING_S,
        /** @var list<string> of which answers one must be given to pass it over */
        public array $asks = [],
        /** @var array{float, float}|null °C: a reading between them stands for what is to be ticked */
        public ?array $readingC = null,
    ) {}

    public function leavable(): bool
    {
        return $this->seconds !== null && $this->seconds >= self::LEAVE_FROM_S;
    }

    /** @return array<string, mixed> as a job keeps it */
    public function toArray(): array
    {
        return [
            'code' => $this->code,
            'seconds' => $this->seconds,
            'about' => $this->about,
            'again_from' => $this->againFrom,
            'ticks' => $this->ticks,
            'chains' => $this->chains,
            'since' => $this->since,
            'holds' => $this->holds,
            'sign' => $this->sign,
            'skippable' => $this->skippable,
            'handling_s' => $this->handlingS,
            'asks' => $this->asks,
            'reading_c' => $this->readingC,
        ];
    }

    /**
     * What a job of an earlier version did not keep has its default.
     *
     * @param array{code: string, seconds: int|null, about: array<string, string|int|float|bool|null>, again_from: int|null, ticks: list<string>, chains?: list<int>, since?: int|null, holds?: bool, sign?: string|null, skippable?: bool, handling_s?: int, asks?: list<string>, reading_c?: array{float, float}|null} $kept
     */
    public static function fromArray(array $kept): self
    {
        return new self(
            $kept['code'],
            $kept['seconds'],
            $kept['about'],
            $kept['again_from'],
            $kept['ticks'],
            $kept['chains'] ?? [],
            $kept['since'] ?? null,
            $kept['holds'] ?? false,
            $kept['sign'] ?? null,
            $kept['skippable'] ?? false,
            $kept['handling_s'] ?? self::HANDLING_S,
            $kept['asks'] ?? [],
            $kept['reading_c'] ?? null,
        );
    }
}
