<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\DripWords;
use App\Text\Translator;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WetOption;
use Dripel\Core\Plan\WetPath;
use Dripel\Core\Plan\WetWay;
use Dripel\Core\Plan\WorkshopPlan;

/**
 * The short path after a wet ride: dry it tonight, then one of the ways, each with what it gives and when.
 *
 * @phpstan-import-type FormDefaults from FormProps
 *
 * @phpstan-type WetWayView array{
 *     way: value-of<WetWay>,
 *     title: string,
 *     text: string,
 *     swapTo: int|null,
 *     inTime: bool,
 *     best: bool,
 *     when: string,
 * }
 * @phpstan-type WetPage array{
 *     chain: array{id: int, name: string, coat: float, left: string},
 *     bike: int,
 *     title: string,
 *     ride: string,
 *     why: string,
 *     geared: bool,
 *     dry: array{done: bool, late: bool, seconds: int|null, when: string},
 *     next: string,
 *     ways: list<WetWayView>,
 *     forms: FormDefaults,
 * }
 */
final readonly class WetProps
{
    /** @param list<OpenJob> $jobs */
    public function __construct(private Book $book, private Translator $translator, private array $jobs, private WorkshopPlan $plan) {}

    /** @return WetPage|null null for a chain that is not wet */
    public function of(int $chainId): ?array
    {
        foreach ($this->plan->rails as $rail) {
            foreach ($rail->chains() as $chain) {
                if ($chain->chainId === $chainId) {
                    $job = array_values(array_filter($this->jobs, fn(OpenJob $job) => in_array($chainId, $job->chainIds, true)))[0] ?? null;
                    $path = WetPath::of(
                        $chain,
                        $rail,
                        $this->plan,
                        $this->book->settings,
                        $job->doneS ?? $this->plan->potDoneS($chainId),
                        $this->translator->zone(),
                    );

                    return $path === null ? null : $this->page($path, $rail, $chain);
                }
            }
        }

        return null;
    }

    /** @return WetPage */
    private function page(WetPath $path, Rail $rail, ChainState $chain): array
    {
        $q = $this->translator->quantities;
        $words = new DripWords($this->translator);
        $say = fn(string $code, array $parameters = []): string => $this->translator->say("drip.wet.{$code}", $parameters);
        $ride = $chain->dryness->wetRide;
        assert($ride !== null);

        return [
            'chain' => [
                'id' => $chain->chainId,
                'name' => $this->translator->names->fullChain($chain->chainId),
                'coat' => $chain->coat(),
                'left' => $this->translator->wax->left($chain->left()),
            ],
            'bike' => $rail->bikeId,
            'title' => $say('title', ['chain' => $this->translator->names->fullChain($chain->chainId)]),
            'ride' => $say($path->rideEndS === null ? 'ride_day' : 'ride', [
                'km' => $q->distance($ride->km),
                'condition' => $this->translator->say("chain.condition.{$ride->condition->value}"),
                'day' => $q->day($ride->moment->unixS),
                'time' => $path->rideEndS === null ? '' : $q->time($path->rideEndS),
            ]),
            'geared' => $this->translator->settings->whole(SettingKey::BikeSpeeds, $rail->bikeId, 12) !== 1,
            'why' => $say('why'),
            'dry' => [
                'done' => $path->driedS !== null,
                'late' => $path->late(),
                'seconds' => $path->driedS === null && !$path->late() ? $path->dryByS - $chain->nowS : null,
                'when' => match (true) {
                    $path->driedS !== null => $say('dry_done', ['at' => $words->at($path->driedS)]),
                    $path->late() => $say('dry_late'),
                    default => $say('dry_by', ['time' => $q->time($path->dryByS)]),
                },
            ],
            'next' =>
                $path->nextRideS === null
                    ? $say('no_next')
                    : $say('next_ride', ['day' => $this->translator->dayWord($q->date($path->nextRideS, 'yyyy-MM-dd'))]),
            'ways' => array_map(
                fn(WetOption $option, int $rank) => [
                    'way' => $option->way->value,
                    'title' => $say(
                        "way.{$option->way->value}.title",
                        $name = [
                            'chain' => $option->chain === null ? '' : $this->translator->names->chain($option->chain->chainId),
                            'left' => $q->distance($option->leftKm),
                        ],
                    ),
                    'text' => $say("way.{$option->way->value}.text", $name),
                    'swapTo' => $option->chain?->chainId,
                    'inTime' => $option->inTime,
                    'best' => $rank === 0,
                    'when' => match (true) {
                        $option->way === WetWay::Swap => $say('in_time'),
                        $option->readyAtS === null => $say('no_pot'),
                        default => $say('ready', ['at' => $words->at($option->readyAtS)]) .
                            ($option->inTime || $path->nextRideS === null
                                ? ''
                                : ', ' .
                                    $say('too_late', ['day' => $this->translator->dayWord($q->date($path->nextRideS, 'yyyy-MM-dd'))])),
                    },
                ],
                $path->options,
                array_keys($path->options),
            ),
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }
}
