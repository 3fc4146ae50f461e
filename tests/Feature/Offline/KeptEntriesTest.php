<?php

declare(strict_types=1);

use App\Actions\People\ManagePeople;
use App\Models\Membership;
use App\Models\Ride;
use App\Models\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\Bench;

// What a device kept while it could not reach the machine comes later, by the address of its form.

it('takes a kept entry once, answers without a page, and says what is wrong field by field', function (): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $bench->chain($heron, 'A', fit: true);
    $this->actingAs($bench->owner);
    $ride = [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $heron->id,
        'distance' => '31',
        'condition' => 'wet',
        'loud' => true,
        'date' => '2026-11-24',
        'time' => '19:20',
    ];
    $send = fn(array $entry) => $this->postJson('/rides', $entry, ['X-Dripel-Kept' => '1']);
    $send($ride)->assertNoContent();
    $send($ride)->assertNoContent();
    expect(Ride::query()->count())
        ->toBe(1)
        ->and(Ride::query()->sole()->at)
        ->toBe(1795548000);
    $send(['distance' => '32'] + $ride)
        ->assertConflict()
        ->assertJsonValidationErrors('action_id');
    $send(['action_id' => (string) Str::uuid(), 'distance' => ''] + $ride)
        ->assertUnprocessable()
        ->assertJsonValidationErrors('distance');
    $send(['action_id' => (string) Str::uuid(), 'bike_id' => 999] + $ride)->assertNotFound();
    // Nothing of it waits in the session to be told on the next page.
    $this->get('/')->assertInertia(fn(AssertableInertia $page) => $page->where('done', null));
    // Nor does a page that is fetched to be kept use up what the next one has to tell.
    $this->post('/rides', ['action_id' => (string) Str::uuid()] + $ride)->assertRedirect();
    $this->get('/', ['X-Dripel-Beside' => '1'])->assertOk();
    $this->get('/')->assertInertia(fn(AssertableInertia $page) => $page->whereNot('done', null));
    // The form itself goes on as before.
    $this->post('/rides', ['action_id' => (string) Str::uuid()] + $ride)->assertRedirect();
    $this->post('/sign-out');
    $send(['action_id' => (string) Str::uuid()] + $ride)->assertUnauthorized();
});

it('says for whom a device may keep the pages that are to open without the machine', function (): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $bench->chain($heron, 'A', fit: true);
    $member = $bench->person(Role::Member);
    $this->actingAs($member);
    $stay = (string) $this->get('/')->inertiaPage()['props']['here']['stay'];
    $this->post('/sign-out');
    $this->getJson($stay)->assertExactJson(['stays' => true]);
    app(ManagePeople::class)->remove(Membership::query()->where('user_id', $member->id)->sole());
    $this->getJson($stay)->assertExactJson(['stays' => false]);
    $this->getJson(str_replace("/{$member->id}?", "/{$bench->owner->id}?", $stay))->assertForbidden();
    $this->get('/offline')->assertInertia(
        fn(AssertableInertia $page) => $page->component('Offline/NotKept', shouldExist: false)->where('here', null),
    );
});

/**
 * What two people write down in one evening, minute by minute: [device, path, fields].
 *
 * @return list<array{int, string, array<string, mixed>}>
 */
function anEvening(Randomizer $random, int $heron, int $gull, array $chains): array
{
    [$a, $b, $c, $d] = $chains;
    $on = $a;
    $entries = [];
    foreach (range(1, $random->getInt(4, 6)) as $i) {
        $at = ['action_id' => (string) Str::uuid(), 'date' => '2026-11-25', 'time' => sprintf('09:%02d', 5 * $i)];
        $bike = [$heron, $gull][$random->getInt(0, 1)];
        $device = $random->getInt(0, 1);
        $entries[] = match ($random->getInt(0, 5)) {
            // Only the phone is at the bikes and at the pot.
            0 => [0, "/bikes/{$heron}/fittings", ['chain_id' => ($on = $on === $a ? $b : $a)] + $at],
            1 => [0, '/dips', ['chains' => [$d], 'dry' => true, 'rust_looked' => true] + $at],
            2 => [$device, "/bikes/{$bike}/noises", $at],
            3 => [$device, "/chains/{$c}/topups", ['distance' => 60, 'coats' => 1] + $at],
            4 => [
                $device,
                "/chains/{$chains[$random->getInt(0, 3)]}/readings",
                ['kind' => 'digital', 'instrument_id' => null, 'zero_pct' => 0, 'spots' => [['value_pct' => '0.2']], 'sure' => true] + $at,
            ],
            default => [
                $device,
                '/rides',
                ['bike_id' => $bike, 'distance' => $random->getInt(5, 60), 'condition' => 'wet', 'loud' => false] + $at,
            ],
        };
    }

    return $entries;
}

it('comes to the same figures in whatever order two devices send an evening, whatever is cut: 300 times', function (): void {
    $bench = new Bench();
    [$heron, $gull] = [$bench->bike(), $bench->bike('Gull')];
    $chains = [
        $bench->chain($heron, 'A', fit: true),
        $bench->chain($heron, 'B'),
        $bench->chain($gull, 'A', fit: true),
        $bench->chain($gull, 'B'),
    ];
    $this->actingAs($bench->owner);
    $random = new Randomizer(new Mt19937(20));
    $send = function (array $entry): void {
        $answer = $this->postJson($entry[1], $entry[2], ['X-Dripel-Kept' => '1']);
        expect([$answer->status(), (string) $answer->getContent()])->toBe([204, '']);
    };
    $figures = fn(): array => array_map(function ($chain) use ($bench): array {
        $state = $bench->state($chain);

        return [
            $state->status->value,
            round($state->leftKm(), 6),
            round($state->coat(), 9),
            $state->wear->result,
            $state->wear->atKm?->km,
            $state->wear->pastLimit,
            Ride::query()->count(),
        ];
    }, $chains);
    $entries = $online = [];
    foreach (range(0, Bench::times(300) - 1) as $turn) {
        DB::beginTransaction();
        if ($turn % 6 === 0) {
            $entries = anEvening($random, $heron->id, $gull->id, array_column($chains, 'id'));
            array_map($send, $entries);
            $online = $figures();
            DB::rollBack();
            DB::beginTransaction();
        }
        // Each device keeps its own order; an answer that was lost is asked for again.
        $queues = array_map(fn(int $device) => array_values(array_filter($entries, fn($one) => $one[0] === $device)), [0, 1]);
        while ($queues[0] !== [] || $queues[1] !== []) {
            $device = $queues[0] === [] ? 1 : ($queues[1] === [] ? 0 : $random->getInt(0, 1));
            $send($queues[$device][0]);
            $random->getInt(0, 5) === 0 || array_shift($queues[$device]);
        }
        expect($figures())->toEqual($online, "turn {$turn}: " . json_encode($entries));
        DB::rollBack();
    }
});
