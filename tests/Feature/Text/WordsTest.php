<?php

declare(strict_types=1);

use App\Archive\WorkshopFile;
use App\Guided\OpenJobs;
use App\Http\Props\ShedProps;
use App\Logbook\ActionKind;
use App\Logbook\EntryType;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Plan\ReadPlan;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Support\AppClock;
use App\Text\ChartAxis;
use App\Text\Duration;
use App\Text\Names;
use App\Text\Quantities;
use App\Text\Translator;
use App\Text\Units;
use Dripel\Core\Bath\BathNext;
use Dripel\Core\Interval\DueBecause;
use Dripel\Core\Logbook\ConflictKind;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Next\NextKind;
use Tests\Feature\Bench;
use Tests\Feature\WrittenDemo;

/** Spaces that keep a number with its unit, written plainly. */
function plain(string $text): string
{
    return str_replace("\u{a0}", ' ', $text);
}

it('writes figures as a person does', function (): void {
    $q = new Quantities(new Units(), new DateTimeZone('Europe/Amsterdam'));
    $ounces = new Quantities(new Units('mi', 'F', 'oz', 'JPY'), new DateTimeZone('UTC'));
    $miles = new Quantities(new Units('mi'), new DateTimeZone('America/New_York'));
    $written = [
        $q->distance(2862.4),
        $q->distance(61.96, 1),
        $q->distance(-0.2),
        $q->left(46.99),
        $q->left(300 - 1e-12),
        $miles->left(160.9344),
        $miles->distance(100, 1),
        $q->percent(0.2),
        $q->mark(0.5),
        $q->mark(0.75),
        $q->mark(1.0),
        $q->hours(1 + 1 / 3),
        $q->hours(2),
        $q->hours(0.4),
        $q->hours(1.999),
        $q->number(-3.5, 1),
        $q->volume(999.6),
        $q->volume(1500),
        $q->volume(1250),
        $q->mass(254.5),
        $q->mass(8),
        $q->mass(0.03946),
        $q->mass(0.000000004),
        $q->mass(0),
        $ounces->mass(254.5),
        $q->temperature(-43),
        $ounces->temperature(39),
        $q->money(2690),
        $ounces->money(3500),
        $q->seconds(45),
        $q->seconds(780),
        $q->seconds(90),
        $q->seconds(36000),
        $q->day(1795608000),
        $q->time(1795608000),
        $miles->time(1795608000),
        (new Quantities(new Units(clock: '12'), new DateTimeZone('UTC')))->time(1795608000),
        $q->dayAndTime(1795608000),
        $q->date(1795608000, 'EEEE d MMMM yyyy'),
        $q->date(1795608000, 'EEEEE dd/MM'),
    ];
    expect(array_map(plain(...), $written))->toBe([
        '2,862 km',
        '62.0 km',
        '0 km',
        '46 km',
        '300 km',
        '100 mi',
        '62.1 mi',
        '0.20 %',
        '0.5 %',
        '0.75 %',
        '1.0 %',
        '1 h 20',
        '2 h',
        '24 min',
        '2 h',
        '−3.5',
        '1,000 ml',
        '1.5 l',
        '1.25 l',
        '255 g',
        '8.0 g',
        '0.039 g',
        'less than 0.01 g',
        '0 g',
        '9.0 oz',
        '−43 °C',
        '102 °F',
        '€26.90',
        '¥3,500',
        '45 s',
        '13 min',
        '1 min 30',
        '10 h',
        'Wed 25 Nov',
        '13:00',
        '07:00',
        '12:00 PM',
        'Wed 25 Nov 2026, 13:00',
        'Wednesday 25 November 2026',
        'W 25/11',
    ]);
});

it('says nothing twice along an axis, where its places are closer than its words', function (): void {
    $texts = fn(ChartAxis $axis): array => array_column($axis->view()['ticks'], 'text');
    $utc = new DateTimeZone('UTC');
    $month = new ChartAxis('', 1_793_491_200, 1_796_083_200, fn(float $atS) => gmdate('M Y', (int) $atS), 5, $utc);
    expect($texts($month))
        ->toBe(['Nov 2026'])
        ->and($texts(new ChartAxis('', 0.0, 1.0, fn(float $cents) => sprintf('%.2f', floor($cents) / 100))))
        ->toBe(['0.00', '0.01']);
});

it('reads hours however they are typed', function (string $text, ?float $hours): void {
    $hours === null ? expect(Duration::hours($text))->toBeNull() : expect(Duration::hours($text))->toEqualWithDelta($hours, 1e-9);
})->with([
    ['2:15', 2.25],
    ['2 h 15', 2.25],
    ['2h15', 2.25],
    ['2 h 5 min', 2 + 5 / 60],
    ['2,25', 2.25],
    ['2.25 h', 2.25],
    ['135 min', 2.25],
    [' 3 ', 3.0],
    ['0', null],
    ['2:75', null],
    ['-2', null],
    ['49', null],
    ['two', null],
    ['', null],
]);

it('names chains by their bikes', function (): void {
    $set = fn(SettingKey $key, int $subject, string|int $value) => new DatedSetting($key, $subject, new Moment(0), $value);
    $names = new Names(
        new Settings([
            $set(SettingKey::BikeName, 1, 'Heron'),
            $set(SettingKey::BikeName, 2, 'Tram'),
            ...array_merge(
                ...array_map(
                    fn(int $id) => [$set(SettingKey::ChainLabel, $id, chr(64 + $id)), $set(SettingKey::ChainHome, $id, $id < 4 ? 1 : 2)],
                    [1, 2, 3, 4],
                ),
            ),
        ]),
    );
    expect($names->fullChain(4))
        ->toBe('Tram D')
        ->and($names->chains([1]))
        ->toBe('Heron A')
        ->and($names->chains([1, 2, 3]))
        ->toBe('Heron A, B and C')
        ->and($names->chains([1, 4, 3]))
        ->toBe('Heron A and C and Tram D');
});

it('says what to do and why, with figures', function (): void {
    WrittenDemo::ending();
    $nowS = (new DateTimeImmutable('2026-11-25T12:20:00+01:00'))->getTimestamp();
    $workshop = Workshop::query()->sole();
    $book = app(ReadBook::class)($workshop);
    app(AppClock::class)->stopAt($nowS);
    $props = (new ShedProps(
        $book,
        Translator::of($workshop, app(ReadBook::class), $nowS),
        app(ReadPlan::class)($workshop),
        app(OpenJobs::class)($workshop),
        app(ReadJars::class)($workshop),
        app(ReadBaths::class)($workshop),
    ))->all();
    $said = array_map(
        fn(array $line) => plain(
            "{$line['part']}, {$line['line']['day']} {$line['line']['hour']}: {$line['line']['title']}. {$line['line']['reason']}" .
                implode('', array_map(fn(array $step) => " / {$step['title']}", $line['steps'])),
        ),
        $props['next'],
    );
    expect($said)->toBe([
        'now, Today late: Wipe and dry Badger A. 41 km in the wet on Tue 24 Nov. Wax keeps little rust off: bare steel rusts overnight.',
        'now, Today by 19:40: Wax Heron D before it rusts. Bare for 4 h 40. Steel rusts after 12 h. Heat the pot today: solves it, 3 min less in all.',
        'now, Today 3 min: Swap Tram to B. A has used up its 10 h.',
        'bench, Today 10 min: Measure Tram A, retire Lantern C, a dry cloth for Moth A, continue stripping Badger D, swap Moth to B. Dry in the air until 14:15; then it continues. / Measure Tram A / Retire Lantern C / A dry cloth for Moth A / Continue stripping Badger D / Swap Moth to B',
        'bench, Tomorrow 2 h 09: Heat the pot: Heron B, D and R, Badger A and C and Moth A. Heron D: bare, it would rust.',
        'any_day, Any day : Buy a chain for Lantern. 2 are left within the limit, and it needs 3 chains.',
        'any_day, Any day 35 min: 7 small things. Choose the chain that Lantern had on, choose the bike of a ride, and so on. / Choose the chain that Lantern had on / Choose the bike of a ride / Decant First alcohol / Confirm the commute on Moth / Strip Lantern B first / Hand in Dirty spirit / Top up Race pot',
    ]);
    $heron = $props['rails'][0];
    expect(plain(implode(' ', array_slice($heron['until'], 0, 3))))
        ->toBe('Good until Sunday ; that day’s 74 km needs 20 km more')
        ->and(plain($heron['about']))
        ->toBe('road, 12 speeds, re-wax at 300 km')
        ->and(array_map(fn(array $chain) => plain("{$chain['label']} {$chain['word']}; {$chain['detail']}"), $heron['hanging']))
        ->toBe([
            'B spent after 320 km; dry use, no rinse',
            'C waxed; Fri 20 Nov',
            'D bare 4 h 40; rusts from 19:40',
            'R waxed; kept for the Ostermoor crossing',
        ]);
});

it('has a text for every code that is put together where no rule of PHPStan sees it', function (): void {
    new Bench();
    $codes = [
        ...array_map(fn($c) => "chain.outlook.due_{$c->value}", DueBecause::cases()),
        ...array_map(
            fn($c) => "next.title.{$c->value}",
            array_filter(NextKind::cases(), fn($c) => !in_array($c, [NextKind::Bath, NextKind::Evening, NextKind::Chores], true)),
        ),
        // A bath says what it wants.
        ...array_merge(
            ...array_map(
                fn($c) => ["next.title.bath_{$c->value}", "next.reason.bath_{$c->value}"],
                array_filter(BathNext::cases(), fn($c) => $c !== BathNext::Ok),
            ),
        ),
        ...array_map(fn($c) => "done.{$c->value}", ActionKind::cases()),
        ...array_map(fn($c) => "errors.conflict.{$c->value}", ConflictKind::cases()),
        ...array_map(fn(string $table) => "ui.keep.table.{$table}", WorkshopFile::tables()),
        ...array_merge(
            ...array_map(
                fn($c) => $c->isEvent() ? ["history.move_entry.{$c->value}", "history.delete_entry.{$c->value}"] : [],
                EntryType::cases(),
            ),
        ),
    ];
    foreach ($codes as $code) {
        expect(trans()->has($code))->toBeTrue($code);
    }
});
