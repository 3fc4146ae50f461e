<?php

declare(strict_types=1);

use App\Devices\Connect;
use App\Devices\RideFolder;
use App\Devices\SimulatedBikeComputer;
use App\Models\Track;
use App\Ride\TrackSource;
use Dripel\Core\Ride\RideTrack;
use Illuminate\Support\Facades\File;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->bench->chain($this->heron, 'A', 200, fit: true);
    $this->bench->workshop->update(['demo' => true]);
    config(['dripel.inbox' => ($this->inbox = sys_get_temp_dir() . '/dripel-inbox-' . bin2hex(random_bytes(4)))]);
    $this->folder = RideFolder::path($this->bench->workshop);
    $this->gpx = fn(int $seed = 1): string => app(SimulatedBikeComputer::class)->gpx(Bench::NOW - 7200, 20.0, 25.0, $seed);
});
afterEach(fn() => File::deleteDirectory($this->inbox));

it('rides like a person: as far and as fast as was asked, the same for the same seed', function (int $seed): void {
    $text = ($this->gpx)($seed);
    $stream = fopen('php://memory', 'r+b');
    fwrite($stream, $text);
    rewind($stream);
    $ride = (new RideTrack())($stream);
    // Out by one road and home by another; the receiver wanders a little, and somebody stops now and then.
    expect($ride->km)
        ->toEqualWithDelta(20.0, 1.0)
        ->and(20.0 / $ride->movingHours)
        ->toEqualWithDelta(25.0, 3.0)
        ->and($ride->elapsedHours)
        ->toBeGreaterThanOrEqual($ride->movingHours - 0.01)
        ->and($ride->points)
        ->toBeGreaterThan(400)
        ->and(($this->gpx)($seed))
        ->toBe($text);
})->with([1, 7, 123]);

it('takes what lies in the watched folder once it has stopped growing, puts it away, and Next asks to look at it', function (): void {
    $this->artisan('dripel:rides', ['--by' => 'folder', '--bike' => 'Heron', '--count' => 2, '--km' => 12])->assertSuccessful();
    File::put("{$this->folder}/broken.gpx", '<gpx><trk>');
    File::put("{$this->folder}/.half.gpx.part", '<gpx');
    $this->artisan('dripel:watch', ['--once' => true, '--every' => 0])->assertSuccessful();
    expect(Track::query()->where('source', TrackSource::Inbox)->count())
        ->toBe(2)
        ->and(count(File::files("{$this->folder}/taken")))
        ->toBe(2)
        ->and(File::get("{$this->folder}/refused/broken.gpx.txt"))
        ->toContain('breaks off here')
        ->and(File::files($this->folder))
        ->toBe([]);
    // Another file by the same name is not laid over the first.
    File::put("{$this->folder}/broken.gpx", '<gpx><wpt>');
    $this->artisan('dripel:watch', ['--once' => true, '--every' => 0])->assertSuccessful();
    expect(File::get("{$this->folder}/refused/broken.gpx"))
        ->toBe('<gpx><trk>')
        ->and(count(File::glob("{$this->folder}/refused/*broken.gpx")))
        ->toBe(2);
    // The same again brings nothing new.
    foreach (File::files("{$this->folder}/taken") as $file) {
        File::copy($file->getPathname(), "{$this->folder}/again-{$file->getFilename()}");
    }
    $this->artisan('dripel:watch', ['--once' => true, '--every' => 0]);
    expect(Track::query()->count())->toBe(2);
    $this->actingAs($this->bench->owner)
        ->get('/')
        ->assertInertia(
            fn(AssertableInertia $page) => $page->where(
                'next',
                fn($next) => collect(Bench::steps($next))->contains(
                    fn(array $line) => $line['kind'] === 'rides_in' &&
                        $line['verb'] === 'look' &&
                        str_contains($line['reason'], '2 files wait'),
                ),
            ),
        );
    $this->get('/tracks')->assertInertia(
        fn(AssertableInertia $page) => $page->count('tracks', 2)->where('tracks.0.inbox', true)->where('tracks.0.bike', $this->heron->id),
    );
    $this->artisan('dripel:rides', ['--bike' => 'Nobody'])->assertFailed();
});

it('takes what a bike computer sends with its token, once, and nothing from another thing', function (): void {
    [$device, $token] = app(Connect::class)->bikeComputer($this->bench->workshop, 'Bar');
    [, $gauge] = app(Connect::class)->gauge($this->bench->workshop, 'Gauge');
    $send = fn(string $token, string $query, string $body) => tap(
        $this->call(
            'POST',
            "/api/v1/rides?{$query}",
            server: [
                'HTTP_AUTHORIZATION' => "Bearer {$token}",
                'HTTP_ACCEPT' => 'application/json',
                'CONTENT_TYPE' => 'application/gpx+xml',
            ],
            content: $body,
        ),
        fn() => app('auth')->forgetGuards(),
    );
    $send($token, 'sequence=4&name=evening.gpx', ($this->gpx)())
        ->assertOk()
        ->assertExactJson(['taken' => 1, 'known' => 0]);
    $send($token, 'sequence=4&name=evening.gpx', ($this->gpx)())
        ->assertOk()
        ->assertExactJson(['taken' => 0, 'known' => 1]);
    // Another number, the same ride: it is in the list already.
    $send($token, 'sequence=5', ($this->gpx)())
        ->assertOk()
        ->assertExactJson(['taken' => 0, 'known' => 1]);
    expect(Track::query()->sole()->name)
        ->toBe('evening.gpx')
        ->and($device->refresh()->seen_at)
        ->toBe(Bench::NOW);
    $send($token, 'sequence=6', '<gpx')->assertUnprocessable();
    $send($token, 'name=x', ($this->gpx)(2))->assertUnprocessable();
    $send($gauge, 'sequence=1', ($this->gpx)(2))->assertForbidden();
    $send('9|nonsense', 'sequence=1', ($this->gpx)(2))->assertUnauthorized();
    app(Connect::class)->disconnect($device);
    $send($token, 'sequence=7', ($this->gpx)(2))->assertUnauthorized();
    expect(Track::query()->count())->toBe(1);
});
