<?php

declare(strict_types=1);

use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarBath;
use Dripel\Core\Strip\JarEntry;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarShelf;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\StripCascade;
use Dripel\Core\Strip\StripCascadeInput;

/** A dirty and a clean jar of white spirit, filled at 0, and a waste can; the given number of chains cleaned one a day. */
function shelf(float $dirtyMl, float $cleanMl, int $chains, JarEntry ...$dirtyToo): JarShelf
{
    $baths = [];
    for ($day = 1; $day <= $chains; $day++) {
        $baths[] = new JarBath($day * 86400, "s{$day}", 1, null, Solvent::WhiteSpirit, 200, 1, 8.0);
        $baths[] = new JarBath($day * 86400 + 900, "s{$day}", 2, null, Solvent::WhiteSpirit, 200, 1, 8.0);
        $baths[] = new JarBath($day * 86400 + 1800, "s{$day}", null, 3, Solvent::WhiteSpirit, 200, 1, 8.0);
    }

    return new JarShelf(
        [1 => JarRole::Dirty, 2 => JarRole::Clean, 3 => JarRole::Waste],
        [
            1 => [new JarEntry(0, JarAct::Fill, $dirtyMl, Solvent::WhiteSpirit), ...array_values($dirtyToo)],
            2 => [new JarEntry(0, JarAct::Fill, $cleanMl, Solvent::WhiteSpirit, 61.0)],
        ],
        $baths,
    );
}

it('counts cleanings and what is dissolved as strip.cascade does, and collects what was fresh', function (): void {
    $jars = shelf(600, 500, 5)->at(PHP_INT_MAX);
    $cascade = (new StripCascade())(new StripCascadeInput(600, 500, 8, 5))->byChain[4];
    expect([$jars[1]->cleanings, $jars[2]->cleanings, $jars[3]->volumeMl, $jars[3]->solvent])
        ->toBe([5, 5, 1000.0, Solvent::WhiteSpirit])
        ->and([$jars[1]->greaseG, $jars[2]->greaseG])
        ->toEqualWithDelta([$cascade->dirtyG, $cascade->cleanG], 1e-12)
        ->and($jars[3]->cleaningsAllowed)
        ->toBeNull()
        // Seen from the third day on.
        ->and(shelf(600, 500, 5)->at(3 * 86400)[1]->cleanings)
        ->toBe(3);
});

it('is spent after ten cleanings, or sooner where the cascade says so', function (): void {
    $small = shelf(250, 250, 4)->at(PHP_INT_MAX);
    $within = (new StripCascade())(new StripCascadeInput(250, 250, 8, 1, limitG: 0.4))->chainsWithinLimit;
    expect($within)
        ->toBeLessThan(10)
        ->and([$small[1]->cleaningsAllowed, $small[1]->byCascade, $small[1]->spent()])
        ->toBe([$within, true, $within <= 4]);
    $large = fn(int $chains): JarState => shelf(1500, 1500, $chains)->at(PHP_INT_MAX)[1];
    expect([$large(9)->cleaningsAllowed, $large(9)->byCascade, $large(9)->spent(), $large(10)->spent()])->toBe([10, false, false, true]);
});

it('starts anew with a fill, keeps what is dissolved when decanted, and forgets when handed in', function (): void {
    $before = shelf(600, 500, 3)->at(PHP_INT_MAX)[1];
    $standing = shelf(600, 500, 3, new JarEntry(4 * 86400, JarAct::Settle))->at(PHP_INT_MAX)[1];
    $decanted = shelf(600, 500, 3, new JarEntry(4 * 86400, JarAct::Settle), new JarEntry(6 * 86400, JarAct::Decant, 450))->at(
        PHP_INT_MAX,
    )[1];
    $topped = shelf(600, 500, 3, new JarEntry(4 * 86400, JarAct::TopUp, 100))->at(PHP_INT_MAX)[1];
    $filled = shelf(600, 500, 3, new JarEntry(4 * 86400, JarAct::Fill, 700, Solvent::WhiteSpirit))->at(PHP_INT_MAX)[1];
    $gone = shelf(600, 500, 3, new JarEntry(4 * 86400, JarAct::HandIn, 600))->at(PHP_INT_MAX)[1];
    expect([$standing->settledS(), $decanted->settledS()])
        ->toBe([6 * 86400, null])
        ->and([$decanted->volumeMl, $decanted->cleanings])
        ->toBe([450.0, 3])
        ->and($decanted->greaseG)
        ->toEqualWithDelta($before->greaseG * 0.75, 1e-12)
        ->and([$topped->volumeMl, $topped->cleanings, $topped->greaseG])
        ->toBe([700.0, 3, $before->greaseG])
        ->and([$filled->volumeMl, $filled->cleanings, $filled->greaseG])
        ->toBe([700.0, 0, 0.0])
        ->and([$gone->volumeMl, $gone->cleanings, $gone->solvent, $gone->filledS, $gone->spent()])
        ->toBe([0.0, 0, null, null, false]);
});

it('classes a jar by the sheet of what is in it, else by its kind', function (): void {
    $jars = shelf(600, 500, 0)->at(PHP_INT_MAX);
    expect([$jars[1]->hazard?->class?->value, $jars[2]->hazard?->class?->value])
        ->toBe([3, 4])
        ->and(Solvent::Petrol->hazard()?->class?->value)
        ->toBe(1)
        ->and(Solvent::Petrol->hazard(-43.0, 40.0)?->class?->value)
        ->toBe(2)
        ->and(Solvent::LampOil->hazard())
        ->toBeNull()
        ->and(Solvent::LampOil->hazard(70.0)?->class?->value)
        ->toBe(4)
        ->and(Solvent::Water->hazard())
        ->toBeNull();
});
