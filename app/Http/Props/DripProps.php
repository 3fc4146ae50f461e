<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Drip\DripDraft;
use App\Text\DripWords;
use App\Text\Voice;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripNeeds;
use Dripel\Core\Drip\DripPlace;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\Rail;

/**
 * Drip wax: the plan of a top-up, and the bottles.
 *
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type FormDefaults from FormProps
 *
 * @phpstan-type DripPlan array{lines: list<string>, steps: list<array{title: string, time: string}>}
 * @phpstan-type BottleView array{
 *     left: string,
 *     about: string,
 *     id: int,
 *     name: string,
 *     share: float,
 *     price: string,
 *     values: array{volume: string, left: string, opened: string, price: string},
 * }
 * @phpstan-type DripPlanPage array{
 *     chain: array{id: int, name: string},
 *     proposed: array{place: 'on_bike'|'in_box', washed: bool, warmed: bool, coats: int, excess: 'wipe'|'leave'},
 *     places: list<Choice>,
 *     schools: list<Choice>,
 *     bottles: list<array{value: int, title: string}>,
 *     forms: FormDefaults,
 * }
 */
final readonly class DripProps
{
    public function __construct(private Book $book, private Voice $voice) {}

    /** @return DripPlanPage the page that plans a top-up, with what is proposed */
    public function create(int $chainId): array
    {
        $place = $this->book->fittings->bikeOf($chainId, $this->voice->nowS) === null ? DripPlace::InBox : DripPlace::OnBike;
        $wish = DripNeeds::of($this->book->history($chainId)->until($this->voice->nowS))->wish($place, $this->voice->settings->excessSchool());
        $title = fn(string $code, string $value): array => ['value' => $value, 'title' => ucfirst($this->voice->say("drip.{$code}.{$value}"))];

        return [
            'chain' => ['id' => $chainId, 'name' => $this->voice->names->fullChain($chainId)],
            'proposed' => ['place' => $wish->place->value, 'washed' => $wish->washed, 'warmed' => $wish->warmed, 'coats' => $wish->coats, 'excess' => $wish->excess->value],
            'places' => array_map(fn(DripPlace $one) => $title('place', $one->value), DripPlace::cases()),
            'schools' => array_map(fn(ExcessSchool $one) => $title('excess', $one->value), ExcessSchool::cases()),
            'bottles' => $this->choices(),
            'forms' => (new FormProps($this->book, $this->voice))->all(),
        ];
    }

    /** @return DripPlan what follows from a wish */
    public function plan(DripDraft $draft): array
    {
        $words = new DripWords($this->voice);
        $needs = DripNeeds::of($this->book->history($draft->chain->chainId)->until($this->voice->nowS));

        return [
            'lines' => $words->lines($draft, $needs, $this->nextRideS($draft->chain->chainId)),
            'steps' => array_map(fn(JobStep $step) => ['title' => $words->step($step)['title'], 'time' => $step->seconds === null ? '' : $this->voice->quantities->seconds($step->seconds)], $draft->plan->steps),
        ];
    }

    /** @return list<array{value: int, title: string}> the bottles on the shelf */
    public function choices(): array
    {
        return array_map(fn(BottleState $bottle) => ['value' => $bottle->bottleId, 'title' => $this->voice->names->bottle($bottle->bottleId).', '.(new DripWords($this->voice))->bottle($bottle)['left']], BottleState::all($this->book, $this->voice->nowS));
    }

    /** @return list<BottleView> for the books */
    public function shelf(): array
    {
        $settings = $this->voice->settings;

        return array_map(fn(BottleState $bottle) => [
            'id' => $bottle->bottleId,
            'name' => $this->voice->names->bottle($bottle->bottleId),
            'share' => $bottle->volumeMl > 0.0 ? min(1.0, $bottle->leftMl / $bottle->volumeMl) : 0.0,
            'price' => ($price = $settings->number(SettingKey::BottlePrice, $bottle->bottleId)) === null ? '' : $this->voice->quantities->money($price),
            'values' => ['volume' => (string) round($bottle->volumeMl), 'left' => (string) round($bottle->leftMl, 1), 'opened' => $bottle->openedOn ?? '', 'price' => $price === null ? '' : (string) ($price / 10 ** $this->voice->quantities->exponent())],
        ] + (new DripWords($this->voice))->bottle($bottle), BottleState::all($this->book, $this->voice->nowS));
    }

    private function nextRideS(int $chainId): ?int
    {
        foreach (Rail::all($this->book, $this->voice->nowS, $this->voice->zone()) as $rail) {
            if ($rail->fitted?->chainId === $chainId) {
                return $rail->nextRideS($this->voice->nowS, $this->voice->zone());
            }
        }

        return null;
    }
}
