<?php

declare(strict_types=1);

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathLedger;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\ChainPickup;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Cost\ChainLife;
use Dripel\Core\Cost\CostPoint;
use Dripel\Core\Cost\CostSum;
use Dripel\Core\Cost\Expense;
use Dripel\Core\Cost\PlainDrip;
use Dripel\Core\Cost\Price;
use Dripel\Core\Cost\PriceList;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\SupplyUnit;
use Dripel\Core\Cost\WorkDone;
use Dripel\Core\Cost\WorkshopCosts;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Logbook\Strip;
use Dripel\Core\Logbook\TopUp;
use Dripel\Core\Logbook\WaxThen;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\SolventBought;

/** Noon of a day of November 2026, UTC. */
function noon(int $day, int $month = 11, int $year = 2026): int
{
    return (int) gmmktime(12, 0, 0, $month, $day, $year);
}

function priced(int $day, string|Supply $supply, int $minor, float $quantity, int $id = 1): Price
{
    return new Price($id, $supply instanceof Supply ? $supply : Supply::from($supply), noon($day), $minor, $quantity);
}

/**
 * Two bikes. 1 rides chain 11 (new, its own price, dipped on the 2nd and the 10th) and from the 10th chain 12 (came with 900 km); 2 rides
 * chain 21, whose price is only in the list. A cassette of its own price on 1, a spare link that 11 opened, jockey wheels that came used.
 */
function costly(): Book
{
    $at = fn(int $day, int $sequence = 0): Moment => new Moment(noon($day), sequence: $sequence);
    $set = fn(SettingKey $key, int $subject, mixed $value): DatedSetting => new DatedSetting($key, $subject, new Moment(0), $value);

    return new Book(
        [1, 2],
        [11, 12, 21],
        new Settings([
            $set(SettingKey::ChainHome, 11, 1),
            $set(SettingKey::ChainHome, 12, 1),
            $set(SettingKey::ChainHome, 21, 2),
            $set(SettingKey::ChainPrice, 11, 4000),
            $set(SettingKey::PartPrice, 31, 5500),
            $set(SettingKey::LinkPrice, 33, 700),
        ]),
        [
            new Fitting(1, $at(2, 1), 1, 11),
            new Fitting(2, $at(3), 2, 21),
            new Fitting(3, $at(10, 1), 1, 12),
            new Fitting(4, $at(2, 2), 1, 31, Slot::Cassette),
        ],
        [
            new Ride(1, $at(4), 1, 100.0, null, Condition::Dry),
            new Ride(2, $at(5), 2, 40.0, null, Condition::Dry),
            new Ride(3, $at(12), 1, 60.0, null, Condition::Dry),
            new Ride(4, new Moment(noon(15, 11, 2025)), null, 10.0, null, Condition::Dry),
        ],
        [
            new Dip(1, $at(2), 11),
            new Dip(2, $at(10), 11, potId: 5, pickupG: 8.0),
            new Dip(3, $at(10), 21, potId: 5),
            new Opening(4, $at(9), 12, 900.0, WaxThen::Known, 100.0),
            new TopUp(5, $at(6), 11, 50.0, 4.0),
            new TopUp(6, $at(7), 21, 50.0),
            new Opening(7, $at(2), 31, 0.0),
            new Opening(8, $at(2), 32, 3000.0),
            new Opening(9, $at(2), 33, 0.0),
        ],
        parts: [new Part(31, PartKind::Cassette), new Part(32, PartKind::JockeyWheels), new Part(33, PartKind::QuickLink, chainId: 11)],
    );
}

function listed(): PriceList
{
    return new PriceList([
        priced(1, 'chain', 3000, 1),
        // From the 8th on wax is dearer.
        priced(8, 'wax', 1400, 500, 2),
        priced(1, 'wax', 1000, 500, 3),
        priced(1, 'drip_wax', 1200, 120),
        priced(1, 'white_spirit', 400, 1000),
    ]);
}

it('takes each thing at the price of its day, its own before that of the list, and leaves out what came used', function (): void {
    $solvents = [
        new SolventBought(noon(3), Solvent::WhiteSpirit, 500),
        new SolventBought(noon(3), Solvent::Water, 500),
        new SolventBought(noon(20), Solvent::WhiteSpirit, 500),
    ];
    $costs = WorkshopCosts::of(costly(), listed(), DipPickup::of([]), $solvents, noon(13));
    $lines = array_map(
        fn(Expense $one) => sprintf(
            '%s %s %s %s %s',
            gmdate('j', $one->atS),
            $one->supply->value,
            $one->minor ?? '?',
            $one->bikeId ?? '-',
            $one->chainId ?? '-',
        ),
        $costs->expenses,
    );
    sort($lines);
    // A dip that nobody weighed takes 6 g (house rule); 4 ml were dripped once, the other time a drop on each of 114 rollers: 5.7 ml.
    expect($lines)->toBe([
        '10 wax 17 2 21',
        '10 wax 22 1 11',
        '2 cassette 5500 1 -',
        '2 chain 4000 1 11',
        '2 quick_link 700 1 11',
        '2 wax 12 1 11',
        '3 white_spirit 200 - -',
        '5 chain 3000 2 21',
        '6 drip_wax 40 1 11',
        '7 drip_wax 57 2 21',
    ]);
    expect(array_column($costs->expenses, 'atS'))
        ->toBe(collect_sorted(array_column($costs->expenses, 'atS')))
        ->and($costs->sum()->minor())
        ->toBe(17 + 22 + 5500 + 4000 + 700 + 12 + 200 + 3000 + 40 + 57)
        ->and($costs->byBike([1, 2])[2]->minor())
        ->toBe(17 + 3000 + 57)
        ->and($costs->sum()->km)
        ->toBe(210.0)
        ->and($costs->byBike([1, 2])[1]->km)
        ->toBe(160.0)
        // The ride of no bike, and the spirit that is for all of them.
        ->and([$costs->byBike([1, 2])[0]->km, $costs->byBike([1, 2])[0]->minor()])
        ->toBe([10.0, 200])
        ->and($costs->besideChains()->minor([Supply::Cassette]))
        ->toBe(5500)
        ->and($costs->forChain(21)->minor())
        ->toBe(17 + 3000 + 57)
        ->and(array_map(fn(CostSum $sum) => $sum->km, $costs->byYear()))
        ->toBe([2026 => 200.0, 2025 => 10.0])
        ->and($costs->unpriced([Supply::Acetone]))
        ->toBe([Supply::Acetone]);
});

/** @param list<int> $of @return list<int> */
function collect_sorted(array $of): array
{
    sort($of);

    return $of;
}

it('looks no further than its instant, and names what has no price instead of guessing it', function (): void {
    $costs = WorkshopCosts::of(
        costly(),
        new PriceList([priced(1, 'wax', 1000, 500)]),
        DipPickup::of([]),
        [new SolventBought(noon(2), Solvent::Acetone, 100)],
        noon(2),
    );
    expect(array_map(fn(Expense $one) => [$one->supply->value, $one->minor], $costs->expenses))
        ->toEqualCanonicalizing([['chain', 4000], ['wax', 12], ['cassette', 5500], ['quick_link', 700], ['acetone', null]])
        ->and($costs->unpriced())
        ->toBe([Supply::Acetone])
        ->and($costs->sum()->minor())
        ->toBe(10_212)
        ->and($costs->sum()->km)
        ->toBe(10.0);
    $later = WorkshopCosts::of(costly(), new PriceList([]), DipPickup::of([]), [], noon(13));
    expect(array_map(fn(Supply $one) => $one->value, $later->unpriced()))
        ->toEqualCanonicalizing(['chain', 'wax', 'drip_wax'])
        ->and($later->ofChain(11, [Supply::Chain]))
        ->toBe(4000)
        ->and($later->ofChain(11, [Supply::Chain, Supply::Wax]))
        ->toBeNull()
        ->and($later->ofChain(12, [Supply::Chain]))
        ->toBe(0)
        ->and($later->ofChain(99, [Supply::Chain]))
        ->toBe(0);
});

it('takes a part without a price of its own for one of the list, and leaves out of one rider’s what is of no bike', function (): void {
    $at = fn(int $day): Moment => new Moment(noon($day));
    $book = new Book(
        [1, 2],
        [],
        new Settings([
            new DatedSetting(SettingKey::BikeRider, 1, new Moment(0), 'Mo'),
            new DatedSetting(SettingKey::BikeRider, 2, new Moment(0), 'Ada'),
        ]),
        [new Fitting(1, $at(2), 1, 31, Slot::Cassette)],
        [
            new Ride(1, $at(4), 1, 100.0, null, Condition::Dry),
            new Ride(2, $at(5), 2, 40.0, null, Condition::Dry),
            new Ride(3, $at(6), null, 7.0, null, Condition::Dry),
        ],
        [new Opening(7, $at(2), 31, 0.0)],
        parts: [new Part(31, PartKind::Cassette)],
    );
    $spirit = [new SolventBought(noon(3), Solvent::WhiteSpirit, 500)];
    $prices = new PriceList([priced(1, 'cassette', 12000, 2), priced(1, 'white_spirit', 400, 1000, 2)]);
    $costs = WorkshopCosts::of($book, $prices, DipPickup::of([]), $spirit, noon(13));
    $riders = Riders::of($book);
    $sums = array_map(
        function (?string $rider) use ($costs, $riders): array {
            $sum = $costs->only($rider === null ? Whose::all() : Whose::rider($riders, $rider))->sum();

            return [$sum->minor(), $sum->km];
        },
        [null, 'Mo', 'Ada'],
    );
    expect($sums)->toBe([[6200, 147.0], [6000, 100.0], [0, 40.0]]);
});

it('counts money by the thousand kilometres only where there are both', function (): void {
    expect([
        (new CostSum(['wax' => 500], 250.0))->per1000Km(),
        (new CostSum([], 250.0))->per1000Km(),
        (new CostSum(['wax' => 500]))->per1000Km(),
        (new CostSum(['wax' => 1], 1.0))->per1000Km(),
    ])->toBe([2000.0, null, null, 1000.0]);
});

it('puts a year where its local day is', function (): void {
    $book = new Book(
        [],
        [],
        new Settings([new DatedSetting(SettingKey::TimeZone, 0, new Moment(0), 'Europe/Berlin')]),
        [],
        [new Ride(1, new Moment((int) gmmktime(23, 30, 0, 12, 31, 2025)), null, 5.0, null, Condition::Dry)],
        [],
    );
    expect(array_keys(WorkshopCosts::of($book, new PriceList([]), DipPickup::of([]), [], noon(1))->byYear()))->toBe([2026]);
    // Bought in the last and the first second of a year, long before the first ride of the next but one and long after it.
    $spirit = fn(int $year, int $second): SolventBought => new SolventBought(
        gmmktime(23, 0, $second, 12, 31, $year),
        Solvent::WhiteSpirit,
        1000.0,
    );
    $years = WorkshopCosts::of(
        $book,
        new PriceList([priced(1, 'white_spirit', 800, 1000)]),
        DipPickup::of([]),
        [$spirit(2022, -1), $spirit(2022, 0), $spirit(2025, -1), $spirit(2026, -1), $spirit(2026, 0), $spirit(2028, 0)],
        noon(1, 6, 2029),
    )->byYear();
    expect(array_map(fn(CostSum $year) => $year->minor(), $years))->toEqual([
        2022 => 800,
        2023 => 800,
        2025 => 800,
        2026 => 800,
        2027 => 800,
        2029 => 800,
    ]);
});

it('adds up by month, from the first that something was paid in to the last, over the end of a year', function (): void {
    $book = new Book([], [], new Settings([]), [], [], []);
    $bought = fn(int $day, int $month, int $year): SolventBought => new SolventBought(
        noon($day, $month, $year),
        Solvent::WhiteSpirit,
        1000.0,
    );
    $prices = new PriceList([priced(1, 'white_spirit', 800, 1000)]);
    $months = fn(array $solvents): array => WorkshopCosts::of($book, $prices, DipPickup::of([]), $solvents, noon(30, 3, 2027))->months();
    expect($months([]))
        ->toBe([])
        ->and($months([$bought(3, 11, 2026), $bought(20, 11, 2026), $bought(1, 2, 2027)]))
        ->toBe(['2026-11' => 1600, '2026-12' => 0, '2027-01' => 0, '2027-02' => 800]);
});

it('tells the life of a chain in figures, by what was noted of it', function (): void {
    $book = costly();
    $costs = WorkshopCosts::of($book, listed(), DipPickup::of([]), [], noon(13));
    $life = ChainLife::of($book, $book->chain(11, noon(13)), $costs);
    expect([$life->km->km, $life->rides, $life->dips, $life->topUps, $life->firstS, $life->cameUsed])
        ->toBe([100.0, 1, 2, 1, noon(2), false])
        ->and([$life->chainMinor, $life->linksMinor, $life->waxMinor, $life->dripMinor, $life->totalMinor()])
        ->toBe([4000, 700, 34, 40, 4774])
        ->and($life->per1000KmMinor())
        ->toBe(47_740.0);
    // What it cost before it came is not known; a chain that never moved has no price a kilometre.
    $used = ChainLife::of($book, $book->chain(12, noon(13)), $costs);
    expect([$used->cameUsed, $used->km->km, $used->totalMinor(), $used->per1000KmMinor()])->toBe([true, 960.0, 0, null]);
    $unridden = ChainLife::of($book, $book->chain(11, noon(2)), WorkshopCosts::of($book, listed(), DipPickup::of([]), [], noon(2)));
    expect([$unridden->km->km, $unridden->totalMinor(), $unridden->per1000KmMinor()])->toBe([0.0, 4712, null]);
    foreach ([[], [priced(1, 'wax', 1, 1)]] as $known) {
        expect(
            ChainLife::of(
                $book,
                $book->chain(11, noon(13)),
                WorkshopCosts::of($book, new PriceList($known), DipPickup::of([]), [], noon(13)),
            )->totalMinor(),
        )->toBeNull();
    }
});

it('takes a chain to be there since it was bought, else since it is heard of', function (): void {
    $book = costly();
    expect([ChainLife::firstS($book, 11, noon(13)), ChainLife::firstS($book, 11, noon(1)), ChainLife::firstS($book, 21, noon(5))])->toBe([
        noon(2),
        null,
        noon(5),
    ]);
    $bought = new Book([1], [11], new Settings([new DatedSetting(SettingKey::ChainBoughtOn, 11, new Moment(0), '2026-10-20')]), [], [], []);
    expect(ChainLife::firstS($bought, 11, noon(13)))->toBe((int) gmmktime(0, 0, 0, 10, 20, 2026));
});

it('takes of prices the last before a day, before the first the first, and of one day the one noted last', function (): void {
    $prices = new PriceList([priced(8, 'wax', 1400, 500, 2), priced(1, 'wax', 1000, 500, 1), priced(8, 'wax', 1500, 500, 3)]);
    expect(array_map(fn(int $day) => $prices->at(Supply::Wax, noon($day))?->amountMinor, [1, 7, 8, 30]))
        ->toBe([1000, 1000, 1500, 1500])
        ->and($prices->at(Supply::Wax, 0)?->amountMinor)
        ->toBe(1000)
        ->and($prices->at(Supply::Chain, 0))
        ->toBeNull()
        ->and($prices->costMinor(Supply::Wax, 6.0, noon(1)))
        ->toBe(12.0)
        ->and($prices->costMinor(Supply::Chain, 1.0, noon(1)))
        ->toBeNull()
        ->and($prices->without([Supply::Wax, Supply::Chain, Supply::Ring]))
        ->toBe([Supply::Chain, Supply::Ring]);
});

it('counts each supply in its unit, and of solvents all but water', function (): void {
    expect(array_map(fn(Supply $one) => $one->unit(), [Supply::Chain, Supply::QuickLink, Supply::Wax, Supply::DripWax, Supply::Degreaser]))
        ->toBe([SupplyUnit::Piece, SupplyUnit::Piece, SupplyUnit::Gram, SupplyUnit::Millilitre, SupplyUnit::Millilitre])
        ->and(array_map(Supply::ofSolvent(...), [Solvent::WhiteSpirit, Solvent::Water, Solvent::SoapyWater]))
        ->toBe([Supply::WhiteSpirit, null, null]);
});

it('adds up from the first ride in equal steps, beside plain drip', function (): void {
    $book = costly();
    $costs = WorkshopCosts::of($book, listed(), DipPickup::of([]), [], noon(13));
    $plain = new PlainDrip([1 => 120.0, 2 => 1000.0], 50.0, 3000.0, 6000.0, 10.0, 2.0);
    $points = $costs->against($plain, 2);
    $later = fn(int $id, int $day, int $bike): Ride => new Ride($id, new Moment(noon($day)), $bike, 40.0, null, Condition::Dry);
    $unridden = new Book([1, 2], [], new Settings([]), [], [$later(1, 4, 2), $later(2, 20, 1)], []);
    // From 15 November 2025 (a ride of no bike) to the last ride on the 12th: half way nothing else has happened.
    expect(array_map(fn(CostPoint $point) => [$point->atS, $point->km, $point->waxedMinor], $points))
        ->toBe([
            [noon(15, 11, 2025), 0.0, 0.0],
            [(int) round((noon(15, 11, 2025) + noon(12)) / 2), 0.0, 0.0],
            [noon(12), 200.0, (float) $costs->sum()->minor()],
        ])
        // Before a bike is ridden it has no chain to pay.
        ->and([$points[0]->plainMinor, $points[1]->plainMinor])
        ->toBe([0.0, 0.0])
        // Bike 1: 160 km are one worn chain at 120 and 3 doses; bike 2: 40 km none.
        ->and($points[2]->plainMinor)
        ->toBe(2 * 3000.0 + 3 * 10.0 + 3000.0)
        // A bike that is ridden only after its instant is none yet.
        ->and(
            array_map(
                fn(CostPoint $point) => $point->km,
                WorkshopCosts::of($unridden, listed(), DipPickup::of([]), [], noon(13))->against($plain, 1),
            ),
        )
        ->toBe([40.0, 40.0])
        ->and(
            WorkshopCosts::of(new Book([], [], new Settings([]), [], [], []), listed(), DipPickup::of([]), [], noon(1))->against($plain, 2),
        )
        ->toBe([]);
});

it('adds up the minutes that a logbook took, by hand', function (): void {
    $terms = new PlanTerms(7, [6], false, fixedMinutes: 45.0, dipMinutes: 4.0, batchMinutes: 10.0, swapMinutes: 3.0);
    // Three dips on two days, two top-ups of 15 minutes, one swap on bike 1: 12 + 2 · 55 + 30 + 3.
    expect(WorkDone::of(costly(), $terms, noon(13))->minutes)
        ->toBe(155.0)
        // By the 2nd: one dip on one day; by the 6th one top-up too.
        ->and(WorkDone::of(costly(), $terms, noon(2))->minutes)
        ->toBe(59.0)
        ->and(WorkDone::of(costly(), $terms, noon(6))->minutes)
        ->toBe(74.0)
        ->and(WorkDone::of(costly(), $terms, noon(9))->minutes)
        ->toBe(89.0)
        ->and(WorkDone::of(costly(), $terms, 0)->minutes)
        ->toBe(0.0);
    // One chain stripped by itself, two together: 25 minutes each time.
    $stripped = costly()->with(
        [],
        [],
        [
            new Strip(91, new Moment(noon(1)), 11),
            new Strip(92, new Moment(noon(12)), 12),
            new Strip(93, new Moment(noon(12), sequence: 1), 21),
        ],
    );
    $terms = $terms->taking(45.0, 4.0, 10.0, 3.0, 25.0);
    expect(WorkDone::of($stripped, $terms, noon(13))->minutes)
        ->toBe(205.0)
        ->and(WorkDone::of($stripped, $terms, noon(2))->minutes)
        ->toBe(84.0);
});

it('knows what a dip takes along: weighed, else the mean of its pot, else of all pots, else the house rule', function (): void {
    $pot = function (int $id, ?float ...$weighed): BathState {
        $events = [BathEvent::fill(0.0, 500.0)];
        foreach ($weighed as $i => $grams) {
            $events[] = BathEvent::dip((float) $i + 1, [new BathDip(300.0, $grams, 100.0, false)]);
        }

        return new BathState($id, (new BathLedger())(new BathLedgerInput(new Vessel(130.0, 100.0), $events, 100.0)), 100.0, 100.0, 0);
    };
    $pickup = DipPickup::of([$pot(1, 6.0, 10.0), $pot(2, 5.0), $pot(3, null), new BathState(4, null, 100.0, null, null)]);
    expect([$pickup->ofPot(1), $pickup->ofPot(2), $pickup->ofPot(3), $pickup->ofPot(null), $pickup->usual()])
        ->toBe([8.0, 5.0, 6.5, 6.5, 6.5])
        ->and($pickup->ofDip(new Dip(1, new Moment(0), 1, potId: 1, pickupG: 9.0)))
        ->toBe(9.0)
        ->and($pickup->ofDip(new Dip(1, new Moment(0), 1, potId: 2)))
        ->toBe(5.0)
        ->and($pickup->ofDip(new Dip(1, new Moment(0), 1)))
        ->toBe(6.5)
        ->and(DipPickup::of([$pot(3, null)])->usual())
        ->toBe(BathLedgerInput::PICKUP_G);
});

it('learns what each chain takes along, from three weighings on, by the last eight', function (): void {
    $dips = fn(int $chainId, float|null ...$grams): array => array_map(
        fn(?float $g, int $n) => new Dip(10 * $chainId + $n, new Moment(1000 * $n), $chainId, potId: 1, pickupG: $g),
        $grams,
        array_keys($grams),
    );
    $all = [
        ...$dips(1, 5.0, null, 7.0, 6.0),
        ...$dips(2, 4.0, 4.0),
        ...$dips(3, 90.0, 8.0, 8.0, 8.0, 8.0, 8.0, 8.0, 8.0, 16.0),
        ...$dips(4, 0.0, 0.0, 0.0),
    ];
    $learned = ChainPickup::ofDips($all);
    expect(array_keys($learned))
        ->toBe([1, 3])
        ->and($learned[1])
        ->toMatchObject(['meanG' => 6.0, 'leastG' => 5.0, 'mostG' => 7.0, 'weighings' => 3])
        ->and($learned[3])
        ->toMatchObject(['meanG' => 9.0, 'leastG' => 8.0, 'mostG' => 16.0, 'weighings' => 8]);
    // A dip that was weighed took what it took; the others what their chain takes, or what the pot says where that is not known.
    $pickup = DipPickup::of([], $all);
    expect(array_map($pickup->ofDip(...), array_slice($all, 0, 6)))
        ->toBe([5.0, 6.0, 7.0, 6.0, 4.0, 4.0])
        ->and([$pickup->ofChain(3, 1), $pickup->ofChain(2, 1), $pickup->ofChains([1, 2, 3], null), $pickup->ofChains([], 1)])
        ->toBe([9.0, BathLedgerInput::PICKUP_G, 21.0, 0.0]);
});
