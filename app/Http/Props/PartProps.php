<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\Translator;
use App\Text\WearWords;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\PartState;
use Dripel\Core\Logbook\PartWear;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Logbook\WaxThen;

/**
 * Cassettes, chainrings, jockey wheels and quick links: what they ran, what chains did to them, what they brought with them.
 *
 * @phpstan-type PartWearView array{outlived: string|null, chains: int, least: int, most: int, teeth: string|null, warning: string|null}
 * @phpstan-type PartInDrawer array{id: int, name: string, km: string}
 * @phpstan-type PartInBooks array{
 *     outlived: string|null,
 *     chains: int,
 *     least: int,
 *     most: int,
 *     warning: string|null,
 *     teeth: string|null,
 *     id: int,
 *     name: string,
 *     where: string,
 *     km: string,
 *     price: string,
 * }
 * @phpstan-type OpeningView array{
 *     id: int,
 *     of: string,
 *     date: string,
 *     time: string,
 *     km: string,
 *     wax: value-of<WaxThen>,
 *     since_wax: string,
 *     closings: string,
 * }
 * @phpstan-type PartOnBike array{
 *     outlived: string|null,
 *     chains: int,
 *     least: int,
 *     most: int,
 *     warning: string|null,
 *     teeth: string|null,
 *     id: int,
 *     name: string,
 *     slot: value-of<Slot>|null,
 *     km: string,
 *     opening: OpeningView|null,
 * }
 * @phpstan-type LinkOfChain array{figure: string, usedUp: bool, opening: OpeningView|null}
 */
final readonly class PartProps
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return list<PartOnBike> the cassettes, chainring and jockey wheels on a bike */
    public function onBike(int $bikeId): array
    {
        return array_map(
            fn(PartState $state) => [
                'id' => $state->part->id,
                'name' => $this->name($state->part),
                'slot' => $state->part->slot()?->value,
                'km' => $this->translator->quantities->ridden($state->km),
                'opening' => $this->opening($state->opening),
            ] + $this->wear($state),
            $this->states(fn(Part $part) => $this->bikeOf($part) === $bikeId),
        );
    }

    /** @return list<PartInDrawer> those that lie in the drawer or sit on another wheel, and can go onto any bike */
    public function inDrawer(): array
    {
        return array_map(
            fn(PartState $state) => [
                'id' => $state->part->id,
                'name' => $this->name($state->part),
                'km' => $this->translator->quantities->ridden($state->km),
            ],
            array_values(
                array_filter(
                    $this->states(fn(Part $part) => $part->slot() !== null && $this->bikeOf($part) === null),
                    fn(PartState $state) => $state->retiredS === null,
                ),
            ),
        );
    }

    /** @return list<PartInBooks> of the whole workshop, for the books */
    public function all(PriceList $prices): array
    {
        return array_map(
            fn(PartState $state) => [
                'id' => $state->part->id,
                'name' => $this->name($state->part),
                'where' => match (true) {
                    $state->retiredS !== null => $this->translator->say('wear.part.retired', [
                        'day' => $this->translator->quantities->date($state->retiredS, 'd MMM y'),
                    ]),
                    $state->bikeId === null => $this->translator->say('wear.part.drawer'),
                    default => $this->translator->names->bike($state->bikeId),
                },
                'km' => $this->translator->quantities->ridden($state->km),
                'price' => $this->price($state->part, $prices),
            ] + $this->wear($state),
            $this->states(fn(Part $part) => $part->slot() !== null),
        );
    }

    /** @return PartWearView */
    private function wear(PartState $state): array
    {
        $wear = PartWear::of($state->part, $this->book, $this->translator->nowS);
        $words = new WearWords($this->translator);
        $cassette = $state->part->kind === PartKind::Cassette;

        return [
            'outlived' => $cassette ? $words->part($wear) : null,
            'chains' => $wear->outlived,
            'least' => PartWear::CHAINS_LEAST,
            'most' => PartWear::CHAINS_MOST,
            'warning' => $cassette ? $words->partWarning($wear) : null,
            'teeth' =>
                $wear->teeth === null
                    ? null
                    : $this->translator->say('wear.part.teeth', [
                        'seen' => $this->translator->say("wear.teeth.{$wear->teeth->value}"),
                        'day' => $this->translator->quantities->date((int) $wear->seenS, 'd MMM y'),
                    ]),
        ];
    }

    private function name(Part $part): string
    {
        $name = $this->translator->settings->text(SettingKey::PartName, $part->id);

        return $part->onTrainer ? $this->translator->say('wear.part.on_trainer', ['name' => $name]) : $name;
    }

    /** Its own price, else that of its kind now; empty where none is known. */
    private function price(Part $part, PriceList $prices): string
    {
        $minor =
            $this->translator->settings->number(SettingKey::PartPrice, $part->id) ??
            $prices->costMinor(Supply::from($part->kind->value), 1, $this->translator->nowS);

        return $minor === null ? '' : $this->translator->quantities->money($minor);
    }

    private function bikeOf(Part $part): ?int
    {
        $slot = $part->slot();

        return $slot === null ? null : $this->book->fittingsOf($slot)->bikeOf($part->id, $this->translator->nowS);
    }

    /**
     * @param callable(Part): bool $which
     *
     * @return list<PartState>
     */
    private function states(callable $which): array
    {
        return array_map(
            fn(Part $part) => $this->book->inventory()->part($part->id, $this->translator->nowS),
            array_values(array_filter($this->book->parts, $which)),
        );
    }

    /** @return LinkOfChain|null the quick link of a chain */
    public function linkOf(int $chainId): ?array
    {
        $state = $this->book->inventory()->linkOf($chainId, $this->translator->nowS);
        if ($state === null) {
            return null;
        }
        $code = ($state->closingsKnown ? 'known' : 'least') . ($state->part->closingsAllowed === null ? '' : '_of');

        return [
            'figure' => trans_choice("ui.parts.closings_{$code}", (int) $state->closings, [
                'allowed' => (string) $state->part->closingsAllowed,
            ]),
            'usedUp' => $state->usedUp(),
            'opening' => $this->opening($state->opening),
        ];
    }

    /** @return OpeningView|null what a form to correct it starts from */
    public function opening(?Opening $opening): ?array
    {
        $units = $this->translator->quantities->units;
        $text = fn(?float $km): string => $km === null ? '' : (string) round($units->fromKm($km), 1);

        return $opening === null
            ? null
            : [
                'id' => $opening->id,
                'of' => $this->translator->quantities->day($opening->moment->unixS),
                'date' => $this->translator->quantities->date($opening->moment->unixS, 'yyyy-MM-dd'),
                'time' => $this->translator->quantities->date($opening->moment->unixS, 'HH:mm'),
                'km' => $text($opening->km),
                'wax' => $opening->wax->value,
                'since_wax' => $text($opening->sinceWaxKm),
                'closings' => $opening->closings === null ? '' : (string) $opening->closings,
            ];
    }
}
