<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Cost\ReadPrices;
use App\Logbook\ReadBook;
use App\Models\JarEntry;
use App\Models\Price;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Text\StripWords;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\SupplyUnit;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Solvent;

/**
 * The books: solvent jars, the price list, spare quick links.
 *
 * @phpstan-import-type BottleView from DripProps
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type PartInBooks from PartProps
 * @phpstan-import-type PotChoices from PotProps
 * @phpstan-import-type PotInBooks from PotProps
 * @phpstan-import-type PotOutOfUse from PotProps
 *
 * @phpstan-type JarView array{
 *     id: int,
 *     name: string,
 *     role: value-of<JarRole>,
 *     roleName: string,
 *     holds: string,
 *     empty: bool,
 *     since: string,
 *     done: int,
 *     allowed: int|null,
 *     cleanings: string,
 *     because: string,
 *     grease: string,
 *     spent: string|null,
 *     settling: string|null,
 *     inJob: string|null,
 *     hazard: string,
 *     hazardBy: string,
 *     signal: string|null,
 *     volume: string,
 *     entries: list<array{id: int, day: string, text: string}>,
 *     acts: list<array{value: value-of<JarAct>, title: string, volume: bool}>,
 * }
 * @phpstan-type PriceLine array{id: int, supply: string, amount: string, quantity: string, from: string}
 * @phpstan-type LinkInDrawer array{id: int, name: string, about: string, price: string}
 * @phpstan-type SolventChoice array{
 *     value: value-of<Solvent>,
 *     title: string,
 *     hazard: string,
 * }
 * @phpstan-type BooksPage array{
 *     pots: list<PotInBooks>,
 *     potsOutOfUse: list<PotOutOfUse>,
 *     potChoices: PotChoices,
 *     jars: list<JarView>,
 *     bottles: list<BottleView>,
 *     prices: list<PriceLine>,
 *     parts: list<PartInBooks>,
 *     links: list<LinkInDrawer>,
 *     solvents: list<SolventChoice>,
 *     roles: list<Choice>,
 *     supplies: list<array{value: string, title: string, unit: string, usual: '1'|'1000'}>,
 *     units: array{mass: string, temperature: string, currency: string},
 *     forms: FormDefaults,
 * }
 */
final readonly class BooksProps
{
    private const ENTRIES = 8;

    public function __construct(
        private ReadBook $readBook,
        private ReadJars $readJars,
        private ReadBaths $readBaths,
        private ReadPrices $readPrices,
        private Translators $translators,
    ) {}

    /** @return BooksPage */
    public function all(Workshop $workshop): array
    {
        $translator = $this->translators->current();
        $words = new StripWords($translator);
        $busy = $this->readJars->busy($workshop);
        $book = ($this->readBook)($workshop);

        $pots = new PotProps($translator);
        $baths = ($this->readBaths)($workshop);
        $pickup = DipPickup::of($baths);

        return [
            'pots' => array_values(
                array_map(fn(BathState $bath) => $pots->inBooks($workshop, $bath, ($this->readPrices)($workshop), $pickup), $baths),
            ),
            'potsOutOfUse' => $pots->outOfUse($workshop),
            'potChoices' => $pots->choices(),
            'jars' => array_values(
                array_map(
                    fn(JarState $jar) => $this->jar($workshop, $jar, in_array($jar->jarId, $busy, true), $words, $translator),
                    ($this->readJars)($workshop),
                ),
            ),
            'bottles' => (new DripProps($book, $translator))->shelf(),
            'prices' => $this->prices($workshop, $translator),
            'parts' => (new PartProps($book, $translator))->all(($this->readPrices)($workshop)),
            'links' => array_map(fn(Part $link) => $this->link($link, $translator), $book->inventory()->spareLinks()),
            'solvents' => array_map(
                fn(Solvent $solvent) => [
                    'value' => $solvent->value,
                    'title' => ucfirst($words->solvent($solvent)),
                    'hazard' => $words->hazard($solvent, $solvent->hazard()),
                ],
                Solvent::stocked(),
            ),
            'roles' => array_map(
                fn(JarRole $role) => ['value' => $role->value, 'title' => ucfirst($translator->say("strip.jar.role.{$role->value}"))],
                JarRole::cases(),
            ),
            'supplies' => array_map(
                fn(Supply $supply) => [
                    'value' => $supply->value,
                    'title' => ucfirst($translator->say("strip.supply.{$supply->value}")),
                    'unit' => $translator->say("strip.unit.{$supply->unit()->value}"),
                    'usual' => $supply->unit() === SupplyUnit::Piece ? '1' : '1000',
                ],
                Supply::cases(),
            ),
            'units' => [
                'mass' => $translator->quantities->units->mass,
                'temperature' => $translator->quantities->units->temperature,
                'currency' => $translator->quantities->units->currency,
            ],
            'forms' => (new FormProps($book, $translator))->all(),
        ];
    }

    /** @return JarView */
    private function jar(Workshop $workshop, JarState $jar, bool $busy, StripWords $words, Translator $translator): array
    {
        $q = $translator->quantities;
        $solvent = $jar->solvent;
        $rows = JarEntry::query()
            ->in($workshop)
            ->live()
            ->where('component_id', $jar->jarId)
            ->orderByDesc('at')
            ->orderByDesc('id')
            ->limit(self::ENTRIES)
            ->get();

        return [
            'id' => $jar->jarId,
            'name' => $translator->names->jar($jar->jarId),
            'role' => $jar->role->value,
            'roleName' => $translator->say("strip.jar.role.{$jar->role->value}"),
            'holds' =>
                $solvent === null || $jar->volumeMl <= 0.0
                    ? $translator->say('strip.jar.empty')
                    : $translator->say('strip.jar.holds', ['ml' => $q->volume($jar->volumeMl), 'solvent' => $words->solvent($solvent)]),
            'empty' => $jar->volumeMl <= 0.0,
            'since' =>
                $jar->filledS === null
                    ? ''
                    : $translator->say($jar->role === JarRole::Waste ? 'strip.jar.collected' : 'strip.jar.filled', [
                        'day' => $q->date($jar->filledS, 'd MMM y'),
                    ]),
            'done' => $jar->cleanings,
            'allowed' => $jar->volumeMl > 0.0 ? $jar->cleaningsAllowed : null,
            'cleanings' =>
                $jar->cleaningsAllowed === null || $jar->volumeMl <= 0.0
                    ? ''
                    : $translator->say('strip.jar.cleanings', [
                        'done' => (string) $jar->cleanings,
                        'allowed' => (string) $jar->cleaningsAllowed,
                    ]),
            'because' =>
                $jar->cleaningsAllowed === null || $jar->volumeMl <= 0.0
                    ? ''
                    : $translator->say($jar->byCascade ? 'strip.jar.by_cascade' : 'strip.jar.by_practice'),
            'grease' => $jar->greaseG > 0.0 ? $translator->say('strip.jar.grease', ['grams' => $q->mass($jar->greaseG)]) : '',
            'spent' => $jar->spent() ? $translator->say('strip.jar.spent') : null,
            'settling' =>
                $jar->settlingS === null
                    ? null
                    : $translator->say('strip.jar.settling', [
                        'day' => $q->day($jar->settlingS),
                        'until' => $q->day((int) $jar->settledS()),
                    ]),
            'inJob' => $busy ? $translator->say('strip.jar.in_job') : null,
            'hazard' => $solvent === null ? '' : $words->hazard($solvent, $jar->hazard, $jar->flashC),
            'hazardBy' => $solvent === null ? '' : $translator->say($jar->flashC === null ? 'strip.hazard.kind' : 'strip.hazard.own'),
            'signal' => $jar->hazard?->class?->signal(),
            'volume' => (string) round($jar->volumeMl),
            'entries' => array_values(
                $rows
                    ->map(
                        fn(JarEntry $row) => [
                            'id' => $row->id,
                            'day' => $q->day($row->at),
                            'text' =>
                                $translator->say("strip.acted.{$row->act->value}", [
                                    'jar' => $translator->names->jar($jar->jarId),
                                    'ml' => $q->volume((float) $row->volume_ml),
                                    'solvent' => $row->solvent === null ? '' : $words->solvent($row->solvent),
                                ]) . ($row->note === null ? '' : ": {$row->note}"),
                        ],
                    )
                    ->all(),
            ),
            'acts' => array_values(
                array_map(
                    fn(JarAct $act) => [
                        'value' => $act->value,
                        'title' => $translator->say("strip.act.{$act->value}"),
                        'volume' => $act->hasVolume(),
                    ],
                    array_filter(
                        JarAct::cases(),
                        fn(JarAct $act) => $jar->volumeMl > 0.0
                            ? $jar->role !== JarRole::Waste || $act === JarAct::HandIn
                            : $act === JarAct::Fill && $jar->role !== JarRole::Waste,
                    ),
                ),
            ),
        ];
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
