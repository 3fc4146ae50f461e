<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Logbook\Terms;
use Dripel\Core\Logbook\WaxLeft;

/** Wax in words, in the measures that a bike goes by: km, hours or both. */
final readonly class WaxWords
{
    public function __construct(private Quantities $quantities) {}

    /** What a ride takes of it, in every measure: "60 km and 2 h 30". */
    public function needs(?float $km, ?float $hours): string
    {
        return $this->measures('words.km_and_hours', $km === null ? null : $this->quantities->distance($km), $hours);
    }

    /** What a bike re-waxes at: "300 km", "10 h", or by what comes first "300 km or 10 h". */
    public function interval(Terms $terms): string
    {
        $km = $terms->limitKm();

        return $this->measures('words.km_or_hours', $km === null ? null : $this->quantities->distance($km), $terms->intervalHours);
    }

    /** What is left on a chain that has wax, in the measure that runs out first: never more than there is. */
    public function left(WaxLeft $left): string
    {
        return $left->byHours ? $this->quantities->hours($left->hours ?? 0.0) : $this->quantities->left($left->km);
    }

    /** The same in every measure that its bike goes by. */
    public function leftInAll(WaxLeft $left): string
    {
        return $this->has($left->hoursAlone ? null : $left->km, $left->hours);
    }

    /** What a chain has left by then, as a plan counts it: "64 km", "64 km or 2 h 30". */
    public function has(?float $km, ?float $hours): string
    {
        return $this->measures('words.km_or_hours', $km === null ? null : $this->quantities->left($km), $hours);
    }

    private function measures(string $both, ?string $km, ?float $hours): string
    {
        return match (true) {
            $hours === null => $km ?? $this->quantities->distance(0.0),
            $km === null => $this->quantities->hours($hours),
            default => (string) __($both, ['km' => $km, 'hours' => $this->quantities->hours($hours)]),
        };
    }
}
