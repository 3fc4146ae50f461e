<?php

declare(strict_types=1);

use App\Logbook\About;
use App\Logbook\ActionKind;
use App\Models\Action;
use Dripel\Core\Wear\WearReadingResult;

it('keeps what an action says of itself, without what nobody said, and reads what older versions kept', function (): void {
    $about = (new About(bike: 3, chain: 5, at: 1_795_000_000, day: 'day', km: 40.0, newLink: true, changed: []))->measuring(
        new WearReadingResult(null, null, 0.5, null),
    );
    expect($about->toArray())
        ->toEqual([
            'bike' => 3,
            'chain' => 5,
            'at' => 1_795_000_000,
            'day' => 'day',
            'km' => 40.0,
            'new_link' => true,
            'changed' => [],
            'lower_pct' => 0.5,
            'measured' => true,
        ])
        ->and(About::from($about->toArray()))
        ->toEqual($about)
        ->and($about->reading())
        ->toEqual(new WearReadingResult(null, null, 0.5, null));
    // Nothing was measured; a reading of an older version had no word of its own; what is not known any more is left out.
    expect((new About(chain: 5))->reading())
        ->toBeNull()
        ->and(About::from(['value_pct' => null, 'lower_pct' => 0.5, 'sigma_pct' => null, 'upper_pct' => 0.75, 'mood' => 'good'])->reading())
        ->toEqual(new WearReadingResult(null, null, 0.5, 0.75));
});

it('belongs to the history of all that the actions were about which it takes back, and names their ids for a restore', function (): void {
    $of = fn(About $about): Action => new Action(['id' => 'one', 'kind' => ActionKind::LogRide, 'about' => $about]);
    expect(About::undone([$of(new About(bike: 3, off: 7)), $of(new About(bikes: [3, 4], chains: [7, 8]))])->toArray())->toEqual([
        'bikes' => [3, 4],
        'chains' => [7, 8],
        'undid' => ['one', 'one'],
    ]);
    // Each that is an id is a property.
    foreach ([...array_keys(About::REFERENCES), ...About::OF_BIKES, ...About::OF_CHAINS] as $property) {
        expect(property_exists(About::class, $property))->toBeTrue($property);
    }
});
