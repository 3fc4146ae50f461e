<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Closure;

/** The events of a logbook, kind by kind: each is read when it is first asked for. Some are many, and much does without. */
final class Events
{
    /** @var array<string, list<Event>> by kind, in order, as far as they were asked for */
    private array $known = [];

    /** @param array<string, Closure(int|null): list<Event>> $sources by kind */
    private function __construct(private readonly array $sources) {}

    /** @param array<string, Closure(int|null): list<Event>> $sources by kind: all of it, or at least what is of one chain or part */
    public static function from(array $sources): self
    {
        return new self($sources);
    }

    /** @param list<Event> $events */
    public static function these(array $events): self
    {
        return new self(array_map(fn(array $ofKind) => fn() => $ofKind, self::byKind($events)));
    }

    /** @return list<Event> in order */
    public function of(EntryKind $kind): array
    {
        return $this->known[$kind->value] ??= InOrder::of(isset($this->sources[$kind->value]) ? $this->sources[$kind->value](null) : []);
    }

    /** @return list<Event> kind by kind */
    public function all(): array
    {
        return array_merge(...array_map(fn(string $kind) => $this->of(EntryKind::from($kind)), array_keys($this->sources)));
    }

    /** @return list<Event> kind by kind, at least those of one chain or part: others are not read for it */
    public function about(int $componentId): array
    {
        return array_merge(...array_map(fn(string $kind) => $this->sourceOf($kind, $componentId), array_keys($this->sources)));
    }

    /**
     * The same with more.
     *
     * @param list<Event> $events
     */
    public function with(array $events): self
    {
        $sources = $this->sources;
        foreach (self::byKind($events) as $kind => $more) {
            $sources[$kind] = fn(?int $componentId) => [
                ...$componentId === null ? $this->of(EntryKind::from($kind)) : $this->sourceOf($kind, $componentId),
                ...$more,
            ];
        }

        return new self($sources);
    }

    /** @return list<Event> */
    private function sourceOf(string $kind, int $componentId): array
    {
        return $this->known[$kind] ?? (isset($this->sources[$kind]) ? $this->sources[$kind]($componentId) : []);
    }

    /**
     * @param list<Event> $events
     *
     * @return array<string, list<Event>>
     */
    private static function byKind(array $events): array
    {
        $byKind = [];
        foreach ($events as $event) {
            $byKind[$event->kind()->value][] = $event;
        }

        return $byKind;
    }
}
