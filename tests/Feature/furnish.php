<?php

declare(strict_types=1);

use App\Models\Bottle;
use App\Models\Commute;
use App\Models\Device;
use App\Models\Dip;
use App\Models\Estimate;
use App\Models\Instrument;
use App\Models\Invitation;
use App\Models\Jar;
use App\Models\Membership;
use App\Models\Opening;
use App\Models\Part;
use App\Models\Passkey;
use App\Models\Pot;
use App\Models\Price;
use App\Models\Protocol;
use App\Models\Ride;
use App\Models\RideImport;
use App\Models\Track;
use App\Ride\ImportState;
use Dripel\Core\Ride\RideFileKind;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

/** One workshop with one of everything. @return array<string, mixed> ids by name */
function furnish(Bench $bench): array
{
    $bike = $bench->bike();
    $chain = $bench->chain($bike, 'A', fit: true);
    $other = $bench->chain($bike, 'B');
    $ride = (string) Str::uuid();
    test()
        ->actingAs($bench->owner)
        ->post('/rides', ['action_id' => $ride, 'bike_id' => $bike->id, 'distance' => 20, 'condition' => 'dry'] + Bench::form(2))
        ->assertRedirect();
    test()->post('/invitations', ['role' => 'member']);
    $track = Track::query()->create([
        'id' => (string) Str::uuid(),
        'workshop_id' => $bench->workshop->id,
        'name' => 'x.gpx',
        'start' => Bench::NOW - 7200,
        'km' => 10,
        'points' => 9,
        'segments' => 1,
        'fingerprint' => "f{$bench->workshop->id}",
        'uploaded_at' => Bench::NOW,
    ]);
    test()
        ->post('/arrive', [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $bike->id,
            'date' => gmdate('Y-m-d', Bench::NOW),
            'chains' => [['label' => 'U', 'state' => 'unsure']],
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post('/commutes', [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $bike->id,
            'weekdays' => [7],
            'time' => '08:00',
            'distance' => 5,
            'condition' => 'dry',
            'from' => '2026-11-25',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post("/bikes/{$bike->id}/estimates", [
            'action_id' => (string) Str::uuid(),
            'by' => 'distance',
            'distance' => 9,
            'from' => '2026-11-20',
            'to' => '2026-11-21',
            'condition' => 'dry',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post(
            '/jars',
            ['action_id' => (string) Str::uuid(), 'name' => 'Dirty', 'role' => 'dirty', 'solvent' => 'white_spirit', 'volume_ml' => 500] +
                Bench::form(3),
        )
        ->assertSessionHasNoErrors();
    test()
        ->post('/prices', [
            'action_id' => (string) Str::uuid(),
            'supply' => 'wax',
            'amount' => 10,
            'quantity' => 500,
            'date' => '2026-11-01',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post('/pots', [
            'action_id' => (string) Str::uuid(),
            'name' => 'Pot',
            'kind' => 'pan',
            'low' => 60,
            'diameter' => 120,
            'height' => 90,
            'wax' => 'plain',
        ])
        ->assertSessionHasNoErrors();
    test()
        ->post('/pots/' . Pot::query()->in($bench->workshop)->sole()->id . '/bath', ['act' => 'fill', 'wax' => 400] + Bench::form(2))
        ->assertSessionHasNoErrors();
    test()
        ->postJson('/pots/' . Pot::query()->in($bench->workshop)->sole()->id . '/devices', ['name' => 'Probe'])
        ->assertOk();
    test()
        ->post('/instruments', ['action_id' => (string) Str::uuid(), 'name' => 'Gauge', 'kind' => 'drop_in', 'marks' => '0.5'])
        ->assertSessionHasNoErrors();
    RideImport::query()->create([
        'id' => ($import = (string) Str::uuid()),
        'workshop_id' => $bench->workshop->id,
        'kind' => RideFileKind::Zip,
        'name' => 'x.zip',
        'state' => ImportState::Stopped,
        'total' => 1,
        'failures' => [],
        'started_at' => Bench::NOW,
    ]);
    test()
        ->post('/bottles', ['action_id' => (string) Str::uuid(), 'name' => 'Drip', 'volume' => 120])
        ->assertSessionHasNoErrors();
    test()
        ->post(
            "/bikes/{$bike->id}/parts",
            ['action_id' => (string) Str::uuid(), 'kind' => 'cassette', 'name' => 'Cassette'] + Bench::form(2),
        )
        ->assertSessionHasNoErrors();
    test()
        ->post('/links', ['action_id' => (string) Str::uuid(), 'name' => 'Spare', 'speeds' => 12, 'count' => 1])
        ->assertSessionHasNoErrors();
    $boxed = $bench->chain($bike, 'N', null);
    $job = (string) Str::uuid();
    test()
        ->post('/strip', ['action_id' => $job, 'chains' => [$boxed->id], 'protocol' => 'two_bottles'])
        ->assertRedirect("/jobs/{$job}");
    test()
        ->post('/protocols', [
            'action_id' => (string) Str::uuid(),
            'name' => 'Mine',
            'steps' => [
                ['kind' => 'bath', 'solvent' => 'isopropyl_alcohol', 'volume_ml' => 200, 'moves' => [['kind' => 'shake', 'seconds' => 60]]],
                ['kind' => 'dry', 'seconds' => 3600],
            ],
        ])
        ->assertSessionHasNoErrors();
    app('auth')->forgetGuards();

    return [
        'job' => $job,
        'device' => Device::query()->in($bench->workshop)->sole()->id,
        'signIn' => $bench->signIn()->id,
        'passkey' => Passkey::query()->create([
            'user_id' => $bench->owner->id,
            'credential' => "of {$bench->owner->id}",
            'public_key' => '',
            'counter' => 0,
            'host' => 'localhost',
            'phone' => true,
            'added_at' => 1,
        ])->id,
        'pot' => Pot::query()->in($bench->workshop)->sole()->id,
        'price' => Price::query()->in($bench->workshop)->sole()->id,
        'instrument' => Instrument::query()->in($bench->workshop)->sole()->id,
        'import' => $import,
        'bottle' => Bottle::query()->in($bench->workshop)->sole()->id,
        'part' => Part::query()->in($bench->workshop)->where('kind', 'cassette')->sole()->id,
        'link' => Part::query()->in($bench->workshop)->where('kind', 'quick_link')->sole()->id,
        'jar' => Jar::query()->in($bench->workshop)->sole()->id,
        'protocol' => Protocol::query()->in($bench->workshop)->sole()->id,
        'code' => 'own-' . Protocol::query()->in($bench->workshop)->sole()->id,
        'workshop' => $bench->workshop->id,
        'bike' => $bike->id,
        'chain' => $other->id,
        'ride' => Ride::query()->in($bench->workshop)->sole()->id,
        'track' => $track->id,
        'action' => $ride,
        'invitation' => Invitation::query()->in($bench->workshop)->sole()->id,
        'opening' => Opening::query()->in($bench->workshop)->sole()->id,
        'estimate' => Estimate::query()->in($bench->workshop)->sole()->id,
        'commute' => Commute::query()->in($bench->workshop)->sole()->id,
        'table' => 'rides',
        'membership' => Membership::query()->where('workshop_id', $bench->workshop->id)->orderBy('id')->firstOrFail()->id,
        'entry' => Dip::query()->in($bench->workshop)->firstOrFail()->id,
        'type' => 'dips',
        'token' => 'none',
    ];
}
