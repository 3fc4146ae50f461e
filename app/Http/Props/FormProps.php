<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\Translator;
use App\Text\WearWords;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Wear\Instrument;

/**
 * What forms start from: now as a local day and time, the bikes with the chain on each, the conditions.
 *
 * @phpstan-import-type InstrumentView from GaugeProps
 *
 * @phpstan-type Choice array{value: string, title: string}
 * @phpstan-type FormDefaults array{
 *     date: string,
 *     time: string,
 *     massUnit: string,
 *     bikes: list<array{
 *         id: int,
 *         name: string,
 *         chain: string|null,
 *         chainId: int|null,
 *         since: array{date: string, time: string}|null,
 *         chains: list<array{id: int, label: string}>,
 *         pace: string,
 *         untimed: string,
 *         rideTime: string,
 *     }>,
 *     conditions: list<array{value: string, title: string, note: string}>,
 *     instruments: list<InstrumentView>,
 *     pitchesHint: string,
 *     bottles: list<array{value: int, title: string}>,
 *     topUp: string,
 * }
 */
final readonly class FormProps
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return FormDefaults */
    public function all(): array
    {
        $q = $this->translator->quantities;
        // Until the next entry nothing changes in them but the clock.
        [$forms, $onS] = $this->book->kept('forms', fn() => [$this->now(), $this->onS()], $this->translator->nowS);

        return [
            ...$forms,
            'date' => $q->date($this->translator->nowS, 'yyyy-MM-dd'),
            'time' => $q->date($this->translator->nowS, 'HH:mm'),
            'bikes' => array_map(
                fn(array $bike): array => [...$bike, 'rideTime' => $q->date($this->rideS($onS[$bike['id']]), 'HH:mm')],
                $forms['bikes'],
            ),
        ];
    }

    /** @return array<int, int|null> since when each bike has the chain that is on it */
    private function onS(): array
    {
        return array_combine(
            $this->book->bikeIds,
            array_map(fn(int $id) => $this->book->fittings()->spanAt($id, $this->translator->nowS)?->fromS, $this->book->bikeIds),
        );
    }

    /** @return FormDefaults */
    private function now(): array
    {
        $q = $this->translator->quantities;

        return [
            'date' => $q->date($this->translator->nowS, 'yyyy-MM-dd'),
            'time' => $q->date($this->translator->nowS, 'HH:mm'),
            'massUnit' => $q->units->mass,
            'bikes' => array_map(function (int $bikeId) use ($q): array {
                $span = $this->book->fittings()->spanAt($bikeId, $this->translator->nowS);
                $chainId = $span?->componentId;

                return [
                    'id' => $bikeId,
                    'name' => $this->translator->names->bike($bikeId),
                    'chain' => $chainId === null ? null : $this->translator->names->chain($chainId),
                    'chainId' => $chainId,
                    'since' =>
                        $span === null ? null : ['date' => $q->date($span->fromS, 'yyyy-MM-dd'), 'time' => $q->date($span->fromS, 'HH:mm')],
                    'chains' => $this->chainsOf($bikeId),
                    'pace' => $this->pace($bikeId),
                    'untimed' => $this->untimed($bikeId),
                    'rideTime' => $q->date($this->rideS($span?->fromS), 'HH:mm'),
                ];
            }, $this->book->bikeIds),
            'conditions' => array_map(
                fn(Condition $condition) => [
                    'value' => $condition->value,
                    'title' => ucfirst($this->translator->say("chain.condition.{$condition->value}")),
                    'note' => '× ' . $q->number($this->book->settings->factor($condition, $this->translator->nowS), 1),
                ],
                Condition::cases(),
            ),
            'instruments' => array_map(
                fn(Instrument $instrument) => GaugeProps::forms($instrument, new WearWords($this->translator)),
                Instrument::all($this->book->settings),
            ),
            'pitchesHint' => (new WearWords($this->translator))->pitches(),
            'bottles' => (new DripProps($this->book, $this->translator))->choices(),
            'topUp' => (string) round($q->units->fromKm(WaxTopUp::KM)),
        ];
    }

    /**
     * A ride is logged after it: it began an hour ago if nothing else is said, but still today, and on the chain that is on now if that
     * came on within the hour.
     */
    private function rideS(?int $onS): int
    {
        $nowS = $this->translator->nowS;

        return max($nowS - 3600, LocalDay::of($nowS, $this->translator->zone())->startS(), $onS ?? 0);
    }

    /** What an empty distance comes to; empty where none of its rides was timed. */
    private function pace(int $bikeId): string
    {
        $hoursPerKm = $this->book->hoursPerKm($bikeId);

        return $hoursPerKm === null
            ? ''
            : $this->translator->say('ui.ride.pace', ['km' => $this->translator->quantities->distance(1.0 / $hoursPerKm)]);
    }

    /** What empty hours come to where they say when wax is due; empty where they do not. */
    private function untimed(int $bikeId): string
    {
        $terms = $this->book->terms()->ofBike($bikeId, $this->translator->nowS);

        return $terms->hoursPerKm <= 0.0
            ? ''
            : $this->translator->say('ui.ride.untimed', ['km' => $this->translator->quantities->distance(1.0 / $terms->hoursPerKm)]);
    }

    /** @return list<array{id: int, label: string}> the chains of a bike's rail that are in use */
    private function chainsOf(int $bikeId): array
    {
        $ids = array_filter(
            $this->book->chainIds,
            fn(int $id) => $this->book->settings->home($id, $this->translator->nowS) === $bikeId && !$this->book->isRetired($id),
        );

        return array_values(array_map(fn(int $id) => ['id' => $id, 'label' => $this->translator->names->chain($id)], $ids));
    }
}
