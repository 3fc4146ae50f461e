<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Care\CareDue;
use Dripel\Core\Logbook\Book;

/** Drivetrain care in words. */
final readonly class CareWords
{
    public function __construct(private Translator $translator) {}

    /** When a bike's drivetrain was cleaned, and whether it is due. */
    public function brushed(Book $book, int $bikeId): string
    {
        $brushed = $book->brushed($bikeId, $this->translator->nowS);
        $due = CareDue::of($book, $bikeId, $this->translator->nowS);
        $q = $this->translator->quantities;

        return $brushed === null
            ? $this->translator->say('chain.brushed_never')
            : $this->translator->say('chain.brushed', [
                    'km' => $q->distance($brushed->km),
                    'day' => $q->day($brushed->last->moment->unixS),
                ]) .
                    ($due->due
                        ? ' ' .
                            $this->translator->say('chain.brush_due', [
                                'km' => $q->distance($due->sinceKm),
                                'every' => $q->distance(CareDue::EVERY_KM),
                            ])
                        : '');
    }
}
