<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\PlanWords;
use App\Text\Translator;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\SupplyUnit;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\ShoppingBecause;
use Dripel\Core\Plan\ShoppingItem;
use Dripel\Core\Plan\WorkshopPlan;

/**
 * What to buy for the weeks ahead, by when and why.
 *
 * @phpstan-type ToBuy array{what: string, by: string, why: string, cost: string, soon: bool}
 */
final readonly class ShoppingProps
{
    /** What is needed within so many days is soon. */
    private const SOON_DAYS = 3;

    private PlanWords $words;

    public function __construct(private Book $book, private Translator $translator, WorkshopPlan $plan)
    {
        $this->words = new PlanWords($translator, $plan);
    }

    /**
     * @param list<ShoppingItem> $items
     *
     * @return list<ToBuy>
     */
    public function all(array $items, PriceList $prices): array
    {
        $q = $this->translator->quantities;

        return array_map(function (ShoppingItem $item) use ($q, $prices): array {
            $minor = $prices->costMinor($item->supply, $item->quantity, $this->translator->nowS);

            return [
                'what' =>
                    $this->translator->say($item->supply->unit() === SupplyUnit::Piece ? 'ahead.buy.pieces' : 'ahead.buy.measured', [
                        'quantity' => match ($item->supply->unit()) {
                            SupplyUnit::Piece => $q->number($item->quantity),
                            SupplyUnit::Gram => $q->mass($item->quantity),
                            SupplyUnit::Millilitre => $q->volume($item->quantity),
                        },
                        'supply' => $this->translator->say("strip.supply.{$item->supply->value}"),
                    ]) . $this->fits($item),
                'by' => $this->words->day($item->neededBy),
                'why' => $this->translator->say(
                    'ahead.buy.' .
                        ($item->because === ShoppingBecause::Strip && $item->bikeId === null ? 'strip_all' : $item->because->value),
                    [
                        'bike' => $item->bikeId === null ? '' : $this->translator->names->bike($item->bikeId),
                    ],
                ),
                'cost' => $minor === null ? '' : $q->money($minor),
                'soon' => $item->neededBy <= LocalDay::of($this->translator->nowS, $this->translator->zone())->plus(self::SOON_DAYS)->date,
            ];
        }, $items);
    }

    /** What it has to fit, as the chain that its bike has on: ", 12 speeds, 114 pitches, closed by a quick link". */
    private function fits(ShoppingItem $item): string
    {
        if ($item->bikeId === null || !in_array($item->supply, [Supply::Chain, Supply::QuickLink], true)) {
            return '';
        }
        $settings = $this->translator->settings;
        $on = $this->book->fittings()->componentOn($item->bikeId, $this->translator->nowS) ?? 0;
        $speeds = trans_choice('ui.speeds', $settings->whole(SettingKey::BikeSpeeds, $item->bikeId, 1));
        if ($item->supply === Supply::QuickLink) {
            $link = $this->book->inventory()->linkOf($on, $this->translator->nowS)?->part;

            return ', ' . implode(', ', array_filter([$speeds, $link === null ? '' : BooksProps::closings($link, $this->translator)]));
        }
        $pitches = $settings->whole(SettingKey::ChainPitches, $on);
        $joint = Joint::tryFrom($settings->text(SettingKey::ChainJoint, $on)) ?? Joint::QuickLink;

        return ', ' .
            implode(
                ', ',
                array_filter([
                    $speeds,
                    $pitches === 0 ? '' : $this->translator->say('ahead.buy.pitches', ['count' => (string) $pitches]),
                    $this->translator->say("ahead.buy.{$joint->value}"),
                ]),
            );
    }
}
