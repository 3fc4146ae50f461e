<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\EntryType;
use App\Text\ChainWords;
use App\Text\Translator;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainCycle;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainTimeline;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Entry;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Reading;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WipeDown;
use Dripel\Core\Wear\WearReading;

/**
 * One chain's life, coat by coat, the newest first.
 *
 * @phpstan-type TimelineEntryView array{
 *     type: string,
 *     id: int|null,
 *     day: string,
 *     time: string|null,
 *     date: string,
 *     clock: string,
 *     text: string,
 *     left?: string|null,
 * }
 * @phpstan-type CycleView array{
 *     key: string,
 *     title: string,
 *     text: string,
 *     share: float,
 *     loud: bool,
 *     open: bool,
 *     entries: list<TimelineEntryView>,
 * }
 * @phpstan-type TimelineView array{
 *     cycles: list<CycleView>,
 *     interval: float|null,
 *     intervalText: string,
 *     far: string,
 *     more: int,
 * }
 */
final readonly class TimelineProps
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return TimelineView */
    public function of(ChainState $chain, int $most): array
    {
        $q = $this->translator->quantities;
        [$id, $dripOnly] = [$chain->chainId, $chain->terms->dripOnly];
        $timeline = $this->book->kept(
            "coats {$id} {$most} " . ($dripOnly ? 'drip' : ''),
            fn() => ChainTimeline::of($this->book->history($id), $this->book->settings, $dripOnly, $most),
            $this->translator->nowS,
        );
        $shown = $timeline->cycles;
        $lines = $this->lines($timeline, $chain);
        $intervalKm = $chain->terms->hoursAlone ? null : $chain->terms->intervalKm;
        $farKm = 1.05 * max([1.0, $intervalKm ?? 0.0, ...array_map(fn(ChainCycle $cycle) => $cycle->effectiveKm, $shown)]);

        return [
            'cycles' => array_map(
                fn(ChainCycle $cycle, int $i) => $this->cycle(
                    $cycle,
                    $i === 0,
                    $farKm,
                    // What was put on before any wax stands with the oldest.
                    $this->within(
                        $lines,
                        $timeline->older === 0 && $i === count($shown) - 1 ? PHP_INT_MIN : $cycle->fromS,
                        $cycle->untilS ?? PHP_INT_MAX,
                    ),
                ),
                $shown,
                array_keys($shown),
            ),
            'interval' => $intervalKm === null ? null : $intervalKm / $farKm,
            'intervalText' => $intervalKm === null ? '' : $q->distance($intervalKm),
            'far' => $q->distance($farKm),
            'more' => $timeline->older,
        ];
    }

    /**
     * @param list<TimelineEntryView> $entries
     *
     * @return CycleView
     */
    private function cycle(ChainCycle $cycle, bool $newest, float $farKm, array $entries): array
    {
        $q = $this->translator->quantities;
        $begin = match (true) {
            $cycle->begin === null => 'none',
            $cycle->begin instanceof Opening => "opening.{$cycle->begin->wax->value}",
            default => $cycle->begin->kind()->value,
        };

        return [
            'key' => (string) $cycle->fromS,
            // @phpstan-ignore dripel.text (it begins with wax, or with a strip)
            'title' => $this->translator->say("chain.cycle.{$begin}", [
                'day' => $q->date($cycle->begin->moment->unixS ?? $cycle->fromS, 'd MMM y'),
            ]),
            'text' =>
                $cycle->rides === 0
                    ? $this->translator->say('chain.cycle.not_ridden')
                    : trans_choice('chain.cycle.ridden', $cycle->rides, [
                            'km' => $q->distance($cycle->km),
                            'dry' => $q->distance($cycle->effectiveKm),
                        ]) .
                        ($cycle->topUps > 0 ? trans_choice('chain.cycle.top_ups', $cycle->topUps) : '') .
                        ($cycle->loud ? $this->translator->say('chain.cycle.loud') : ''),
            'share' => $cycle->effectiveKm / $farKm,
            'loud' => $cycle->loud,
            'open' => $newest,
            'entries' => $entries,
        ];
    }

    /**
     * @param list<array{int, int, TimelineEntryView}> $lines
     *
     * @return list<TimelineEntryView>
     */
    private function within(array $lines, int $fromS, int $untilS): array
    {
        return array_values(
            array_map(fn(array $line) => $line[2], array_filter($lines, fn(array $line) => $line[0] >= $fromS && $line[0] < $untilS)),
        );
    }

    /** @return list<array{int, int, TimelineEntryView}> by instant and rank, the newest first */
    private function lines(ChainTimeline $timeline, ChainState $chain): array
    {
        $fromS = $timeline->fromS;
        $lines = array_map(
            fn(Entry $entry) => [$entry->moment->unixS, $entry->kind()->rank(), $this->line($entry, $timeline, $chain)],
            $timeline->entries,
        );
        foreach ($this->book->fittings()->spansOf($chain->chainId) as $span) {
            if ($span->untilS !== null && $span->untilS < $fromS) {
                continue;
            }
            $bike = ['bike' => $this->translator->names->bike($span->bikeId)];
            $lines[] = [
                $span->fromS,
                2,
                $this->entry(
                    'fittings',
                    $span->fittingId,
                    $span->fromS,
                    Precision::Minute,
                    $this->translator->say('chain.timeline.on', $bike),
                ),
            ];
            if ($span->untilS !== null) {
                $lines[] = [
                    $span->untilS,
                    2,
                    $this->entry('off', null, $span->untilS, Precision::Minute, $this->translator->say('chain.timeline.off', $bike)),
                ];
            }
        }
        usort($lines, fn(array $a, array $b) => $b[0] <=> $a[0] ?: $b[1] <=> $a[1]);

        return $lines;
    }

    /** @return TimelineEntryView */
    private function line(Entry $entry, ChainTimeline $timeline, ChainState $chain): array
    {
        $q = $this->translator->quantities;
        $type = $entry instanceof Ride && $entry->guess !== null ? 'guess' : EntryType::ofKind($entry->kind())->value;
        $text = match (true) {
            $entry instanceof Opening => $this->translator->say(
                $entry->km === null ? 'chain.timeline.opening_unknown' : 'chain.timeline.opening',
                [
                    'km' => $q->distance($entry->km ?? 0.0),
                    'wax' => $this->translator->say("chain.timeline.opening_wax.{$entry->wax->value}", [
                        'since' => $q->distance($entry->sinceWaxKm ?? 0.0),
                    ]),
                ],
            ),
            $entry instanceof Ride => $this->translator->say($entry->guess === null ? 'chain.timeline.ride' : 'chain.timeline.estimated', [
                'km' => $q->distance($entry->km, 1),
                'condition' => $this->translator->say("chain.condition.{$entry->condition->value}"),
            ]),
            $entry instanceof Dip => implode(
                ', ',
                array_filter([
                    $this->translator->say('chain.timeline.dip'),
                    $entry->soakS === null ? '' : $this->translator->say('chain.timeline.soak', ['time' => $q->seconds($entry->soakS)]),
                    $entry->bathC === null
                        ? ''
                        : $this->translator->say('chain.timeline.bath', ['celsius' => $q->temperature($entry->bathC)]),
                    $entry->powder ? $this->translator->say('chain.timeline.powder') : '',
                ]),
            ),
            $entry instanceof TopUp => $this->translator->say(
                'chain.timeline.' .
                    ($chain->terms->topUpCounts() ? 'topup' : 'drip') .
                    ($entry->ml === null || $entry->bottleId === null ? '' : '_ml'),
                [
                    'km' => $q->distance($entry->km),
                    'ml' => $q->volume((float) $entry->ml, 1),
                    'bottle' => $this->translator->names->bottle($entry->bottleId),
                ],
            ),
            $entry instanceof WipeDown => $this->translator->say("chain.timeline.care.{$entry->care->value}"),
            $entry instanceof Reading => $this->translator->say(
                $timeline->readAt[$entry->id]->whole ? 'chain.timeline.reading' : 'chain.timeline.reading_unknown',
                [
                    'wear' => (new ChainWords($this->translator))->elongation((new WearReading())($entry->input())),
                    'km' => $q->distance($timeline->readAt[$entry->id]->km),
                ],
            ),
            $entry instanceof Retirement => $this->translator->say('chain.timeline.retirement', ['km' => $q->ridden($chain->km)]),
            // @phpstan-ignore dripel.text, dripel.filled (the rest is above, in spans or the bike's)
            default => $this->translator->say("chain.timeline.{$entry->kind()->value}"),
        };
        $place = $entry instanceof Ride ? $chain->wax->placeOf($entry) : null;

        $text =
            $entry instanceof Ride && $entry->id === $chain->dryness->wetPast?->id
                ? $this->translator->say('chain.timeline.wet_past', ['ride' => $text])
                : $text;

        // What was filled in stands in no row that could be moved or deleted.
        return $this->entry($type, $type === 'guess' ? null : $entry->id, $entry->moment->unixS, $entry->moment->precision, $text) + [
            'left' => $place === null ? null : (new ChainWords($this->translator))->leftAfter($chain->leftAfterRide($place)),
        ];
    }

    /** @return TimelineEntryView */
    private function entry(string $type, ?int $id, int $atS, Precision $precision, string $text): array
    {
        $q = $this->translator->quantities;

        return [
            'type' => $type,
            'id' => $id,
            'day' => $q->date($atS, 'EEE d MMM y'),
            'time' => $precision === Precision::Day ? null : $q->time($atS),
            'date' => $q->date($atS, 'yyyy-MM-dd'),
            'clock' => $precision === Precision::Day ? '' : $q->date($atS, 'HH:mm'),
            'text' => $text,
        ];
    }
}
