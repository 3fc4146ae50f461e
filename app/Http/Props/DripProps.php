<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Drip\DripDraft;
use App\Actions\Workshop\RemoveUnused;
use App\Models\Bottle;
use App\Models\Workshop;
use App\Text\DripWords;
use App\Text\Translator;
use Dripel\Core\Drip\BottleState;
use Dripel\Core\Drip\DripManner;
use Dripel\Core\Drip\DripNeeds;
use Dripel\Core\Drip\DripPlace;
use Dripel\Core\Drip\ExcessSchool;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;

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
 *     unused: bool,
 *     values: array{volume: string, left: string, opened: string, price: string},
 * }
 * @phpstan-type DripPlanPage array{
 *     chain: array{id: int, name: string, topUpCounts: bool},
 *     proposed: array{place: 'on_bike'|'in_box', washed: bool, warmed: bool, coats: int, excess: 'wipe'|'leave', manner: value-of<DripManner>, box_mm: string},
 *     places: list<Choice>,
 *     manners: list<Choice>,
 *     schools: list<Choice>,
 *     bottles: list<array{value: int, title: string}>,
 *     forms: FormDefaults,
 * }
 */
final readonly class DripProps
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return DripPlanPage the page that plans a top-up, with what is proposed */
    public function create(int $chainId): array
    {
        $place = $this->book->fittings()->bikeOf($chainId, $this->translator->nowS) === null ? DripPlace::InBox : DripPlace::OnBike;
        $choices = $this->needs($chainId)->choices($place, $this->translator->settings->excessSchool());
        $title = fn(string $code, string $value): array => [
            'value' => $value,
            'title' => ucfirst($this->translator->say("drip.{$code}.{$value}")),
        ];

        return [
            'chain' => [
                'id' => $chainId,
                'name' => $this->translator->names->fullChain($chainId),
                'topUpCounts' => $this->book->chain($chainId, $this->translator->nowS)->terms->topUpCounts(),
            ],
            'proposed' => [
                'place' => $choices->place->value,
                'washed' => $choices->washed,
                'warmed' => $choices->warmed,
                'coats' => $choices->coats,
                'excess' => $choices->excess->value,
                'manner' => $choices->manner->value,
                'box_mm' => ($boxMm = $this->translator->settings->number(SettingKey::DripBoxMm, 0)) === null ? '' : (string) round($boxMm),
            ],
            'places' => array_map(fn(DripPlace $one) => $title('place', $one->value), DripPlace::cases()),
            'manners' => array_map(fn(DripManner $one) => $title('manner', $one->value), DripManner::cases()),
            'schools' => array_map(fn(ExcessSchool $one) => $title('excess', $one->value), ExcessSchool::cases()),
            'bottles' => $this->choices(),
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /**
     * @param int|null $nextRideS when the bike that it is on may be ridden next
     *
     * @return DripPlan what follows from choices
     */
    public function plan(DripDraft $draft, ?int $nextRideS): array
    {
        $words = new DripWords($this->translator);

        return [
            'lines' => $words->lines($draft, $this->needs($draft->chain->chainId), $nextRideS),
            'steps' => array_map(
                fn(JobStep $step) => [
                    'title' => $words->step($step)['title'],
                    'time' => $step->seconds === null ? '' : $this->translator->quantities->seconds($step->seconds),
                ],
                $draft->plan->steps,
            ),
        ];
    }

    /** @return list<array{value: int, title: string}> the bottles on the shelf */
    public function choices(): array
    {
        return array_map(
            fn(BottleState $bottle) => [
                'value' => $bottle->bottleId,
                'title' =>
                    $this->translator->names->bottle($bottle->bottleId) .
                    ', ' .
                    (new DripWords($this->translator))->bottle($bottle)['left'],
            ],
            BottleState::all($this->book, $this->translator->nowS),
        );
    }

    /** @return list<BottleView> for the books */
    public function shelf(Workshop $workshop): array
    {
        $settings = $this->translator->settings;
        $used = RemoveUnused::used($workshop, Bottle::class);

        return array_map(
            fn(BottleState $bottle) => [
                'id' => $bottle->bottleId,
                'name' => $this->translator->names->bottle($bottle->bottleId),
                'unused' => !in_array($bottle->bottleId, $used, true),
                'share' => $bottle->volumeMl > 0.0 ? min(1.0, $bottle->leftMl / $bottle->volumeMl) : 0.0,
                'price' =>
                    ($price = $settings->number(SettingKey::BottlePrice, $bottle->bottleId)) === null
                        ? ''
                        : $this->translator->quantities->money($price),
                'values' => [
                    'volume' => (string) round($bottle->volumeMl),
                    'left' => (string) round($bottle->leftMl, 1),
                    'opened' => $bottle->openedOn ?? '',
                    'price' => $price === null ? '' : (string) ($price / 10 ** $this->translator->quantities->exponent()),
                ],
            ] + (new DripWords($this->translator))->bottle($bottle),
            BottleState::all($this->book, $this->translator->nowS),
        );
    }

    private function needs(int $chainId): DripNeeds
    {
        $nowS = $this->translator->nowS;

        return DripNeeds::of($this->book->history($chainId)->until($nowS), $this->book->chain($chainId, $nowS)->wax);
    }
}
