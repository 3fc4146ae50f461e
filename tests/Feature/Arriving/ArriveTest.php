<?php

declare(strict_types=1);

use App\Logbook\ReadBook;
use App\Models\Opening;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\WaxThen;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

function bookOf(Bench $bench): Book
{
    app()->forgetScopedInstances();

    return app(ReadBook::class)($bench->workshop->refresh());
}

function chainNamed(Bench $bench, string $letter): ChainState
{
    $book = bookOf($bench);
    foreach ($book->chainIds as $id) {
        if ($book->settings->text(SettingKey::ChainLabel, $id) === $letter) {
            return $book->chain($id, Bench::NOW);
        }
    }
    throw new RuntimeException("There is no chain {$letter}.");
}

$form = fn(array $with = []) => $with + [
    'action_id' => (string) Str::uuid(),
    'name' => 'Heron',
    'kind' => 'road',
    'speeds' => 12,
    'interval' => '300',
    'date' => '2026-11-23',
    'chains' => [
        [
            'label' => 'a',
            'state' => 'waxed',
            'km' => '2100,5',
            'since_wax' => '120',
            'wear' => '0,21',
            'closings' => 2,
            'closings_allowed' => 5,
            'fitted' => true,
        ],
        ['label' => 'B', 'state' => 'unsure', 'km' => ''],
        ['label' => 'C', 'state' => 'new'],
    ],
    'cassette' => ['km' => '8400'],
    'ring' => ['km' => ''],
];

it('brings in one bike with its used parts as one action, which can be taken back', function () use ($form): void {
    $bench = new Bench();
    $this->actingAs($bench->owner)->post('/arrive', $form())->assertSessionHasNoErrors()->assertRedirect('/');
    $book = bookOf($bench);
    [$a, $b, $c] = [chainNamed($bench, 'A'), chainNamed($bench, 'B'), chainNamed($bench, 'C')];
    expect($book->fittings()->componentOn($book->bikeIds[0], Bench::NOW))
        ->toBe($a->chainId)
        ->and([$a->status, $a->km->km, $a->leftKm(), $a->wear->result?->valuePct])
        ->toBe([ChainStatus::Ridden, 2100.5, 180.0, 0.21])
        ->and([$b->status, $b->km->whole])
        ->toBe([ChainStatus::Unsure, false])
        ->and([$c->status, $c->opening])
        ->toBe([ChainStatus::Unwaxed, null]);
    $parts = [];
    foreach ($book->parts as $part) {
        $parts[$part->kind->value] = $book->inventory()->part($part->id, Bench::NOW);
    }
    expect($parts[PartKind::Cassette->value]->km->km)
        ->toBe(8400.0)
        ->and($parts[PartKind::Ring->value]->km->whole)
        ->toBeFalse()
        ->and([$parts[PartKind::QuickLink->value]->closings, $parts[PartKind::QuickLink->value]->part->chainId])
        ->toBe([2, $a->chainId]);

    $this->post("/actions/{$bench->lastAction()->id}/undo", [
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    expect(bookOf($bench)->bikeIds)->toBe([])->and(bookOf($bench)->chainIds)->toBe([])->and(bookOf($bench)->parts)->toBe([]);
});

it('refuses what cannot be, at its place, and stores nothing', function (array $with, string $at) use ($form): void {
    $bench = new Bench();
    $before = Bench::rows();
    $this->actingAs($bench->owner)->post('/arrive', $form($with))->assertSessionHasErrors($at);
    expect(Bench::rows())->toBe($before);
})->with([
    'two on one bike' => [
        [
            'chains' => [['label' => 'A', 'state' => 'new', 'fitted' => true], ['label' => 'B', 'state' => 'new', 'fitted' => true]],
        ],
        'bikes.0.parts.1.fitted',
    ],
    'one letter twice' => [['chains' => [['label' => 'A', 'state' => 'new'], ['label' => 'a', 'state' => 'new']]], 'chains.1.label'],
    'more since the wax than in all' => [['chains' => [['label' => 'A', 'state' => 'waxed', 'km' => '50', 'since_wax' => '60']]], 'bikes'],
    'waxed, but how long ago' => [['chains' => [['label' => 'A', 'state' => 'waxed', 'km' => '50']]], 'chains.0.since_wax'],
    'tomorrow' => [['date' => '2026-11-27'], 'date'],
    'an odd count' => [['chains' => [['label' => 'A', 'state' => 'new', 'pitches' => 113]]], 'chains.0.pitches'],
]);

it('corrects later what a chain brought with it, after a look at what changes', function () use ($form): void {
    $bench = new Bench();
    $this->actingAs($bench->owner)->post('/arrive', $form());
    $opening = Opening::query()->where('wax', WaxThen::Unknown)->firstOrFail();
    $values = [
        'action_id' => (string) Str::uuid(),
        'km' => '1800',
        'wax' => 'known',
        'since_wax' => '90',
    ];
    $this->putJson("/openings/{$opening->id}", $values + ['preview' => true])
        ->assertOk()
        ->assertJsonFragment(['chain' => 'Heron B'])
        ->assertJsonFragment(['name' => 'Wax left', 'before' => '—', 'after' => "210\u{a0}km"]);
    expect(chainNamed($bench, 'B')->status)->toBe(ChainStatus::Unsure);
    $this->put("/openings/{$opening->id}", $values)->assertSessionHasNoErrors();
    expect(chainNamed($bench, 'B')->leftKm())->toBe(210.0);
    // Somebody else still had the old one open.
    $this->put("/openings/{$opening->id}", ['action_id' => (string) Str::uuid()] + $values)->assertStatus(409);
});

it('brings used chains onto a bike that is here, and learns later that a new one had been ridden', function () use ($form): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $new = $bench->chain($heron, 'A', fit: true);
    $this->actingAs($bench->owner)
        ->get("/arrive?bike={$heron->id}")
        ->assertInertia(fn($page) => $page->where('bike.letters', ['A'])->where('bike.free', false));
    $this->post(
        '/arrive',
        [
            'bike_id' => $heron->id,
            'chains' => [['label' => 'B', 'state' => 'none', 'km' => 700]],
            'cassette' => null,
            'ring' => null,
        ] + $form(),
    )->assertSessionHasNoErrors();
    expect(chainNamed($bench, 'B')->km->km)->toBe(700.0)->and(bookOf($bench)->parts)->toBe([]);
    $this->post(
        '/arrive',
        [
            'bike_id' => $heron->id,
            'chains' => [['label' => 'A', 'state' => 'none']],
            'cassette' => null,
            'ring' => null,
        ] + $form(),
    )->assertSessionHasErrors('bikes.0.parts.0.label');

    $opening = fn() => ['action_id' => (string) Str::uuid(), 'km' => 1200, 'wax' => 'none'];
    $this->post("/chains/{$new->id}/opening", $opening())->assertSessionHasNoErrors();
    // Its dip came after that, so its wax stays what it was.
    expect([chainNamed($bench, 'A')->km->km, chainNamed($bench, 'A')->leftKm()])->toBe([1200.0, 300.0]);
    $this->post("/chains/{$new->id}/opening", $opening())->assertSessionHasErrors('km');
});

it('takes many parts from a table, and says of each row what is wrong', function (): void {
    $bench = new Bench();
    $bench->bike('Heron');
    $this->actingAs($bench->owner)->get('/arrive/template.csv')->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8');
    $bad = "bike;part;letter;distance;since_wax;on_bike\nHeron;chain;A;2100,5;120;yes\nHeron;rope;B;;;\n;chain;LONG;-3;;perhaps\n";
    $page = $this->post('/arrive/table', [
        'action_id' => (string) Str::uuid(),
        'text' => $bad,
    ])->assertOk();
    $page->assertInertia(
        fn($page) => $page
            ->component('Arriving/Table')
            ->where('ready', false)
            ->where('rows.0.errors', [])
            ->where('rows.1.errors.0.column', 'part')
            ->has('rows.2.errors', 4),
    );
    $before = Bench::rows();
    $this->post('/arrive/table/keep', [
        'action_id' => (string) Str::uuid(),
        'text' => $bad,
    ])->assertSessionHasErrors('text');
    expect(Bench::rows())->toBe($before);

    $good =
        "\u{feff}bike,part,letter,distance,since_wax,wear_pct,closings,on_bike\nheron,chain,A,2100,120,0.3,2,yes\nHeron,chain,B,,unknown,,,no\nBadger,chain,A,500,none,,,yes\nBadger,cassette,,4000,,,,yes\nHeron,quick_link,B,,,,1,\n";
    $this->post('/arrive/table/keep', [
        'action_id' => (string) Str::uuid(),
        'text' => $good,
    ])->assertSessionHasNoErrors();
    $book = bookOf($bench);
    expect($book->bikeIds)
        ->toHaveCount(2)
        ->and($book->chainIds)
        ->toHaveCount(3)
        ->and($book->parts)
        ->toHaveCount(3)
        ->and(array_map(fn(int $bike) => $book->fittings()->componentOn($bike, Bench::NOW) !== null, $book->bikeIds))
        ->toBe([true, true]);
    // A second cassette for one bike, and one in a drawer.
    $again = "bike,part,distance,on_bike\nBadger,cassette,100,";
    $this->post('/arrive/table/keep', ['action_id' => (string) Str::uuid(), 'text' => $again])->assertSessionHasErrors(
        'bikes.0.parts.0.fitted',
    );
    $this->post('/arrive/table/keep', ['action_id' => (string) Str::uuid(), 'text' => "{$again}no"])->assertSessionHasErrors('text');
    foreach ([',;' => 'empty', 'a,b' => 'header', "bike,part,colour\nx,chain,red" => 'unknown_columns'] as $text => $problem) {
        $this->post('/arrive/table', [
            'action_id' => (string) Str::uuid(),
            'text' => $text,
        ])->assertInertia(fn($page) => $page->where('problem', __("errors.table.{$problem}")));
    }
});
