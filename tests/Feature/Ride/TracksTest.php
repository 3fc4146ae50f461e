<?php

declare(strict_types=1);

use App\Models\Ride;
use App\Models\Track;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

/** A file of a ride of about $km at 20 km/h, begun so many hours ago. */
function gpxRide(string $name, float $hoursAgo, float $km, bool $times = true): UploadedFile
{
    $points = '';
    for ($i = 0; $i <= 60; $i++) {
        $at = gmdate('Y-m-d\TH:i:s\Z', Bench::ago($hoursAgo)->unixS + (int) (($i * 60 * $km) / 20));
        // A degree of latitude is about 111.2 km.
        $points .= sprintf('<trkpt lat="%.7f" lon="6.1">%s</trkpt>', 52.0 + (($i / 60) * $km) / 111.26, $times ? "<time>{$at}</time>" : '');
    }

    return UploadedFile::fake()->createWithContent($name, "<gpx version=\"1.1\"><trk><trkseg>{$points}</trkseg></trk></gpx>");
}

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    [$this->heron, $this->badger] = [$this->bench->bike(), $this->bench->bike('Badger')];
    $this->chain = $this->bench->chain($this->heron, 'A', 900, fit: true);
    $this->send = fn(UploadedFile $file) => $this->postJson('/tracks/one', ['file' => $file]);
    $this->page = function (): array {
        $found = [];
        app()->forgetScopedInstances();
        $this->get('/tracks')->assertInertia(function (AssertableInertia $page) use (&$found): void {
            $found = $page->toArray()['props']['tracks'];
        });

        return $found;
    };
    $this->takeIn = fn(array $rides, ?string $id = null) => $this->post('/tracks/take-in', [
        'action_id' => $id ?? (string) Str::uuid(),
        'rides' => $rides,
    ]);
});

it('takes many files in at once: duplicates are told, a bike is proposed, one undo takes all back', function (): void {
    foreach (
        [['heron-morning.gpx', 100, 30.0], ['badger.gpx', 80, 25.0], ['heron-morning copy.gpx', 100, 30.0], ['x.gpx', 60, 12.0]]
        as [$name, $ago, $km]
    ) {
        ($this->send)(gpxRide($name, $ago, $km))->assertOk();
    }
    ($this->send)(UploadedFile::fake()->createWithContent('broken.gpx', '<gpx><trk>'))->assertJsonValidationErrors('file');
    // TCX is as welcome; a FIT file that is cut short is told.
    ($this->send)(
        UploadedFile::fake()->createWithContent(
            'evening.gpx',
            '<TrainingCenterDatabase><Activities><Activity><Lap><Track><Trackpoint><Time>2026-11-20T18:00:00Z</Time><Position><LatitudeDegrees>52</LatitudeDegrees><LongitudeDegrees>6</LongitudeDegrees></Position></Trackpoint><Trackpoint><Time>2026-11-20T18:30:00Z</Time><Position><LatitudeDegrees>52.1</LatitudeDegrees><LongitudeDegrees>6</LongitudeDegrees></Position></Trackpoint></Track></Lap></Activity></Activities></TrainingCenterDatabase>',
        ),
    )->assertOk();
    expect(Track::query()->where('name', 'evening.gpx')->sole()->km)->toEqualWithDelta(11.126, 0.01);
    Track::query()->where('name', 'evening.gpx')->delete();
    ($this->send)(
        UploadedFile::fake()->createWithContent('a.fit', "\x0e\x20\x8b\x08\x10\x00\x00\x00.FIT\x00\x00"),
    )->assertJsonValidationErrors('file');
    ($this->send)(gpxRide('no-times.gpx', 50, 10.0, times: false))->assertOk();
    ($this->send)(gpxRide('tomorrow.gpx', -20, 10.0))->assertOk();
    $rows = ($this->page)();
    expect(array_column($rows, 'against', 'name'))
        ->toMatchArray([
            'heron-morning.gpx' => null,
            'badger.gpx' => null,
            'x.gpx' => null,
            'heron-morning copy.gpx' => __('ui.tracks.against.twice'),
            'no-times.gpx' => __('ui.tracks.against.no_time'),
            'tomorrow.gpx' => __('ui.tracks.against.future'),
        ])
        ->and(array_column($rows, 'bike', 'name'))
        ->toMatchArray(['heron-morning.gpx' => $this->heron->id, 'badger.gpx' => $this->badger->id, 'x.gpx' => null]);

    $ids = array_column($rows, 'id', 'name');
    $ride = fn(string $name, ?int $bike, string $condition = 'dry'): array => [
        'track' => $ids[$name],
        'bike_id' => $bike,
        'condition' => $condition,
    ];
    $count = Bench::rows();
    ($this->takeIn)([$ride('heron-morning.gpx', $this->heron->id), $ride('no-times.gpx', null)])->assertSessionHasErrors('rides.1');
    ($this->takeIn)([$ride('heron-morning.gpx', $this->heron->id), $ride('tomorrow.gpx', $this->heron->id)])->assertSessionHasErrors(
        'rides.1',
    );
    ($this->takeIn)([
        $ride('heron-morning.gpx', $this->heron->id),
        $ride('heron-morning copy.gpx', $this->heron->id),
    ])->assertSessionHasErrors('rides.1');
    expect(Bench::rows())->toBe($count);

    $id = (string) Str::uuid();
    $wanted = [$ride('heron-morning.gpx', $this->heron->id, 'damp'), $ride('badger.gpx', $this->badger->id), $ride('x.gpx', null)];
    ($this->takeIn)($wanted, $id)->assertRedirect('/rides')->assertSessionHasNoErrors();
    // Sent twice it is done once.
    ($this->takeIn)($wanted, $id)->assertRedirect('/rides');
    expect(Ride::query()->live()->count())
        ->toBe(3)
        ->and($this->bench->state($this->chain)->km->km)
        ->toEqualWithDelta(30.0, 0.1)
        ->and($this->bench->state($this->chain)->leftKm())
        ->toEqualWithDelta(300 - 45, 0.2)
        ->and(Track::query()->count())
        ->toBe(3);
    // The copy is in the logbook now.
    expect(array_column(($this->page)(), 'against', 'name')['heron-morning copy.gpx'])->toContain('already logged, on Heron');
    $this->post("/actions/{$id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(Ride::query()->live()->count())
        ->toBe(0)
        ->and($this->bench->state($this->chain)->km->km)
        ->toBe(0.0);
    $this->delete('/tracks')->assertRedirect('/rides');
    expect(($this->page)())->toBe([]);
});

it('takes nothing of another workshop’s files', function (): void {
    ($this->send)(gpxRide('a.gpx', 30, 10.0))->assertOk();
    $track = Track::query()->sole();
    $other = new Bench('other@test.example');
    $this->actingAs($other->owner);
    ($this->takeIn)([['track' => $track->id, 'bike_id' => null, 'condition' => 'dry']])->assertNotFound();
    expect(($this->page)())
        ->toBe([])
        ->and(Ride::query()->count())
        ->toBe(0);
    $this->delete('/tracks');
    expect(Track::query()->count())->toBe(1);
});

it('shows the first of many at once and the others after the page, and knows which were there before', function (): void {
    $track = fn(int $n, string $print): Track => Track::query()->create([
        'id' => (string) Str::uuid(),
        'workshop_id' => $this->bench->workshop->id,
        'name' => "ride-{$n}.gpx",
        'start' => Bench::NOW - 86400 * (200 - $n),
        'km' => 30.0,
        'points' => 100,
        'segments' => 1,
        'fingerprint' => $print,
        'uploaded_at' => Bench::NOW,
    ]);
    array_map(fn(int $n) => $track($n, "print {$n}"), range(1, 119));
    $track(120, 'print 7');
    $this->get('/tracks')->assertInertia(
        fn(AssertableInertia $page) => $page
            ->has('tracks', 100)
            ->where('count', 120)
            ->missing('rest')
            ->loadDeferredProps(
                fn(AssertableInertia $late) => $late
                    ->has('rest', 20)
                    ->where('rest.0.name', 'ride-101.gpx')
                    ->where('rest.0.against', null)
                    ->where('rest.19.against', __('ui.tracks.against.twice')),
            ),
    );
});
