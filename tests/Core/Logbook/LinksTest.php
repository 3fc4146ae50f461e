<?php

declare(strict_types=1);

use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Dip;
use Dripel\Core\Logbook\FitNote;
use Dripel\Core\Logbook\Fitting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/**
 * Chains 1 and 2 in turn on bike 7 at the hours named; links 5 and 6 for chain 1, 8 in the drawer.
 *
 * @param array<int, int> $swaps chain by hour
 * @param array<int, int> $opened hour by link
 * @param list<DatedSetting> $settings
 */
function linked(array $swaps, array $opened, array $settings = [], int $allowed = 3): Book
{
    return new Book(
        [7],
        [1, 2],
        new Settings($settings),
        array_map(fn(int $hour, int $chain) => new Fitting($hour, new Moment(3600 * $hour), 7, $chain), array_keys($swaps), $swaps),
        [],
        array_map(
            fn(int $link, int $hour) => new Opening($link, new Moment(3600 * $hour), $link, 0.0, closings: 1),
            array_keys($opened),
            $opened,
        ),
        parts: [
            new Part(5, PartKind::QuickLink, 1, $allowed),
            new Part(6, PartKind::QuickLink, isset($opened[6]) ? 1 : null, $allowed),
            new Part(8, PartKind::QuickLink, speeds: 12),
        ],
    );
}

it('counts the closings of each link while it is the one in use, whichever came into the drawer first', function (): void {
    $swaps = [10 => 1, 20 => 2, 30 => 1, 40 => 2, 50 => 1, 60 => 2, 70 => 1];
    // 6 was bought first and opened last, or the other way round.
    foreach ([[5 => 10, 6 => 50], [6 => 10, 5 => 50]] as $opened) {
        [$first, $second] = array_keys($opened);
        $book = linked($swaps, $opened);
        expect([$book->inventory()->part($first, 3600 * 99)->closings, $book->inventory()->part($second, 3600 * 99)->closings])
            ->toBe([2, 2])
            ->and($book->inventory()->linkOf(1, 3600 * 99)?->part->id)
            ->toBe($second)
            ->and(array_map(fn(Part $part) => $part->id, $book->inventory()->linksOf(1)))
            ->toBe([$first, $second])
            ->and(array_map(fn(Part $part) => $part->id, $book->inventory()->spareLinks()))
            ->toBe([8]);
    }
    expect(
        array_map(
            fn(Part $part) => $part->id,
            linked($swaps, [5 => 10])
                ->inventory()
                ->spareLinks(),
        ),
    )->toBe([6, 8]);
});

it('names a link that was opened later and has its grease yet', function (): void {
    $greased = fn(array $opened, array $settings = []): ?int => linked([10 => 1], $opened, $settings)
        ->inventory()
        ->greasedLink(1, 3600 * 99)?->id;
    $washed = new DatedSetting(SettingKey::LinkStripped, 6, new Moment(3600 * 60), 1);
    expect([$greased([5 => 10, 6 => 50]), $greased([5 => 10, 6 => 50], [$washed]), $greased([5 => 10])])->toBe([6, null, null]);
});

it('says what speaks against a fitting, and what is worth a word', function (array $settings, int $allowed, array $notes): void {
    $set = [];
    foreach ($settings as $key => [$subject, $value]) {
        $set[] = new DatedSetting(SettingKey::from($key), $subject, new Moment(0), $value);
    }
    // Chain 2 is on the bike; chain 1 was closed twice, and was never waxed.
    $book = linked([10 => 1, 20 => 2, 30 => 1, 40 => 2], [5 => 10], $set, $allowed);
    expect(array_map(fn(FitNote $note) => $note->value, FitNote::all($book, $book->chain(1, 3600 * 99), 7)))->toBe([...$notes, 'no_wax']);
})->with([
    'nothing' => [[], 9, []],
    'the last closing' => [[], 3, ['last_closing']],
    'a spent link' => [[], 2, ['link_spent']],
    'another speed count' => [['chain.speeds' => [1, 11], 'bike.speeds' => [7, 12]], 9, ['wrong_speed']],
    'the same speed count' => [['chain.speeds' => [1, 12], 'bike.speeds' => [7, 12]], 9, []],
    'speeds nobody said' => [['bike.speeds' => [7, 12]], 9, []],
    'a pin in the chain that goes on' => [['chain.joint' => [1, 'pin']], 9, ['pin_on']],
    'a pin in the chain that comes off' => [['chain.joint' => [2, 'pin']], 9, ['pin_off']],
    'a quick link, said so' => [['chain.joint' => [2, 'quick_link']], 9, []],
]);

it('tells a chain without wax from one that has some and is due all the same', function (
    Condition $condition,
    float $km,
    float $hours,
    array $notes,
): void {
    $settings = [
        new DatedSetting(SettingKey::IntervalKm, 7, new Moment(0), 300.0),
        new DatedSetting(SettingKey::IntervalHours, 7, new Moment(0), 10.0),
    ];
    $book = new Book(
        [7],
        [1],
        new Settings($settings),
        [new Fitting(1, new Moment(3600), 7, 1)],
        [new Ride(1, new Moment(7200), 7, $km, $hours, $condition)],
        [new Dip(1, new Moment(0), 1)],
    );
    expect(array_map(fn(FitNote $note) => $note->value, FitNote::all($book, $book->chain(1, 3600 * 99), 7)))->toBe($notes);
})->with([
    'some left' => [Condition::Dry, 100.0, 4.0, []],
    'ridden in the wet' => [Condition::Wet, 10.0, 0.5, ['was_wet']],
    'hours up' => [Condition::Dry, 100.0, 11.0, ['hours_up']],
    'all used up' => [Condition::Dry, 300.0, 4.0, ['no_wax']],
    'all used up in the wet' => [Condition::Wet, 200.0, 4.0, ['no_wax']],
]);

it('forbids only what can part or jam', function (): void {
    expect(array_map(fn(FitNote $note) => $note->value, array_filter(FitNote::cases(), fn(FitNote $note) => $note->forbids())))->toBe([
        'wrong_speed',
        'link_spent',
    ]);
});
