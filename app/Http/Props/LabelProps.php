<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ReadBook;
use App\Support\CurrentWorkshop;
use App\Support\Reach;
use App\Text\Translators;
use Dripel\Core\Logbook\SettingKey;

/**
 * A tag for each chain in use, with the address that opens it on the phone, and a label for each bike's place.
 *
 * @phpstan-type LabelsPage array{
 *     tags: list<array{id: int, letter: string, bike: string, about: string, url: string}>,
 *     bikes: list<array{id: int, name: string, interval: string, limit: string, letters: list<string>}>,
 *     reachable: bool,
 * }
 */
final readonly class LabelProps
{
    public function __construct(private CurrentWorkshop $current, private ReadBook $readBook, private Translators $translators) {}

    /** @return LabelsPage */
    public function all(): array
    {
        $book = ($this->readBook)($this->current->workshop());
        $translator = $this->translators->current();
        $tags = [];
        foreach ($book->chainIds as $id) {
            $bikeId = $book->settings->home($id, $translator->nowS);
            if ($bikeId !== null && !$book->chain($id, $translator->nowS)->retired()) {
                $tags[] = [
                    'id' => $id,
                    'letter' => $translator->names->chain($id),
                    'bike' => $translator->names->bike($bikeId),
                    'about' => implode(
                        ', ',
                        array_filter([
                            trans_choice('ui.speeds', $book->settings->whole(SettingKey::ChainSpeeds, $id, 1)),
                            ($pitches = $book->settings->whole(SettingKey::ChainPitches, $id)) > 0
                                ? trans_choice('ui.labels.pitches', $pitches)
                                : null,
                        ]),
                    ),
                    'url' => Reach::url("/tags/{$id}"),
                ];
            }
        }

        return [
            'tags' => $tags,
            'bikes' => array_map(
                fn(int $id) => [
                    'id' => $id,
                    'name' => $translator->names->bike($id),
                    'interval' => $translator->say('ui.labels.interval', [
                        'km' => $translator->wax->interval($book->terms()->ofBike($id, $translator->nowS)),
                    ]),
                    'limit' => $translator->say('ui.labels.limit', [
                        'limit' => $translator->quantities->mark(
                            $book->settings
                                ->limitSchool($id, $translator->nowS)
                                ->limitPct($book->settings->whole(SettingKey::BikeSpeeds, $id, 1)),
                        ),
                    ]),
                    'letters' => array_values(
                        array_map(
                            fn(array $tag) => $tag['letter'],
                            array_filter($tags, fn(array $tag) => $tag['bike'] === $translator->names->bike($id)),
                        ),
                    ),
                ],
                $book->bikeIds,
            ),
            'reachable' => Reach::lan() !== null,
        ];
    }
}
