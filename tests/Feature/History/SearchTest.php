<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike('Heron');
    $this->badger = $this->bench->bike('Badger');
    $this->chain = $this->bench->chain($this->heron, 'A', 2000, true);
    $ride = fn(int $bike, float $km, string $condition, float $hoursAgo) => $this->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $bike, 'distance' => $km, 'condition' => $condition, 'hours' => '1:00'] +
            Bench::form($hoursAgo),
    )->assertSessionHasNoErrors();
    // Bench::NOW is Wed 25 Nov 2026, 12:00 in UTC.
    $ride($this->heron->id, 40, 'dry', 30);
    $ride($this->heron->id, 70, 'wet', 60);
    $ride($this->badger->id, 25, 'wet', 50);
    $ride($this->heron->id, 55, 'muddy', 24 * 40);
    $this->km = fn(string $query): array => array_column(
        $this->get("/rides?{$query}")
            ->assertOk()
            ->inertiaProps('rides'),
        'distance',
    );
});

it('finds rides by words, bike, chain, condition and days, in the order asked for', function (string $query, array $km): void {
    $query = strtr($query, ['{heron}' => (string) $this->heron->id, '{chain}' => (string) $this->chain->id]);
    expect(($this->km)($query))->toBe($km);
})->with([
    'all, the newest first' => ['', ['40', '25', '70', '55']],
    'by words, all of them' => ['text=heron wet', ['70']],
    'by its month' => ['text=october', ['55']],
    'by bike and condition' => ['bike={heron}&condition=wet', ['70']],
    'by chain' => ['chain={chain}', ['40', '70', '55']],
    'by days' => ['from=2026-11-23&to=2026-11-23', ['25', '70']],
    'from a month on back' => ['to=2026-10-31', ['55']],
    'the longest first' => ['sort=-distance', ['70', '55', '40', '25']],
    'by bike' => ['sort=bike', ['25', '40', '70', '55']],
    'what is not there' => ['text=zebra', []],
    'what cannot be is not looked for' => ['condition=icy&from=never&to=2026-13-45&sort=colour', ['40', '25', '70', '55']],
]);

it('says how many it found, and offers the months there are', function (): void {
    $page = fn(string $query) => $this->get("/rides?{$query}")->inertiaProps();
    expect($page('')['found'])
        ->toBe('')
        ->and(str_replace("\u{a0}", ' ', $page('condition=wet')['found']))
        ->toBe('2 rides found, 95 km in all.')
        ->and($page('text=zebra')['found'])
        ->toContain('Clear the search')
        ->and(array_column($page('')['months'], 'title', 'value'))
        ->toBe(['2026-11-30' => 'November 2026', '2026-10-31' => 'October 2026']);
    $this->get('/rides?bike=999')->assertNotFound();
});

it('looks through the sentences of the history', function (): void {
    $said = fn(string $query): array => array_column(
        $this->get("/history?{$query}")
            ->assertOk()
            ->inertiaProps('actions'),
        'sentence',
    );
    expect($said('text=wet'))
        ->toHaveCount(2)
        ->and($said('text=wet badger'))
        ->toHaveCount(1)
        ->and($said("text=logged&bike={$this->heron->id}"))
        ->toHaveCount(3)
        ->and($said('to=2026-11-24'))
        ->toBe([])
        ->and(count($said('from=2026-11-25&to=2026-11-25')))
        ->toBeGreaterThan(5)
        ->and($this->get('/history?text=zebra')->inertiaProps('more'))
        ->toBeFalse();
});
