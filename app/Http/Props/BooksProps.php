<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Cost\ReadPrices;
use App\Logbook\ReadBook;
use App\Models\Price;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\SupplyUnit;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\SettingKey;

/**
 * The records: wax in the pots, solvent in the jars, bottles, prices, quick links, cassettes and rings.
 *
 * @phpstan-import-type BottleView from DripProps
 * @phpstan-import-type JarLedger from JarProps
 * @phpstan-import-type PartInBooks from PartProps
 * @phpstan-import-type PotLedger from PotProps
 *
 * @phpstan-type PriceLine array{
 *     id: int,
 *     supply: string,
 *     amount: string,
 *     quantity: string,
 *     from: string,
 *     values: array{supply: value-of<Supply>, amount: string, quantity: string, date: string},
 * }
 * @phpstan-type LinkInDrawer array{id: int, name: string, about: string, price: string}
 * @phpstan-type SupplyChoice array{value: string, title: string, unit: string, usual: '1'|'1000'}
 * @phpstan-type WaxBooksPage array{pots: list<PotLedger>, jars: list<JarLedger>}
 * @phpstan-type StockPage array{
 *     bottles: list<BottleView>,
 *     prices: list<PriceLine>,
 *     links: list<LinkInDrawer>,
 *     supplies: list<SupplyChoice>,
 *     currency: string,
 *     today: string,
 * }
 * @phpstan-type PartsPage array{parts: list<PartInBooks>}
 */
final readonly class BooksProps
{
    public function __construct(
        private ReadBook $readBook,
        private ReadJars $readJars,
        private ReadBaths $readBaths,
        private ReadPrices $readPrices,
        private Translators $translators,
    ) {}

    /** @return WaxBooksPage */
    public function wax(Workshop $workshop): array
    {
        $translator = $this->translators->current();
        $book = ($this->readBook)($workshop);

        return [
            'pots' => (new PotProps($translator))->ledgers($workshop, $book, ($this->readBaths)($workshop)),
            'jars' => (new JarProps($translator))->ledgers($workshop, $book, ($this->readJars)($workshop)),
        ];
    }

    /** @return StockPage */
    public function stock(Workshop $workshop): array
    {
        $translator = $this->translators->current();
        $book = ($this->readBook)($workshop);

        return [
            'bottles' => (new DripProps($book, $translator))->shelf($workshop),
            'prices' => $this->prices($workshop, $translator),
            'links' => array_map(fn(Part $link) => $this->link($link, $translator), $book->inventory()->spareLinks()),
            'supplies' => array_map(
                fn(Supply $supply) => [
                    'value' => $supply->value,
                    'title' => ucfirst($translator->say("strip.supply.{$supply->value}")),
                    'unit' => $translator->say("strip.unit.{$supply->unit()->value}"),
                    'usual' => $supply->unit() === SupplyUnit::Piece ? '1' : '1000',
                ],
                Supply::cases(),
            ),
            'currency' => $translator->quantities->units->currency,
            'today' => $translator->quantities->date($translator->nowS, 'yyyy-MM-dd'),
        ];
    }

    /** @return PartsPage */
    public function parts(Workshop $workshop): array
    {
        $translator = $this->translators->current();

        return ['parts' => (new PartProps(($this->readBook)($workshop), $translator))->all(($this->readPrices)($workshop))];
    }

    /** @return list<PriceLine> */
    private function prices(Workshop $workshop, Translator $translator): array
    {
        $q = $translator->quantities;
        $rows = Price::query()->in($workshop)->live()->orderBy('supply')->orderByDesc('at')->orderByDesc('id')->get();
        $quantity = fn(Price $row): string => match ($row->supply->unit()) {
            SupplyUnit::Piece => $q->number($row->quantity),
            SupplyUnit::Gram => $q->mass($row->quantity),
            SupplyUnit::Millilitre => $q->volume($row->quantity),
        };

        return array_values(
            $rows
                ->map(
                    fn(Price $row) => [
                        'id' => $row->id,
                        'supply' => ucfirst($translator->say("strip.supply.{$row->supply->value}")),
                        'amount' => $q->money((float) $row->amount_minor),
                        'quantity' => $quantity($row),
                        'from' => $q->date($row->at, 'd MMM y'),
                        'values' => [
                            'supply' => $row->supply->value,
                            'amount' => $q->amount((float) $row->amount_minor),
                            'quantity' => (string) round($row->quantity, 2),
                            'date' => $q->date($row->at, 'yyyy-MM-dd'),
                        ],
                    ],
                )
                ->all(),
        );
    }

    /** @return LinkInDrawer */
    private function link(Part $link, Translator $translator): array
    {
        $settings = $translator->settings;
        $price = $settings->number(SettingKey::LinkPrice, $link->id);

        return [
            'id' => $link->id,
            'name' => $settings->text(SettingKey::PartName, $link->id),
            'about' => $translator->say('strip.link', [
                'speeds' => $link->speeds === null ? $translator->say('words.unknown') : trans_choice('ui.speeds', $link->speeds),
                'closings' => self::closings($link, $translator),
            ]),
            'price' => $price === null ? '—' : $translator->quantities->money($price),
        ];
    }

    public static function closings(Part $link, Translator $translator): string
    {
        return match ($link->closingsAllowed) {
            null => $translator->say('strip.closings.unknown'),
            1 => $translator->say('strip.closings.single'),
            default => $translator->say('strip.closings.many', ['count' => (string) $link->closingsAllowed]),
        };
    }
}
