<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Action;

/** Which bikes and chains an action speaks of, read from what the history says about it. */
final class Concerns
{
    private const BIKES = ['bike', 'from_bike', 'bikes'];

    private const CHAINS = ['chain', 'off', 'with', 'chains'];

    /**
     * @param iterable<Action> $actions
     *
     * @return array{bikes: list<int>, chains: list<int>}
     */
    public static function of(iterable $actions): array
    {
        $ids = ['bikes' => [], 'chains' => []];
        foreach ($actions as $action) {
            foreach (['bikes' => self::BIKES, 'chains' => self::CHAINS] as $kind => $keys) {
                foreach ($keys as $key) {
                    array_push($ids[$kind], ...array_filter((array) ($action->about[$key] ?? []), is_int(...)));
                }
            }
        }

        return ['bikes' => array_values(array_unique($ids['bikes'])), 'chains' => array_values(array_unique($ids['chains']))];
    }

    /** @return list<string> where in `about` a bike is named by its id, and where a list of them */
    public static function keys(string $kind): array
    {
        return $kind === 'bikes' ? self::BIKES : self::CHAINS;
    }
}
