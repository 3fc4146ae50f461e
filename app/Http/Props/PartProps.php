<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\Voice;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartState;
use Dripel\Core\Logbook\SettingKey;

/** Cassettes, chainrings and quick links, and what parts brought with them. */
final readonly class PartProps
{
    public function __construct(private Book $book, private Voice $voice) {}

    /** @return list<array<string, mixed>> the cassette and the chainring of a bike */
    public function onBike(int $bikeId): array
    {
        $states = array_map(fn(Part $part) => $this->book->part($part->id, $this->voice->nowS), $this->book->parts);

        return array_values(array_map(fn(PartState $state) => [
            'id' => $state->part->id,
            'name' => $this->voice->settings->text(SettingKey::PartName, $state->part->id),
            'figure' => $this->voice->quantities->ridden($state->km),
            'opening' => $this->opening($state->opening),
        ], array_filter($states, fn(PartState $state) => $state->bikeId === $bikeId)));
    }

    /** @return array<string, mixed>|null the quick link of a chain */
    public function linkOf(int $chainId): ?array
    {
        $state = $this->book->linkOf($chainId, $this->voice->nowS);
        if ($state === null) {
            return null;
        }
        $code = ($state->closingsKnown ? 'known' : 'least').($state->part->closingsAllowed === null ? '' : '_of');

        return [
            'figure' => trans_choice("ui.parts.closings_{$code}", (int) $state->closings, ['allowed' => (string) $state->part->closingsAllowed]),
            'usedUp' => $state->usedUp(),
            'opening' => $this->opening($state->opening),
        ];
    }

    /** @return array<string, mixed>|null what a form to correct it starts from */
    public function opening(?Opening $opening): ?array
    {
        $units = $this->voice->quantities->units;
        $text = fn(?float $km): string => $km === null ? '' : (string) round($units->fromKm($km), 1);

        return $opening === null ? null : [
            'id' => $opening->id,
            'of' => $this->voice->quantities->day($opening->moment->unixS),
            'km' => $text($opening->km),
            'wax' => $opening->wax->value,
            'since_wax' => $text($opening->sinceWaxKm),
            'closings' => $opening->closings === null ? '' : (string) $opening->closings,
        ];
    }
}
