<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\Translator;
use App\Text\WearWords;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Pace;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Wear\Instrument;

/**
 * What forms start from: now as a local day and time, the bikes with the chain on each, the conditions.
 *
 * @phpstan-import-type InstrumentView from GaugeProps
 *
 * @phpstan-type Choice array{value: string, title: string}
 * @phpstan-type BikeChoice array{
 *     id: int,
 *     name: string,
 *     chain: string|null,
 *     chainId: int|null,
 *     since: array{date: string, time: string}|null,
 *     chains: list<array{id: int, label: string}>,
 *     pace: string,
 * }
 * @phpstan-type FormChoices array{
 *     massUnit: string,
 *     conditions: list<array{value: string, title: string, note: string}>,
 *     instruments: list<InstrumentView>,
 *     pitchesHint: string,
 *     bottles: list<array{value: int, title: string}>,
 *     topUp: string,
 * }
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
        ['bikes' => $bikes, 'onS' => $onS, 'more' => $more] = $this->book->kept('forms', $this->known(...), $this->translator->nowS);

        return [
            'date' => $q->date($this->translator->nowS, 'yyyy-MM-dd'),
            'time' => $q->date($this->translator->nowS, 'HH:mm'),
            'bikes' => array_map(
                fn(array $bike): array => $bike + ['rideTime' => $q->date($this->rideS($onS[$bike['id']]), 'HH:mm')],
                $bikes,
            ),
        ] + $more;
    }

    /**
     * What is the same until the next entry; of each bike also since when it has the chain that is on it.
     *
     * @return array{bikes: list<BikeChoice>, onS: array<int, int|null>, more: FormChoices}
     */
    private function known(): array
    {
        $q = $this->translator->quantities;
        [$bikes, $onS] = [[], []];
        foreach ($this->book->bikeIds as $bikeId) {
            $span = $this->book->fittings()->spanAt($bikeId, $this->translator->nowS);
            $chainId = $span?->componentId;
            $onS[$bikeId] = $span?->fromS;
            $bikes[] = [
                'id' => $bikeId,
                'name' => $this->translator->names->bike($bikeId),
                'chain' => $chainId === null ? null : $this->translator->names->chain($chainId),
                'chainId' => $chainId,
                'since' =>
                    $span === null ? null : ['date' => $q->date($span->fromS, 'yyyy-MM-dd'), 'time' => $q->date($span->fromS, 'HH:mm')],
                'chains' => $this->chainsOf($bikeId),
                'pace' => $this->pace($bikeId),
            ];
        }

        return [
            'bikes' => $bikes,
            'onS' => $onS,
            'more' => [
                'massUnit' => $q->units->mass,
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
            ],
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
        $hoursPerKm = Pace::hoursPerKm($this->book->ridesOf($bikeId));

        return $hoursPerKm === null
            ? ''
            : $this->translator->say('ui.ride.pace', ['km' => $this->translator->quantities->distance(1.0 / $hoursPerKm)]);
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
