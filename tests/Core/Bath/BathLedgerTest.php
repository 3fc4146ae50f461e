<?php

declare(strict_types=1);

use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathLedger;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * @param list<array<string, mixed>> $events dated one a day if they have no date @param array<string, mixed> $with @return array<string,
 * mixed>
 */
function bath(array $events, array $with = []): array
{
    $dated = array_map(
        fn(array $event, int $day) => $event + ['at' => sprintf('2026-01-%02dT12:00:00Z', $day + 1)],
        $events,
        array_keys($events),
    );

    return (new BathLedger())->compute(
        Fields::fromJson((string) json_encode($with + ['vessel' => ['diameter_mm' => 120, 'height_mm' => 90], 'events' => $dated])),
    );
}

/** @return array<string, mixed> */
function newFill(float $waxG = 420, float $oilG = 0): array
{
    return ['kind' => 'fill', 'wax_g' => $waxG, 'oil_g' => $oilG];
}

/** @return array<string, mixed> one chain in the bath */
function oneDip(float $km = 0, bool $rinsed = false, ?float $pickupG = null, float $massG = 254): array
{
    return ['kind' => 'dip', 'chains' => [['mass_g' => $massG, 'pickup_g' => $pickupG, 'effective_km' => $km, 'rinsed' => $rinsed]]];
}

it('keeps the book of a bath by hand', function (): void {
    // 420 g in 113.1 cm²: 545.5 ml, 48.2 mm.
    $area = (M_PI / 4) * 120 ** 2;
    $fresh = bath([newFill()]);
    expect($fresh)
        ->toMatchArray([
            'wax_g' => 420.0,
            'oil_fraction' => 0.0,
            'dips' => 0,
            'covers_chain' => true,
            'overflow' => false,
            'grit' => 0.0,
            'max_c' => null,
            'overheated' => false,
            'next' => 'ok',
        ])
        ->and($fresh['depth_mm'])
        ->toEqualWithDelta((1000 * 420) / 0.77 / $area, 1e-9)
        // Covered by 261.3 g: 158.7 g to spare, 6 g a dip.
        ->and($fresh['dips_left'])
        ->toBe(26);

    $used = bath([newFill(), oneDip(300), oneDip(400, true, 5.0), oneDip(0, false, 4.0, 300)]);
    expect($used['wax_g'])
        ->toEqualWithDelta(420 - 6 - 5 - 4, 1e-9)
        ->and($used['dips'])
        ->toBe(3)
        ->and($used['grit'])
        ->toEqualWithDelta((0.3 * 500) / 420 + (0.4 * 0.3 * 500) / 414, 1e-12)
        // The heaviest chain of the batch lies in it.
        ->and($used['depth_mm'])
        ->toEqualWithDelta((1000 * (405 / 0.77 + 300 / 7.85)) / $area, 1e-9)
        // From now on 4.5 g a dip, the mean of what was weighed.
        ->and($used['dips_left'])
        ->toBe((int) floor((405 - ((30 * $area) / 1000 - 300 / 7.85) * 0.77) / 4.5));

    // What leaves, leaves in proportion: a tenth of the mixture is oil, before and after.
    $soft = bath([
        newFill(450, 50),
        ['kind' => 'remove', 'wax_g' => 100],
        oneDip(0, false, 10.0),
        ['kind' => 'top_up', 'wax_g' => 110, 'oil_g' => 0],
    ]);
    expect($soft['wax_g'])
        ->toEqualWithDelta(500, 1e-9)
        ->and($soft['oil_fraction'])
        ->toEqualWithDelta(39 / 500, 1e-12);
    // Exactly nothing left is allowed, and is no longer a bath.
    expect(bath([newFill(100), ['kind' => 'remove', 'wax_g' => 100]]))->toMatchArray([
        'wax_g' => 0.0,
        'oil_fraction' => 0.0,
        'covers_chain' => false,
        'dips_left' => 0,
        'next' => 'top_up',
    ]);
});

it('says what the bath wants, the most pressing first', function (array $events, array $with, string $next): void {
    expect(bath($events, $with)['next'])->toBe($next);
})->with([
    'nothing' => [[newFill(), oneDip(300)], [], 'ok'],
    'wax, when a coil is no longer covered' => [[newFill(250)], [], 'top_up'],
    'wax, when one dip is left' => [[newFill(272)], [], 'top_up'],
    'two are enough' => [[newFill(274)], [], 'ok'],
    'a filter, when the grit is past its limit' => [[newFill(), ...array_fill(0, 12, oneDip(300))], [], 'filter'],
    'not at the limit itself' => [[newFill(500), oneDip(4000)], [], 'ok'],
    'nothing, once it is filtered' => [[newFill(), ...array_fill(0, 12, oneDip(300)), ['kind' => 'filter']], [], 'ok'],
    'new wax, when two filterings did not help' => [
        [
            newFill(),
            ...array_fill(0, 12, oneDip(300)),
            ['kind' => 'filter', 'removed_fraction' => 0],
            ['kind' => 'filter', 'removed_fraction' => 0],
        ],
        [],
        'replace',
    ],
    'new wax, when it was too hot' => [[newFill(), ['kind' => 'reading', 'temp_c' => 100.2]], [], 'replace'],
    'not at the limit itself, warm' => [[newFill(), ['kind' => 'reading', 'temp_c' => 100]], [], 'ok'],
    'a sensitive additive is spoilt sooner' => [[newFill(), ['kind' => 'reading', 'temp_c' => 91]], ['limit_c' => 90], 'replace'],
    'a new fill forgets it all' => [
        [newFill(), ['kind' => 'reading', 'temp_c' => 140], ...array_fill(0, 12, oneDip(300)), newFill(430)],
        [],
        'ok',
    ],
]);

it('counts what practice counts: a block of 60 g of blend, well drained, does four or five chains from new', function (): void {
    // Common practice; in a small pot, the chain coiled flat (20 mm), at the house rule of 6 g a dip.
    $block = bath(
        [newFill(60), oneDip(0, false, null, 250)],
        ['vessel' => ['diameter_mm' => 70, 'height_mm' => 60], 'coil_height_mm' => 20],
    );
    expect($block['dips'] + $block['dips_left'])
        ->toBeGreaterThanOrEqual(4)
        ->toBeLessThanOrEqual(5);
});

it('overflows when a chain lies in a pot that is too full', function (): void {
    expect(bath([newFill(770)], ['vessel' => ['diameter_mm' => 120, 'height_mm' => 90]])['overflow'])
        ->toBeFalse()
        ->and(bath([newFill(790)])['overflow'])
        ->toBeTrue()
        ->and(bath([newFill(770), oneDip(0, false, 0.0)])['overflow'])
        ->toBeTrue();
});

it('calls nothing too hot, too dirty or too shallow that is just at its bound', function (
    array $events,
    string $bound,
    float $value,
    float $beyond,
    string $figure,
    mixed $within,
    mixed $past,
): void {
    expect([bath($events, [$bound => $value])[$figure], bath($events, [$bound => $beyond])[$figure]])->toBe([$within, $past]);
})->with([
    'at its limit' => [[newFill(), ['kind' => 'reading', 'temp_c' => 96]], 'limit_c', 96.0, 95.999, 'overheated', false, true],
    'as gritty as it may be' => [[newFill(500), oneDip(3000)], 'grit_limit', 3.0, 2.999, 'next', 'ok', 'filter'],
    // 420 g stand 48.23 mm deep.
    'as deep as the coil' => [
        [newFill()],
        'coil_height_mm',
        420_000 / 0.77 / (M_PI * 60 ** 2),
        420_000 / 0.77 / (M_PI * 60 ** 2) + 0.001,
        'covers_chain',
        true,
        false,
    ],
]);

it('counts the very last dip', function (): void {
    // Steel alone covers a coil of 2 mm, so all of it may go: 495 g, 5 g a dip.
    expect(bath([newFill(500), oneDip(0, false, 5.0)], ['coil_height_mm' => 2])['dips_left'])->toBe(99);
});

it('is filled to the brim before it runs over', function (): void {
    $brim = 420_000 / 0.77 / (M_PI * 60 ** 2);
    $of = fn(float $height) => bath([newFill()], ['vessel' => ['diameter_mm' => 120, 'height_mm' => $height]])['overflow'];
    expect([$of($brim), $of($brim - 0.001)])->toBe([false, true]);
});

it('can be emptied to the last gram and no further, and takes no grit then', function (): void {
    $empty = [newFill(100, 4), ['kind' => 'remove', 'wax_g' => 104]];
    expect(bath($empty))
        ->toMatchArray(['wax_g' => 0.0, 'oil_fraction' => 0.0, 'dips_left' => 0, 'covers_chain' => false, 'next' => 'top_up'])
        ->and(bath([...$empty, oneDip(500, false, 0.0)])['grit'])
        ->toBe(0.0)
        ->and(fn() => bath([newFill(100, 4), ['kind' => 'remove', 'wax_g' => 104.001]]))
        ->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe('events.1.wax_g'));
});

it('counts what was weighed in this batch before the rule, and forgets it with the batch', function (): void {
    // Two weighed at 4 and 8 g: the third takes 6.0 of them both, whatever the rule says; after a new fill the rule again.
    $weighed = [newFill(), oneDip(pickupG: 4), oneDip(pickupG: 8), oneDip()];
    // A chain of which it is known takes what it always does, and is no weighing: the next takes the mean of the two.
    $usual = oneDip();
    $usual['chains'][0]['usual_g'] = 3;
    expect(bath([...$weighed, $usual, oneDip()])['wax_g'])->toEqualWithDelta(420.0 - 4 - 8 - 6 - 3 - 6, 1e-9);
    $usual['chains'][0]['pickup_g'] = 10;
    expect(bath([newFill(), $usual])['wax_g'])->toEqualWithDelta(410.0, 1e-9);
    expect(bath($weighed, ['pickup_default_g' => 20])['wax_g'])
        ->toEqualWithDelta(420 - 18, 1e-9)
        ->and(bath([newFill(), oneDip(pickupG: 4), newFill(), oneDip()], ['pickup_default_g' => 20])['wax_g'])
        ->toEqualWithDelta(400, 1e-9)
        ->and(bath([newFill(), oneDip(pickupG: 0), oneDip()], ['pickup_default_g' => 20])['wax_g'])
        ->toEqualWithDelta(400, 1e-9); // Nothing came along, so nothing is known.
});

it('loses no gram, no oil and no grit but by what the book says', function (): void {
    $dice = new Randomizer(new Mt19937(5));
    for ($try = 0; $try < 200; $try++) {
        $events = [newFill($dice->getInt(300, 900), $dice->getInt(0, 90))];
        [$mass, $pickups] = [$events[0]['wax_g'] + $events[0]['oil_g'], 0.0];
        for ($n = $dice->getInt(1, 25); $n > 0; $n--) {
            $grams = $dice->getInt(1, 9) / 2;
            $event = match ($dice->getInt(0, 4)) {
                0 => ['kind' => 'top_up', 'wax_g' => $dice->getInt(5, 90), 'oil_g' => $dice->getInt(0, 5)],
                1 => ['kind' => 'filter', 'removed_fraction' => $dice->getInt(0, 10) / 10],
                2 => ['kind' => 'remove', 'wax_g' => $grams],
                default => oneDip($dice->getInt(0, 500), $dice->getInt(0, 1) === 1, $grams),
            };
            $mass += match ($event['kind']) {
                'top_up' => $event['wax_g'] + $event['oil_g'],
                'filter' => 0.0,
                default => -$grams,
            };
            $events[] = $event;
        }
        $result = bath($events);
        expect($result['wax_g'])
            ->toEqualWithDelta($mass, 1e-9)
            ->and($result['oil_fraction'])
            ->toBeGreaterThanOrEqual(0)
            ->toBeLessThan(0.4)
            ->and($result['grit'])
            ->toBeGreaterThanOrEqual(0);
        // A filter of nothing and a reading change nothing of it.
        $same = bath([...$events, ['kind' => 'filter', 'removed_fraction' => 0], ['kind' => 'reading', 'temp_c' => 60]]);
        expect([$same['wax_g'], $same['oil_fraction'], $same['grit'], $same['dips']])->toBe([
            $result['wax_g'],
            $result['oil_fraction'],
            $result['grit'],
            $result['dips'],
        ]);
        // Diluted by as much again, it is half as gritty.
        expect(bath([...$events, ['kind' => 'top_up', 'wax_g' => $result['wax_g']]])['grit'])->toEqualWithDelta($result['grit'] / 2, 1e-9);
    }
});

it('says what cannot be, and where', function (array $events, array $with, string $path): void {
    expect(fn() => bath($events, $with))->toThrow(fn(InvalidInput $e) => expect($e->path)->toBe($path));
})->with([
    'no book' => [[], [], 'events'],
    'a book that begins with a dip' => [[oneDip()], [], 'events.0.kind'],
    'out of order' => [[newFill() + ['at' => '2026-02-01T12:00:00Z'], oneDip()], [], 'events.1.at'],
    'more than is in it' => [[newFill(100), ['kind' => 'remove', 'wax_g' => 100.1]], [], 'events.1.wax_g'],
    'the last chain takes what is not there' => [[newFill(10), oneDip(0, false, 6), oneDip(0, false, 6)], [], 'events.2.chains.0.pickup_g'],
    'a filter that takes more than all' => [[newFill(), ['kind' => 'filter', 'removed_fraction' => 1.1]], [], 'events.1.removed_fraction'],
    'a fill of nothing' => [[newFill(0)], [], 'events.0.wax_g'],
    'a dip of no chain' => [[newFill(), ['kind' => 'dip', 'chains' => []]], [], 'events.1.chains'],
    'a field of another event' => [[newFill() + ['temp_c' => 60]], [], 'events.0.temp_c'],
    'no pot' => [[newFill()], ['vessel' => ['diameter_mm' => 0, 'height_mm' => 90]], 'vessel.diameter_mm'],
    'a time without its zone' => [[newFill() + ['at' => '2026-01-01T12:00:00']], [], 'events.0.at'],
]);

it('takes lamp oil alone for oil, and none along into a bath that was emptied', function (): void {
    $filled = BathEvent::fill(0.0, 400.0);
    $ledger = fn(BathEvent ...$events) => (new BathLedger())(new BathLedgerInput(new Vessel(120, 90), [$filled, ...array_values($events)]));
    expect([$ledger(BathEvent::oil(1.0, 16.0))->waxG, $ledger(BathEvent::oil(1.0, 16.0))->oilFraction])
        ->toBe([416.0, 16.0 / 416.0])
        ->and($ledger(BathEvent::oil(1.0, 16.0), BathEvent::remove(2.0, 416.0), BathEvent::topUp(3.0, 300.0))->oilFraction)
        ->toBe(0.0)
        ->and(fn() => BathEvent::oil(1.0, 0.0))
        ->toThrow(InvalidInput::class);
});
