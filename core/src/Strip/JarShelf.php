<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** The workshop's solvent jars, each as it follows from what was done with it and which chains were cleaned in it. */
final readonly class JarShelf
{
    /** Common practice: about ten cleanings from one filling. */
    public const CLEANINGS = 10;

    /** Common practice: 48 h until the dirt has sunk. */
    public const SETTLE_HOURS = 48;

    /** House rule: a cascade is spent when it leaves more than this part of a new chain's grease. */
    public const SPENT_FRACTION = 0.05;

    /**
     * @param array<int, JarRole> $roles by jar, in the order in which they are shown
     * @param array<int, list<JarEntry>> $entries by jar
     * @param list<JarBath> $baths of all jars, in order of time
     */
    public function __construct(public array $roles, private array $entries, private array $baths) {}

    /** @return array<int, JarState> by jar */
    public function at(int $nowS): array
    {
        $jars = array_map(fn(JarRole $role) => new JarCount($role), $this->roles);
        $loads = [];
        foreach ($this->events($nowS) as [$jarId, $event]) {
            if ($event instanceof JarEntry) {
                $jars[$jarId]->take($event);
                continue;
            }
            $loadG = $loads[$event->series] ?? $event->startG * $event->chains;
            $jar = $event->jarId === null ? null : $jars[$event->jarId] ?? null;
            $from =
                $jar === null || $jar->volumeMl <= 0.0 ? new SolventBath($event->volumeMl) : new SolventBath($jar->volumeMl, $jar->greaseG);
            [$loads[$event->series], $after] = $from->wash($loadG, StripRinseInput::CARRY_OVER_ML, $event->chains);
            $jar?->washed($after->greaseG, $event->series, $event->chains);
            $event->intoId === null ||
                ($jars[$event->intoId] ?? null)?->pour($event->volumeMl, $after->greaseG, $event->solvent, $event->atS);
        }
        $states = [];
        foreach ($jars as $jarId => $jar) {
            [$allowed, $byCascade] = $this->allowed($jar, $jars);
            $states[$jarId] = new JarState(
                $jarId,
                $jar->role,
                $jar->solvent,
                $jar->volumeMl,
                $jar->greaseG,
                $jar->filledS,
                $jar->cleanings(),
                $allowed,
                $byCascade,
                $jar->settlingS,
                $jar->solvent?->hazard($jar->flashC, $jar->boilingC),
                $jar->flashC,
                $jar->boilingC,
            );
        }

        return $states;
    }

    /** @return list<array{int, JarEntry|JarBath}> in order of time; what is done with a jar comes before what is washed in it at the same instant */
    private function events(int $nowS): array
    {
        $events = [];
        foreach ($this->entries as $jarId => $entries) {
            foreach ($entries as $entry) {
                $events[] = [$jarId, $entry];
            }
        }
        foreach ($this->baths as $bath) {
            $events[] = [0, $bath];
        }
        $events = array_values(array_filter($events, fn(array $event) => $event[1]->atS <= $nowS));
        usort($events, fn(array $a, array $b) => $a[1]->atS <=> $b[1]->atS ?: $a[1] instanceof JarBath <=> $b[1] instanceof JarBath);

        return $events;
    }

    /**
     * @param array<int, JarCount> $jars
     *
     * @return array{int|null, bool} how many cleanings a jar does, and whether strip.cascade says so
     */
    private function allowed(JarCount $jar, array $jars): array
    {
        if ($jar->role === JarRole::Waste || $jar->volumeMl <= 0.0) {
            return [$jar->role === JarRole::Waste ? null : self::CLEANINGS, false];
        }
        $wanted = $jar->role === JarRole::Dirty ? JarRole::Clean : JarRole::Dirty;
        foreach ($jars as $other) {
            if ($other->role === $wanted && $other->solvent === $jar->solvent && $other->volumeMl > 0.0) {
                $within = (new StripCascade())(
                    new StripCascadeInput(
                        $jar->role === JarRole::Dirty ? $jar->volumeMl : $other->volumeMl,
                        $jar->role === JarRole::Clean ? $jar->volumeMl : $other->volumeMl,
                        StripRinseInput::START_G,
                        1,
                        limitG: self::SPENT_FRACTION * StripRinseInput::START_G,
                    ),
                )->chainsWithinLimit;

                return $within !== null && $within < self::CLEANINGS ? [$within, true] : [self::CLEANINGS, false];
            }
        }

        return [self::CLEANINGS, false];
    }
}
