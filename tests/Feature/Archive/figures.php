<?php

declare(strict_types=1);

use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Workshop;

/**
 * What data/*-figures.json holds: written by the version itself, on its own demo, at noon of the demo's day.
 *
 * @return array{actions: int, chains: list<array{string, float, float, float, int}>} of each status, km, km left, km of the coat, dips
 */
function figuresOf(Workshop $workshop): array
{
    $noonS = (int) strtotime('2026-11-25T12:20:00+01:00');
    $book = app(ReadBook::class)($workshop);

    return [
        'actions' => Action::query()->in($workshop)->count(),
        'chains' => array_map(function (int $id) use ($book, $noonS): array {
            $chain = $book->chain($id, $noonS);
            $km = fn(?float $km): float => round((float) $km, 3);

            return [$chain->status->value, $km($chain->km->km), $km($chain->leftKm()), $km($chain->wax->cycleKm()->km), $chain->dips];
        }, $book->chainIds),
    ];
}
