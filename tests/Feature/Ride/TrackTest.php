<?php

declare(strict_types=1);

use App\Models\Ride;
use App\Models\Track;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

/** @param list<list<array{float, string|null}>> $segments latitudes at 5° east with times */
function gpxFile(array $segments, string $name = 'ride.gpx'): UploadedFile
{
    $body = '';
    foreach ($segments as $points) {
        $body .=
            '<trkseg>' .
            implode(
                '',
                array_map(
                    fn(array $p) => "<trkpt lat=\"{$p[0]}\" lon=\"5\">" . ($p[1] === null ? '' : "<time>{$p[1]}</time>") . '</trkpt>',
                    $points,
                ),
            ) .
            '</trkseg>';
    }

    return UploadedFile::fake()->createWithContent($name, "<?xml version=\"1.0\"?><gpx version=\"1.1\"><trk>{$body}</trk></gpx>");
}

/** Half an hour on the morning of the day before, with a pause, a gap and a point without time: 33.4 km. */
function morning(): UploadedFile
{
    return gpxFile([
        [[52.0, '2026-11-24T08:00:00Z'], [52.1, '2026-11-24T08:20:00Z'], [52.1, '2026-11-24T08:30:00Z'], [52.2, '2026-11-24T08:50:00Z']],
        [[52.5, null], [52.55, '2026-11-24T09:05:00Z'], [52.6, '2026-11-24T09:15:00Z']],
    ]);
}

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->a = $this->bench->chain($this->heron, 'A', fit: true);
    $this->actingAs($this->bench->owner);
    $this->keep = fn(Track $track, array $more = []) => $this->post(
        "/tracks/{$track->id}/keep",
        $more + [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $this->heron->id,
            'condition' => 'dry',
        ],
    );
});

it('looks at a ride, then keeps it, and knows it when it comes again', function (): void {
    $this->post('/tracks', ['file' => morning()])->assertRedirect();
    $track = Track::query()->sole();
    expect(Ride::query()->count())->toBe(0);
    $this->get("/tracks/{$track->id}?bike={$this->heron->id}&condition=damp")->assertInertia(
        fn(AssertableInertia $page) => $page
            ->component('Ride/Track')
            ->where('track.km', "33.4\u{a0}km")
            ->where('track.moving', "50\u{a0}min")
            ->where('track.elapsed', "1\u{a0}h\u{a0}15")
            ->where('outcomes.0.text', fn(string $text) => str_contains($text, 'Heron A') && str_contains($text, "249\u{a0}km"))
            ->where('same', null),
    );
    ($this->keep)($track)->assertSessionHasNoErrors()->assertRedirect('/rides');
    $ride = Ride::query()->live()->sole();
    expect($ride->km)
        ->toEqualWithDelta(33.38, 0.01)
        ->and($ride->hours)
        ->toEqualWithDelta(50 / 60, 1e-9)
        ->and(gmdate('c', $ride->at))
        ->toBe('2026-11-24T08:00:00+00:00')
        ->and(Track::query()->count())
        ->toBe(0)
        ->and($this->bench->state($this->a)->leftKm())
        ->toEqualWithDelta(300 - 33.38, 0.01);

    $this->post('/tracks', ['file' => morning()])->assertRedirect();
    $again = Track::query()->sole();
    $this->get("/tracks/{$again->id}")->assertInertia(
        fn(AssertableInertia $page) => $page->where('same', fn(string $text) => str_contains($text, 'logged already')),
    );
    ($this->keep)($again)->assertSessionHasErrors('file');
    $this->delete("/tracks/{$again->id}")->assertRedirect('/rides');
    expect(Ride::query()->count())
        ->toBe(1)
        ->and(Track::query()->count())
        ->toBe(0);

    // Taken back, it may be kept after all.
    $this->post("/actions/{$ride->action_id}/undo", ['action_id' => (string) Str::uuid()]);
    $this->post('/tracks', ['file' => morning()]);
    ($this->keep)(Track::query()->sole())->assertSessionHasNoErrors();
});

it('warns of a ride that was logged by hand for the same hours', function (): void {
    $this->post('/rides', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $this->heron->id,
        'distance' => 33,
        'hours' => '1:15',
        'condition' => 'dry',
        'date' => '2026-11-24',
        'time' => '07:50',
    ]);
    $this->post('/tracks', ['file' => morning()]);
    $this->get('/tracks/' . Track::query()->sole()->id)->assertInertia(
        fn(AssertableInertia $page) => $page->where('overlap', fn(string $text) => str_contains($text, '33.0')),
    );
});

it('asks for the day of a track without times', function (): void {
    $this->post('/tracks', ['file' => gpxFile([[[52.0, null], [52.1, null]]])]);
    ($this->keep)(Track::query()->sole(), ['date' => '2026-11-23'])->assertSessionHasNoErrors();
    $ride = Ride::query()->live()->sole();
    expect([$ride->hours, $ride->precision->value, gmdate('Y-m-d H:i:s', $ride->at)])->toBe([null, 'day', '2026-11-23 23:59:59']);
});

it('leaves nothing half stored when a file is no ride', function (Closure $file, string $says): void {
    $rows = Bench::rows();
    $this->post('/tracks', ['file' => $file()])->assertSessionHasErrors('file');
    expect(session('errors')->first('file'))->toContain($says)->and(Bench::rows())->toBe($rows);
})->with([
    'broken' => [fn() => UploadedFile::fake()->createWithContent('x.gpx', "<gpx>\n<trk><trkseg><trkpt lat="), 'line 2'],
    'empty' => [fn() => UploadedFile::fake()->createWithContent('x.gpx', ''), 'is empty'],
    'an external entity' => [
        fn() => UploadedFile::fake()->createWithContent('x.gpx', '<!DOCTYPE g [<!ENTITY x SYSTEM "file:///etc/passwd">]><gpx>&x;</gpx>'),
        'document type declaration',
    ],
    'a route only' => [fn() => UploadedFile::fake()->createWithContent('x.gpx', '<gpx><rte/></gpx>'), 'no recorded track'],
    'a picture' => [fn() => UploadedFile::fake()->createWithContent('x.png', "\x89PNG\r\n"), 'no ride file begins like this'],
    'too large' => [fn() => UploadedFile::fake()->create('x.gpx', 70 * 1024), '64 MB'],
    'no file' => [fn() => 'ride.gpx', 'did not arrive'],
]);

it('refuses a track from the future when it is to be kept', function (): void {
    $this->post('/tracks', [
        'file' => gpxFile([[[52.0, '2027-01-01T08:00:00Z'], [52.1, '2027-01-01T09:00:00Z']]]),
    ]);
    ($this->keep)(Track::query()->sole())->assertSessionHasErrors('file');
    expect(Ride::query()->count())->toBe(0);
});
