<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\FitNote;
use Dripel\Core\Logbook\SettingKey;

/** What speaks against putting a chain on a bike, in words. */
final readonly class FitWords
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return list<array{note: string, forbids: bool, text: string}> */
    public function all(ChainState $chain, int $bikeId): array
    {
        $settings = $this->book->settings;
        $q = $this->translator->quantities;
        $parameters = [
            'at' => $chain->readyAtS === null ? '' : $q->day($chain->readyAtS) . ', ' . $q->time($chain->readyAtS),
            'event' => $chain->keptFor->event ?? '',
            'day' => $chain->keptFor === null ? '' : $this->translator->dayWord($chain->keptFor->on),
        ] + [
            'chain' => $settings->whole(SettingKey::ChainSpeeds, $chain->chainId),
            'bike' => $settings->whole(SettingKey::BikeSpeeds, $bikeId),
        ];

        return array_map(
            fn(FitNote $note) => [
                'note' => $note->value,
                'forbids' => $note->forbids(),
                'text' => $this->translator->say($note->forbids() ? "errors.{$note->value}" : "chain.fit.{$note->value}", $parameters),
            ],
            FitNote::all($this->book, $chain, $bikeId),
        );
    }
}
