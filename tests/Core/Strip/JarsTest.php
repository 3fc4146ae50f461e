<?php

declare(strict_types=1);

use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarBath;
use Dripel\Core\Strip\JarCount;
use Dripel\Core\Strip\JarEntry;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarShelf;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Solvent;

/** A jar with its entries read through, and chains washed in it between: [grams left in it, series, chains]. */
function jarAfter(JarEntry|array ...$what): JarCount
{
    $jar = new JarCount(JarRole::Dirty);
    foreach ($what as $one) {
        $one instanceof JarEntry ? $jar->take($one) : $jar->washed(...$one);
    }

    return $jar;
}

function jarFill(float $ml = 500.0, ?float $flashC = null, int $atS = 100): JarEntry
{
    return new JarEntry($atS, JarAct::Fill, $ml, Solvent::WhiteSpirit, $flashC, $flashC === null ? null : 150.0);
}

it('reads a jar through, act by act', function (
    array $what,
    float $ml,
    float $greaseG,
    int $cleanings,
    ?int $settlingS,
    ?int $filledS,
): void {
    $jar = jarAfter(...$what);
    expect([$jar->volumeMl, $jar->greaseG, $jar->cleanings(), $jar->settlingS, $jar->filledS])->toBe([
        $ml,
        $greaseG,
        $cleanings,
        $settlingS,
        $filledS,
    ]);
})->with([
    'filled' => [[jarFill()], 500.0, 0.0, 0, null, 100],
    'washed in' => [[jarFill(), [8.0, 'a', 2]], 500.0, 8.0, 2, null, 100],
    'a stripping counts its chains once, however many baths it has' => [
        [jarFill(), [4.0, 'a', 2], [8.0, 'a', 2], [9.0, 'b', 1]],
        500.0,
        9.0,
        3,
        null,
        100,
    ],
    'topped up it is the same filling, and stands on' => [
        [jarFill(), [8.0, 'a', 1], new JarEntry(200, JarAct::Settle), new JarEntry(300, JarAct::TopUp, 100.0)],
        600.0,
        8.0,
        1,
        200,
        100,
    ],
    'settling ends when chains are washed in it' => [
        [jarFill(), new JarEntry(200, JarAct::Settle), [8.0, 'a', 1]],
        500.0,
        8.0,
        1,
        null,
        100,
    ],
    'decanted, what is dissolved goes in proportion' => [
        [jarFill(), [8.0, 'a', 1], new JarEntry(200, JarAct::Settle), new JarEntry(300, JarAct::Decant, 400.0)],
        400.0,
        6.4,
        1,
        null,
        100,
    ],
    'filtered it all stays dissolved' => [[jarFill(), [8.0, 'a', 1], new JarEntry(300, JarAct::Filter, 500.0)], 500.0, 8.0, 1, null, 100],
    'more after than before adds nothing' => [
        [jarFill(), [8.0, 'a', 1], new JarEntry(300, JarAct::Filter, 600.0)],
        600.0,
        8.0,
        1,
        null,
        100,
    ],
    'some of it handed in' => [[jarFill(), [8.0, 'a', 1], new JarEntry(300, JarAct::HandIn, 125.0)], 375.0, 6.0, 1, null, 100],
    'all of it handed in' => [[jarFill(), [8.0, 'a', 1], new JarEntry(300, JarAct::HandIn, 500.0)], 0.0, 0.0, 0, null, null],
    'more than all' => [[jarFill(), [8.0, 'a', 1], new JarEntry(300, JarAct::HandIn, 900.0)], 0.0, 0.0, 0, null, null],
    'filled anew' => [[jarFill(), [8.0, 'a', 1], new JarEntry(200, JarAct::Settle), jarFill(700.0, atS: 400)], 700.0, 0.0, 0, null, 400],
    'an empty one that is filtered' => [[new JarEntry(300, JarAct::Filter, 50.0)], 50.0, 0.0, 0, null, null],
]);

it('keeps what the sheet says as long as that filling is in it', function (): void {
    $jar = jarAfter(jarFill(500.0, 45.0));
    expect([$jar->flashC, $jar->boilingC, $jar->solvent])->toBe([45.0, 150.0, Solvent::WhiteSpirit]);
    $jar->take(new JarEntry(200, JarAct::TopUp, 10.0));
    expect($jar->flashC)->toBe(45.0);
    $jar->take(jarFill(300.0, atS: 300));
    expect([$jar->flashC, $jar->boilingC])->toBe([null, null]);
    $jar = jarAfter(jarFill(500.0, 45.0), new JarEntry(300, JarAct::HandIn, 500.0));
    expect([$jar->flashC, $jar->boilingC, $jar->solvent])->toBe([null, null, null]);
});

it('takes into a can what is poured off, and is of that kind from then on', function (): void {
    $can = new JarCount(JarRole::Waste);
    $can->pour(200.0, 3.0, Solvent::WhiteSpirit, 50);
    $can->pour(100.0, 1.0, Solvent::Acetone, 60);
    expect([$can->volumeMl, $can->greaseG, $can->solvent, $can->filledS, $can->cleanings()])->toBe([
        300.0,
        4.0,
        Solvent::WhiteSpirit,
        50,
        0,
    ]);
});

it('takes no entry that says too little', function (Closure $make, string $path): void {
    expect($make)->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'a fill of nothing' => [fn() => new JarEntry(1, JarAct::Fill, null, Solvent::Acetone), 'volume_ml'],
    'of what' => [fn() => new JarEntry(1, JarAct::Fill, 100.0), 'solvent'],
    'nothing handed in' => [fn() => new JarEntry(1, JarAct::HandIn, 0.0), 'volume_ml'],
    'boiling below its flash' => [fn() => new JarEntry(1, JarAct::Fill, 100.0, Solvent::Acetone, 80.0, -300.0), 'boiling_c'],
]);

it(
    'asks no volume of what only stands',
    fn() => expect([(new JarEntry(1, JarAct::Settle))->volumeMl, JarAct::Settle->hasVolume(), JarAct::TopUp->hasVolume()])->toBe([
        null,
        false,
        true,
    ]),
);

it('is spent by its cleanings, settled after two days', function (?int $allowed, float $ml, int $cleanings, bool $spent): void {
    $jar = new JarState(1, JarRole::Dirty, Solvent::WhiteSpirit, $ml, 0.0, 0, $cleanings, $allowed, false, 1000, null);
    expect($jar->spent())
        ->toBe($spent)
        ->and($jar->settledS())
        ->toBe(1000 + 172_800);
})->with([
    'one left' => [10, 500.0, 9, false],
    'done' => [10, 500.0, 10, true],
    'more than done' => [10, 500.0, 11, true],
    'empty' => [10, 0.0, 10, false],
    'a can' => [null, 500.0, 99, false],
]);

/** Dirty jar 1 and clean jar 2 of white spirit, can 3, and what was washed when. @param list<JarBath> $baths */
function threeJars(array $baths, float $dirtyMl = 600.0, float $cleanMl = 600.0): JarShelf
{
    return new JarShelf(
        [1 => JarRole::Dirty, 2 => JarRole::Clean, 3 => JarRole::Waste],
        [
            1 => [new JarEntry(10, JarAct::Fill, $dirtyMl, Solvent::WhiteSpirit)],
            2 => [new JarEntry(10, JarAct::Fill, $cleanMl, Solvent::WhiteSpirit)],
        ],
        $baths,
    );
}

it('carries what a chain keeps from bath to bath of one stripping, by hand', function (): void {
    // 8 g in 600 + 15 ml: 15/615 of it stay on the chain; that goes through the clean jar, what is left through fresh alcohol into the can.
    $baths = [
        new JarBath(100, 's', 1, null, Solvent::WhiteSpirit, 600.0, 1, 8.0),
        new JarBath(110, 's', 2, null, Solvent::WhiteSpirit, 600.0, 1, 8.0),
        new JarBath(120, 's', null, 3, Solvent::IsopropylAlcohol, 200.0, 1, 8.0),
    ];
    $jars = threeJars($baths)->at(1000);
    $left = (8.0 * 15) / 615;
    expect($jars[1]->greaseG)
        ->toEqualWithDelta(8.0 - $left, 1e-12)
        ->and($jars[2]->greaseG)
        ->toEqualWithDelta($left - ($left * 15) / 615, 1e-12)
        ->and($jars[3]->greaseG)
        ->toEqualWithDelta(((($left * 15) / 615) * 200) / 215, 1e-12)
        ->and([
            $jars[3]->volumeMl,
            $jars[3]->solvent,
            $jars[3]->cleaningsAllowed,
            $jars[1]->cleanings,
            $jars[2]->cleanings,
            $jars[3]->cleanings,
        ])
        ->toBe([200.0, Solvent::IsopropylAlcohol, null, 1, 1, 0]);
    // By an instant only what came before counts; what is done with a jar at the same instant comes first.
    expect(threeJars($baths)->at(109)[2]->greaseG)
        ->toBe(0.0)
        ->and(threeJars($baths)->at(110)[2]->cleanings)
        ->toBe(1)
        ->and(threeJars($baths)->at(9)[1]->volumeMl)
        ->toBe(0.0);
    $same = new JarShelf([1 => JarRole::Dirty], [1 => [new JarEntry(100, JarAct::Fill, 500.0, Solvent::WhiteSpirit)]], [$baths[0]]);
    expect($same->at(100)[1]->cleanings)->toBe(1);
    // Two strippings do not know of each other.
    $two = threeJars([$baths[0], new JarBath(130, 't', 1, null, Solvent::WhiteSpirit, 600.0, 2, 8.0)])->at(1000);
    expect($two[1]->cleanings)->toBe(3)->and($two[1]->greaseG)->toBeGreaterThan(16.0);
});

it('washes as with fresh solvent where the jar is empty, and pours into no can that is not there', function (): void {
    $shelf = new JarShelf([1 => JarRole::Dirty], [], [new JarBath(100, 's', 1, 9, Solvent::WhiteSpirit, 300.0, 1, 8.0)]);
    $jar = $shelf->at(1000)[1];
    expect([$jar->volumeMl, $jar->cleanings, $jar->greaseG])->toEqualWithDelta([0.0, 1, (8.0 * 300) / 315], 1e-12);
});

it('does ten cleanings, or fewer where a small pair of jars leaves too much sooner', function (
    float $dirtyMl,
    float $cleanMl,
    ?int $allowed,
    bool $byCascade,
): void {
    $jars = threeJars([], $dirtyMl, $cleanMl)->at(1000);
    expect([[$jars[1]->cleaningsAllowed, $jars[1]->byCascade], [$jars[2]->cleaningsAllowed, $jars[2]->byCascade]])->toBe([
        [$allowed, $byCascade],
        [$allowed, $byCascade],
    ]);
})->with([
    // The first chain leaves 8 · (15/75)² = 0.32 g, within 5 % of 8 g; the second (6.4 + 8) · 15/75 = 2.88 g,
    // with 1.28 g in the clean jar 0.83 g.
    'large jars' => [800.0, 800.0, 10, false],
    'small ones' => [60.0, 60.0, 1, true],
]);

it('takes only a jar of the same solvent for its pair', function (): void {
    $shelf = fn(Solvent $clean, float $ml): JarState => (new JarShelf(
        [1 => JarRole::Dirty, 2 => JarRole::Clean],
        [
            1 => [new JarEntry(10, JarAct::Fill, 60.0, Solvent::WhiteSpirit)],
            2 => $ml > 0 ? [new JarEntry(10, JarAct::Fill, $ml, $clean)] : [],
        ],
        [],
    ))->at(1000)[1];
    expect([
        $shelf(Solvent::WhiteSpirit, 60.0)->byCascade,
        $shelf(Solvent::Acetone, 60.0)->byCascade,
        $shelf(Solvent::WhiteSpirit, 0.0)->byCascade,
    ])->toBe([true, false, false]);
});
