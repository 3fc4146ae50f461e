<?php

declare(strict_types=1);

use Dripel\Core\Chain\ChainLength;
use Dripel\Core\Chain\ChainLengthInput;
use Dripel\Core\Chain\ChainLoop;
use Dripel\Core\Chain\ChainMatch;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** The length of a taut loop around two pitch circles, told by walking it in small steps: mm along its convex hull. */
function walkedLoop(float $centresMm, int $front, int $rear): float
{
    $points = [];
    foreach ([[0.0, $rear], [$centresMm, $front]] as [$x, $teeth]) {
        $radius = 12.7 / (2 * sin(M_PI / $teeth));
        for ($i = 0; $i < 3000; $i++) {
            $points[] = [$x + $radius * cos((2 * M_PI * $i) / 3000), $radius * sin((2 * M_PI * $i) / 3000)];
        }
    }
    sort($points);
    $half = function (array $points): array {
        $hull = [];
        foreach ($points as $point) {
            while (
                ($n = count($hull)) >= 2 &&
                ($hull[$n - 1][0] - $hull[$n - 2][0]) * ($point[1] - $hull[$n - 2][1]) <=
                    ($hull[$n - 1][1] - $hull[$n - 2][1]) * ($point[0] - $hull[$n - 2][0])
            ) {
                array_pop($hull);
            }
            $hull[] = $point;
        }

        return $hull;
    };
    $length = 0.0;
    foreach ([$half($points), $half(array_reverse($points))] as $side) {
        for ($i = 1; $i < count($side); $i++) {
            $length += hypot($side[$i][0] - $side[$i - 1][0], $side[$i][1] - $side[$i - 1][1]);
        }
    }

    return $length;
}

it('agrees with a loop walked in small steps, whichever of the two is larger', function (float $chainstay, int $front, int $rear): void {
    $result = (new ChainLength())(new ChainLengthInput($chainstay, $front, $rear, false));
    expect($result->exactPitches)->toEqualWithDelta(walkedLoop($chainstay, $front, $rear) / 12.7, 1e-3);
})->with([
    'road' => [410.0, 50, 34],
    'mountain' => [435.0, 32, 51],
    'alike' => [420.0, 16, 16],
    'long' => [1200.0, 53, 11],
]);

it('agrees with the handbook formula within 0.1 pitch over the usual range', function (): void {
    $worst = 0.0;
    foreach ([395.0, 410.0, 430.0, 460.0] as $chainstay) {
        foreach ([30, 32, 34, 36, 38, 40, 42, 44, 46, 48, 50, 52, 53] as $front) {
            foreach ([16, 18, 21, 25, 28, 30, 32, 34, 36, 40, 42, 46, 50, 52] as $rear) {
                $result = (new ChainLength())(new ChainLengthInput($chainstay, $front, $rear, true));
                $worst = max($worst, abs($result->exactPitches - $result->handbookPitches));
                // Two more for the derailleur, up to the next even number and no further.
                expect($result->pitches % 2)
                    ->toBe(0)
                    ->and($result->pitches)
                    ->toBeGreaterThanOrEqual($result->exactPitches + 2)
                    ->and($result->pitches)
                    ->toBeLessThan($result->exactPitches + 4);
            }
        }
    }
    expect($worst)->toBeLessThan(0.1)->toBeGreaterThan(0.001);
});

it('works out the example of the roller-chain handbooks (from memory): 17 and 57 teeth, 40 pitches apart', function (): void {
    // 2 · 40 + (17 + 57) / 2 + ((57 − 17) / 2π)² / 40 = 80 + 37 + 1.013
    $result = (new ChainLength())(new ChainLengthInput(40 * 12.7, 17, 57, false));
    expect($result->handbookPitches)->toEqualWithDelta(118.013, 0.001)->and($result->pitches)->toBe(120);
});

it('keeps an even count that fits exactly', function (): void {
    // Equal rings, 2C/p + z by the handbook; by geometry the circles are a hair longer than their teeth.
    $exact = (new ChainLength())(new ChainLengthInput(400.0, 16, 16, false))->exactPitches;
    $chainstay = 400.0 + ((ceil($exact / 2) * 2 - $exact) * 12.7) / 2;
    $fits = (new ChainLength())(new ChainLengthInput($chainstay, 16, 16, false));
    expect($fits->pitches)->toBe((int) round($fits->exactPitches));
});

it('says how far the axle moves until an even count fits exactly', function (): void {
    $in = new ChainLengthInput(395.5, 44, 16, false);
    $model = new ChainLength();
    $exact = $model($in)->exactPitches;
    foreach ([$model($in)->pitches, $model($in)->pitches - 2] as $pitches) {
        $moved = new ChainLengthInput(395.5 + $model->axleMoveMm($in, $pitches), 44, 16, false);
        expect($model($moved)->exactPitches)->toEqualWithDelta($pitches, 1e-6);
        // Either run takes up half of what is missing, a little more where they lean.
        expect($model->axleMoveMm($in, $pitches))->toEqualWithDelta((($pitches - $exact) * 12.7) / 2, 0.2);
    }
});

it('draws the runs where they touch both circles at a right angle', function (int $front, int $rear): void {
    $loop = ChainLoop::of(new ChainLengthInput(410, $front, $rear, true));
    $runX = $loop->frontTouchXMm - $loop->rearTouchXMm;
    $runY = $loop->frontTouchYMm - $loop->rearTouchYMm;
    expect(hypot($loop->rearTouchXMm, $loop->rearTouchYMm))
        ->toEqualWithDelta($loop->rearRadiusMm, 1e-9)
        ->and(hypot($loop->frontTouchXMm - 410, $loop->frontTouchYMm))
        ->toEqualWithDelta($loop->frontRadiusMm, 1e-9)
        ->and($runX * $loop->rearTouchXMm + $runY * $loop->rearTouchYMm)
        ->toEqualWithDelta(0, 1e-6)
        ->and($runX * ($loop->frontTouchXMm - 410) + $runY * $loop->frontTouchYMm)
        ->toEqualWithDelta(0, 1e-6);
})->with([[50, 34], [32, 51], [16, 16]]);

it('counts the quick link in when a new chain is laid beside the old one', function (
    string $old,
    string $new,
    int $cut,
    string $note,
): void {
    $result = (new ChainMatch())->compute(Fields::fromJson("{\"old_pitches\":114,\"old_joint\":\"{$old}\",\"new_joint\":\"{$new}\"}"));
    expect($result)->toBe(['pitches' => 114, 'cut_to_pitches' => $cut, 'note' => $note]);
})->with([
    ['pin', 'quick_link', 113, 'link_replaces_outer'],
    ['quick_link', 'quick_link', 113, 'like_the_old'],
    ['pin', 'pin', 114, 'like_the_old'],
    ['quick_link', 'pin', 114, 'pin_needs_the_outer'],
]);

it('says what cannot be, and where', function (string $model, string $json, string $path): void {
    expect(fn() => (new $model())->compute(Fields::fromJson($json)))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'ring and sprocket touch' => [
        ChainLength::class,
        '{"chainstay_mm":150,"front_teeth":50,"rear_teeth":30,"derailleur":true}',
        'chainstay_mm',
    ],
    'half a tooth' => [ChainLength::class, '{"chainstay_mm":410,"front_teeth":50.5,"rear_teeth":30,"derailleur":true}', 'front_teeth'],
    'four teeth' => [ChainLength::class, '{"chainstay_mm":410,"front_teeth":50,"rear_teeth":4,"derailleur":true}', 'rear_teeth'],
    'a derailleur that is a number' => [
        ChainLength::class,
        '{"chainstay_mm":410,"front_teeth":50,"rear_teeth":30,"derailleur":1}',
        'derailleur',
    ],
    'a misspelt field' => [ChainLength::class, '{"chain_stay_mm":410,"front_teeth":50,"rear_teeth":30,"derailleur":true}', 'chain_stay_mm'],
    'an odd count' => [ChainMatch::class, '{"old_pitches":113,"old_joint":"pin","new_joint":"pin"}', 'old_pitches'],
    'a joint that is none' => [ChainMatch::class, '{"old_pitches":114,"old_joint":"wire","new_joint":"pin"}', 'old_joint'],
]);
