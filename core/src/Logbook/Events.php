<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Closure;

/** The events of a logbook, kind by kind: each is read when it is first asked for. Some are many, and much does without. */
final class Events
{
    /** @var array<string, list<Event>> by kind, in order, as far as they were asked for */
    private array $known = [];

    /**
     * @param array<string, Closure(): list<Event>> $all by kind
     * @param array<string, Closure(int): list<Event>> $ofOne by kind: those of one chain or part, where they can be read alone
     */
    private function __construct(private readonly array $all, private readonly array $ofOne) {}

    /**
     * @param array<string, Closure(): list<Event>> $all by kind
     * @param array<string, Closure(int): list<Event>> $ofOne by kind: those of one chain or part, where they can be read alone
     */
    public static function from(array $all, array $ofOne): self
    {
        return new self($all, $ofOne);
    }

    /** @param list<Event> $events */
    public static function these(array $events): self
    {
        return new self(array_map(fn(array $ofKind) => fn() => $ofKind, self::byKind($events)), []);
    }

    /** @return list<Event> in order */
    public function of(EntryKind $kind): array
    {
        return $this->known[$kind->value] ??= InOrder::of(isset($this->all[$kind->value]) ? $this->all[$kind->value]() : []);
    }

    /** @return list<Event> kind by kind */
    public function all(): array
    {
        return array_merge(...array_map(fn(string $kind) => $this->of(EntryKind::from($kind)), array_keys($this->all)));
    }

    /** @return list<Event> kind by kind, at least those of one chain or part: others are not read for it */
    public function about(int $componentId): array
    {
        return array_merge(...array_map(fn(string $kind) => $this->ofOne($kind, $componentId), array_keys($this->all)));
    }

    /**
     * The same with more. What either of them has read the other does not read again.
     *
     * @param list<Event> $events
     */
    public function with(array $events): self
    {
        [$all, $ofOne] = [[], []];
        foreach (array_replace(array_map(fn() => [], $this->all), self::byKind($events)) as $kind => $more) {
            $all[$kind] = fn() => [...$this->of(EntryKind::from($kind)), ...$more];
            $ofOne[$kind] = fn(int $componentId) => [...$this->ofOne($kind, $componentId), ...$more];
        }

        return new self($all, $ofOne);
    }

    /** @return list<Event> */
    private function ofOne(string $kind, int $componentId): array
    {
        return isset($this->known[$kind]) || !isset($this->ofOne[$kind])
            ? $this->of(EntryKind::from($kind))
            : $this->ofOne[$kind]($componentId);
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
