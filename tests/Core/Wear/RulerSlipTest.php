<?php

declare(strict_types=1);

use Dripel\Core\Wear\RulerReading;
use Dripel\Core\Wear\RulerSlip;
use Dripel\Core\Wear\TypedLength;

it('reads a length as it is typed, in millimetres or inches', function (string $text, ?float $mm): void {
    $read = TypedLength::mm($text);
    $mm === null ? expect($read)->toBeNull() : expect($read)->toEqualWithDelta($mm, 1e-9);
})->with([
    ['585.4', 585.4],
    ['585,4 mm', 585.4],
    [' 305 ', 305.0],
    ['12 1/16"', 306.3875],
    ['12 1/16 in', 306.3875],
    ['23.07in', 585.978],
    ['23″', 584.2],
    ['12 1/0"', null],
    ['12 1/16', null],
    ['long', null],
    ['-5', null],
    ['', null],
]);

it('tells a slip from a worn chain', function (int $pitches, float $lengthMm, ?RulerSlip $slip): void {
    expect((new RulerReading($pitches, $lengthMm))->slip())->toBe($slip);
})->with([
    'as new' => [46, 584.2, null],
    'worn' => [46, 590.0, null],
    'a hair short, within play and rule' => [46, 583.3, null],
    'not pulled straight' => [46, 582.0, RulerSlip::Short],
    // 23 1/16 in are 585.8 mm.
    'as long as a chain can be' => [46, 46 * 12.7 * 1.03, null],
    'longer than a chain can be' => [46, 46 * 12.7 * 1.03 + 1e-6, RulerSlip::Miscounted],
    'inches' => [46, 23.0625, RulerSlip::Inches],
    'a pitch too few on the rule' => [46, 572.0, RulerSlip::Miscounted],
    'two pitches too many' => [46, 610.0, RulerSlip::Miscounted],
    'twelve inches over 24 pitches' => [24, 12.06, RulerSlip::Inches],
]);
