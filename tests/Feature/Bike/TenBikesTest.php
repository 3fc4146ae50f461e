<?php

declare(strict_types=1);

use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Support\AppClock;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

/**
 * Ten bikes as data: what each is like, what is on it, and which jobs suit it. "Refused" names the field at which a job is refused.
 *
 * @return array<string, array<string, mixed>>
 */
function tenBikes(): array
{
    $all = ['strip', 'pot', 'drip', 'box', 'fit', 'care'];

    return [
        '12-speed disc road on wax' => ['jobs' => $all],
        'single speed with a pin' => ['speeds' => 1, 'brakes' => 'rim', 'joint' => 'pin', 'jobs' => $all],
        'gravel ridden on oil' => [
            'speeds' => 11,
            'came' => 'oil',
            'jobs' => ['strip', 'fit', 'care'],
            'refused' => ['pot', 'drip', 'box'],
        ],
        'on drip wax alone, stripped' => [
            'brakes' => 'rim',
            'drip_only' => true,
            'came' => 'bare',
            'jobs' => ['drip', 'box', 'fit', 'care'],
        ],
        'on the home trainer' => ['kind' => 'indoor', 'brakes' => 'hub', 'jobs' => $all],
        'new chain waxed by its factory' => ['came' => 'factory_waxed', 'jobs' => ['pot', 'fit', 'care'], 'refused' => ['strip']],
        'race chain from the clean pot' => ['event' => true, 'pot' => ['for_races' => true], 'link_in' => true, 'jobs' => $all],
        'pan and puck' => [
            'pot' => ['kind' => 'pan', 'diameter' => '180', 'height' => '45', 'lay' => 'flat'],
            'wax' => 260,
            'jobs' => ['pot', 'fit', 'care'],
        ],
        'bare frame and a greased chain' => [
            'came' => 'greased',
            'off' => true,
            'jobs' => ['strip', 'fit', 'care'],
            'refused' => ['pot', 'box'],
        ],
        'chain waxed before, to be stripped again' => ['off' => true, 'jobs' => ['strip', 'pot', 'box', 'fit', 'care']],
    ];
}

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->make = function (array $bike): Chain {
        $this->bike = $this->bench->bike();
        $this->put("/bikes/{$this->bike->id}", [
            'action_id' => (string) Str::uuid(),
            'name' => 'Heron',
            'kind' => $bike['kind'] ?? 'road',
            'speeds' => $bike['speeds'] ?? 12,
            'brakes' => $bike['brakes'] ?? 'disc',
            'interval' => 300,
            'limit_school' => 'strict',
            'drip_only' => $bike['drip_only'] ?? false,
        ])->assertSessionHasNoErrors();
        $came = $bike['came'] ?? 'wax';
        if ($came === 'oil') {
            $this->post('/arrive', [
                'action_id' => (string) Str::uuid(),
                'bike_id' => $this->bike->id,
                'date' => '2026-11-24',
                'chains' => [['label' => 'A', 'state' => 'none', 'km' => '900']],
            ])->assertSessionHasNoErrors();
            $chain = Chain::query()->findOrFail($this->bench->lastAction()->about->chains[0]);
        } else {
            $chain = $this->bench->chain($this->bike, 'A', $came === 'wax' ? 100 : null);
        }
        $this->put(
            "/chains/{$chain->id}",
            [
                'action_id' => (string) Str::uuid(),
                'bike_id' => $this->bike->id,
                'label' => 'A',
                'speeds' => $bike['speeds'] ?? 12,
                'pitches' => 116,
                'joint' => $bike['joint'] ?? 'quick_link',
                'load' => match ($came) {
                    'oil' => 'oiled',
                    'factory_waxed' => 'factory_waxed',
                    default => 'greased',
                },
            ] + (isset($bike['event']) ? ['event' => 'Hill race', 'event_on' => '2026-12-20'] : []),
        )->assertSessionHasNoErrors();
        $came === 'bare' &&
            $this->post("/chains/{$chain->id}/strips", ['action_id' => (string) Str::uuid()] + Bench::form(6))->assertSessionHasNoErrors();
        // With its link stripped it may go into the pot; a dip after that.
        if (isset($bike['link_in'])) {
            $this->post("/chains/{$chain->id}/strips", ['action_id' => (string) Str::uuid()] + Bench::form(90))->assertSessionHasNoErrors();
            $this->post('/dips', ['chains' => [$chain->id], 'dry' => true, 'no_smell' => true, 'rust_looked' => true] + Bench::form(80));
        }
        $this->post(
            '/pots',
            ($bike['pot'] ?? []) + [
                'action_id' => (string) Str::uuid(),
                'name' => 'Pot',
                'kind' => 'slow_cooker',
                'diameter' => '130',
                'height' => '105',
                'low' => '90',
                'high' => '150',
                'wax' => 'plain',
            ],
        )->assertSessionHasNoErrors();
        $this->pot = Pot::query()->firstOrFail();
        $this->post(
            "/pots/{$this->pot->id}/bath",
            ['act' => 'fill', 'wax' => $bike['wax'] ?? 620] + Bench::form(3),
        )->assertSessionHasNoErrors();

        return $chain;
    };
    $this->onBike = fn(Chain $chain) => $this->post(
        "/bikes/{$this->bike->id}/fittings",
        ['action_id' => (string) Str::uuid(), 'chain_id' => $chain->id] + Bench::form(1),
    )->assertSessionHasNoErrors();
    /** Begins a job, reads all of its steps, and gives it up again; null: it was refused. */
    $this->steps = function (string $job, Chain $chain, array $bike): ?array {
        $id = (string) Str::uuid();
        $drip = ['chain_id' => $chain->id, 'washed' => true, 'warmed' => true, 'coats' => 1, 'excess' => 'leave', 'brushed_in' => true];
        $now = ['date' => '2026-11-25', 'time' => '12:00'];
        [$url, $data] = match ($job) {
            'strip' => ['/strip', ['chains' => [$chain->id], 'protocol' => 'three_and_two', 'fresh_wax' => true, 'unmeasured' => true]],
            'strip_on_bike' => [
                '/strip',
                ['chains' => [$chain->id], 'protocol' => 'on_the_bike', 'fresh_wax' => true, 'unmeasured' => true],
            ],
            'pot' => [
                '/pot-day',
                [
                    'pot_id' => $this->pot->id,
                    'chains' => [$chain->id],
                    'program' => 'low',
                    'target' => '80',
                    'room' => '18',
                    'first_soak' => 'hour',
                    'rewax_soak' => 'five',
                    'drain' => 'slow',
                    'dry_by' => 'warm_air',
                    'rinse' => [$chain->id => 'hot_water'],
                    'link_in' => $bike['link_in'] ?? false,
                ],
            ],
            'drip' => ['/drip', ['place' => 'on_bike'] + $drip],
            'box' => ['/drip', ['place' => 'in_box', 'box_mm' => 90] + $drip],
            'fit' => ["/bikes/{$this->bike->id}/fittings/led", ['chain_id' => $chain->id] + $now],
            default => ["/bikes/{$this->bike->id}/brushings/led", ['deep' => true, 'painted' => true]],
        };
        $this->post($url, ['action_id' => $id] + $data);
        if (GuidedJob::query()->find($id) === null) {
            return null;
        }
        $view = $this->get("/jobs/{$id}")
            ->assertOk()
            ->inertiaProps()['job'];
        expect($view['layout'])->not->toBeEmpty($job);
        app(AppClock::class)->stopAt(app(AppClock::class)->unixS() + 60);
        $this->post("/jobs/{$id}/give-up", ['action_id' => (string) Str::uuid()]);

        return $view['steps'];
    };
});

/** The order of the trade, by the codes of the steps: each of these that a job has comes after the one before. */
const TRADE_ORDER = [
    'strip' => ['prepare', 'hot_water', 'open', 'look', 'dry', 'check'],
    'strip_on_bike' => ['prepare', 'open', 'look', 'dry', 'check', 'brake'],
    'pot' => ['prepare', 'practise', 'plug_in', 'rinse', 'dry', 'heat', 'check', 'in', 'under', 'lift', 'hang', 'off', 'set', 'flex'],
    'drip' => ['brush_water', 'blow_dry', 'warm_bottle', 'shake_bottle', 'drops', 'flex', 'how_much', 'leave', 'brush_in', 'uncover'],
    'box' => [
        'take_off',
        'brush_water',
        'blow_dry',
        'warm_bottle',
        'cover',
        'shake_box',
        'lift_slowly',
        'pour_back',
        'how_much',
        'leave',
        'brush_board',
        'sweep_up',
    ],
    'fit' => ['count', 'load_test', 'first_km'],
    'care' => ['cover_brake', 'pick_wax', 'degrease', 'wipe_degreaser', 'teeth', 'paint', 'uncover'],
];

it('leads ten bikes through every job that suits them: nothing impossible, nothing unsafe, in the order of the trade', function (
    array $bike,
): void {
    $chain = ($this->make)($bike);
    $stripped = isset($bike['drip_only']);
    $read = [];
    foreach (['strip', 'pot', 'box', 'fit', 'care'] as $job) {
        $read[$job] = ($this->steps)($job, $chain, $bike);
    }
    isset($bike['off']) || ($this->onBike)($chain);
    $read['drip'] = isset($bike['off']) ? null : ($this->steps)('drip', $chain, $bike);
    $read['strip_on_bike'] =
        in_array('strip', $bike['jobs'], true) && !isset($bike['off']) ? ($this->steps)('strip_on_bike', $chain, $bike) : null;
    foreach ($bike['jobs'] as $job) {
        expect($read[$job])->not->toBeNull("{$job} was refused");
    }
    foreach ($bike['refused'] ?? [] as $job) {
        expect($read[$job])->toBeNull("{$job} was not refused");
    }
    $impossible = [
        ...($bike['speeds'] ?? 12) === 1 ? ['/derailleur|jockey|\bcages?\b|\bgears\b|cross-chain|between each pair/'] : [],
        ...($bike['brakes'] ?? 'disc') === 'disc' ? ['/\brims?\b/'] : ['/\bdiscs?\b/'],
        ...($bike['joint'] ?? 'quick_link') === 'pin' ? ['/quick link/'] : ['/joining pin/'],
    ];
    foreach (array_filter($read) as $job => $steps) {
        $words = strtolower(
            implode(
                "\n",
                array_map(
                    fn(array $step) => implode("\n", [
                        $step['title'],
                        $step['text'],
                        ...array_column($step['ticks'], 'text'),
                        ...$step['cautions'],
                    ]),
                    $steps,
                ),
            ),
        );
        foreach ($impossible as $pattern) {
            preg_match('/.*(?:' . trim($pattern, '/') . ').*/', $words, $found);
            expect($found[0] ?? '')->toBe('', $job);
        }
        $codes = array_column($steps, 'code');
        // No parameter is left open, no step is without words or a caution.
        expect($words)
            ->not->toMatch('/:[a-z]+\b(?!\/)/', $job)
            ->and(array_filter($steps, fn(array $step) => $step['cautions'] === []))
            ->toBe([]);
        $places = array_map(fn(string $code) => array_search($code, $codes, true), TRADE_ORDER[$job]);
        $there = array_values(array_filter($places, is_int(...)));
        $sorted = $there;
        sort($sorted);
        expect($there)
            ->toBe($sorted, "{$job}: " . implode(' ', $codes))
            ->and(count($there))
            ->toBeGreaterThanOrEqual(2);
        unsafeSteps($job, $steps);
    }
    $stripped || expect(true)->toBeTrue();
})->with(fn() => array_map(fn(array $bike) => [$bike], tenBikes()));

/** What keeps people whole: never passed over, and no heat near solvent. */
function unsafeSteps(string $job, array $steps): void
{
    $by = array_column($steps, null, 'code');
    foreach (['prepare', 'check', 'heat', 'off', 'load_test', 'tension', 'brake', 'uncover', 'cover_brake'] as $code) {
        isset($by[$code]) && expect($by[$code]['skippable'])->toBeFalse("{$job}: {$code}");
    }
    if ($job === 'pot') {
        expect(array_column($by['check']['ticks'], 'key'))
            ->toContain('dry', 'no_smell')
            ->and(array_column($by['prepare']['ticks'], 'key'))
            ->toContain('jars_away');
    }
    if (str_starts_with($job, 'strip')) {
        $wet = false;
        foreach ($steps as $step) {
            $wet = $wet || $step['code'] === 'open';
            $wet && expect(strtolower($step['text']))->not->toMatch('/boiling water|hair dryer|oven/', "{$job}: {$step['code']}");
        }
        expect(implode(' ', $by['check']['cautions']))->toContain('No heat');
    }
    if ($job === 'drip' || $job === 'strip_on_bike') {
        $last = end($steps);
        expect(implode(' ', array_column($last['ticks'], 'key')))->toContain('bite');
    }
}
