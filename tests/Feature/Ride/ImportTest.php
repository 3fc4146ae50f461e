<?php

declare(strict_types=1);

use App\Actions\Ride\ReadArchive;
use App\Actions\Ride\ResumeImports;
use App\Jobs\ReadRideFiles;
use App\Models\Ride;
use App\Models\RideImport;
use App\Models\Track;
use App\Ride\ImportState;
use App\Support\AppClock;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Precision;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    config(['dripel.imports' => ($this->folder = sys_get_temp_dir() . '/dripel-imports-' . bin2hex(random_bytes(4)))]);
    $this->heron = $this->bench->bike();
    $this->badger = $this->bench->bike('Badger');
    $this->gpx = fn(string $day, float $km): string => '<gpx version="1.1"><trk><trkseg>' .
        implode(
            '',
            array_map(
                fn(int $i) => sprintf(
                    '<trkpt lat="%.6f" lon="6.1"><time>%sT10:%02d:00Z</time></trkpt>',
                    52 + (($i / 20) * $km) / 111.26,
                    $day,
                    $i,
                ),
                range(0, 20),
            ),
        ) .
        '</trkseg></trk></gpx>';
    $this->zip = function (array $files): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
        }
        $zip->close();

        return $path;
    };
    $this->drop = fn(string $path, string $name) => $this->post('/tracks', ['file' => new UploadedFile($path, $name, test: true)]);
    $this->csv = function (string $text, string $name = 'rides.csv') {
        file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'csv'), $text);

        return ($this->drop)($path, $name);
    };
    $this->list = function (): array {
        $found = [];
        app()->forgetScopedInstances();
        $this->get('/tracks')->assertInertia(function (AssertableInertia $page) use (&$found): void {
            $found = $page->toArray()['props'];
        });

        return $found;
    };
});
afterEach(fn() => File::deleteDirectory($this->folder));

it('reads an archive: what is no ride is said, paths in names are only names, nothing is unpacked', function (): void {
    $inner = ($this->zip)(['x.gpx' => '1']);
    ($this->drop)(
        ($this->zip)([
            'rides/heron one.gpx' => ($this->gpx)('2026-11-20', 10),
            '../../etc/passwd' => '/etc',
            'C:\\rides\\two.gpx' => ($this->gpx)('2026-11-21', 20),
            '__MACOSX/._two.gpx' => 'x',
            '.hidden' => 'x',
            'folder/' => '',
            'loop.fit' => (string) file_get_contents(dirname(__DIR__, 2) . '/fixtures/fit/loop.fit'),
            'south.fit.gz' => (string) gzencode((string) file_get_contents(dirname(__DIR__, 2) . '/fixtures/fit/south.fit')),
            'cut.fit' => substr((string) file_get_contents(dirname(__DIR__, 2) . '/fixtures/fit/loop.fit'), 0, 500),
            'inner.zip' => (string) file_get_contents($inner),
            'table.csv' => "Date,km\n2026-11-20,3",
            'broken.gpx' => '<gpx><trk>',
            'bomb.gpx' => str_repeat(' ', 20_000_000),
        ]),
        'all.zip',
    )->assertRedirect('/tracks');
    $list = ($this->list)();
    expect(array_column($list['tracks'], 'name'))
        ->toBe(['south.fit.gz', 'loop.fit', 'heron one.gpx', 'two.gpx'])
        ->and($list['imports'][0])
        ->toMatchArray(['state' => 'done', 'done' => 10, 'total' => 10, 'text' => '4 of 10 could be read'])
        ->and(implode("\n", $list['imports'][0]['failures']))
        ->toContain('passwd')
        ->toContain('is a zip within another')
        ->toContain('table.csv: This file is a table')
        ->toContain('broken.gpx')
        ->toContain('cut.fit: This file is cut short')
        ->toContain('bomb.gpx: It unpacks to far more')
        ->and(File::files($this->folder))
        ->toBe([]);
    // What is no archive at all, and one that is cut short.
    file_put_contents($cut = (string) tempnam(sys_get_temp_dir(), 'zip'), substr((string) file_get_contents($inner), 0, 40));
    ($this->drop)($cut, 'cut.zip')->assertSessionHasErrors('file');
    ($this->drop)(($this->zip)(['__MACOSX/x' => '']), 'none.zip')->assertSessionHasErrors('file');
    $this->delete("/ride-imports/{$list['imports'][0]['id']}")->assertRedirect('/tracks');
    expect(RideImport::query()->count())
        ->toBe(0)
        ->and(Track::query()->count())
        ->toBe(4);
});

it('takes what was packed by gzip for what is in it: a ride, a table, an archive', function (): void {
    $packed = function (string $content): string {
        file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'gz'), gzencode($content));

        return $path;
    };
    $fit = (string) file_get_contents(dirname(__DIR__, 2) . '/fixtures/fit/loop.fit');
    ($this->drop)($packed($fit), 'evening.fit.gz')->assertSessionHasNoErrors();
    ($this->drop)($packed("Date,km\n2026-11-20,3"), 'old.csv.gz')->assertRedirectContains('/columns');
    ($this->drop)(
        $packed((string) file_get_contents(($this->zip)(['two.gpx' => ($this->gpx)('2026-11-21', 20)]))),
        'all.zip.gz',
    )->assertRedirect('/tracks');
    expect(Track::query()->orderBy('name')->pluck('name')->all())->toBe(['evening.fit', 'two.gpx']);
    // Cut short, damaged, and packed twice with something else behind it.
    file_put_contents($cut = (string) tempnam(sys_get_temp_dir(), 'gz'), substr((string) gzencode($fit), 0, 200));
    ($this->drop)($cut, 'cut.fit.gz')->assertSessionHasErrors([
        'file' => __('errors.file', ['problem' => 'is packed by gzip and cut short: copy it once more']),
    ]);
    file_put_contents($cut, "\x1f\x8b\x08\0\0\0\0\0\0\3" . 'no packing at all');
    ($this->drop)($cut, 'damaged.fit.gz')->assertSessionHasErrors('file');
    file_put_contents($cut, gzencode((string) gzencode($fit)));
    ($this->drop)($cut, 'twice.fit.gz.gz')->assertSessionHasErrors([
        'file' => __('errors.file', ['problem' => 'is packed by gzip twice: unpack it once, then try again']),
    ]);
    file_put_contents($cut, gzencode(substr($fit, 0, 900)) . gzencode(substr($fit, 900)) . str_repeat("\0", 64));
    ($this->drop)($cut, 'pieces.fit.gz')->assertSessionHasNoErrors();
    expect(Track::query()->where('points', 120)->count())->toBe(2);
});

it('goes on by itself when its reader was killed, also again, and leaves out the file that kills it', function (): void {
    Queue::fake();
    $files = array_map(fn(int $n) => ($this->gpx)("2026-11-0{$n}", $n), [1, 2, 3, 4]);
    ($this->drop)(($this->zip)(array_combine(['a.gpx', 'b.gpx', 'c.gpx', 'd.gpx'], $files)), 'all.zip')->assertRedirect('/tracks');
    Queue::assertPushed(ReadRideFiles::class, 1);
    $import = RideImport::query()->sole();
    $resume = app(ResumeImports::class);
    // As long as it moves on, nobody takes it up.
    expect($resume())->toBe(0);
    // The queue is long: another reader is sent, the first one then does nothing, and no file is left out for that.
    app(AppClock::class)->stopAt(Bench::NOW + 31);
    expect($resume())->toBe(1)->and($resume())->toBe(0);
    Queue::assertPushed(ReadRideFiles::class, 2);
    app()->call([new ReadRideFiles($import->id, 0), 'handle']);
    expect($import->refresh()->done)->toBe(0);
    foreach (range(2, 6) as $minutes) {
        app(AppClock::class)->stopAt(Bench::NOW + 60 * $minutes);
        expect($resume())->toBe(1);
    }
    // Killed at b, three times over: begun, and never through.
    RideImport::query()->update(['done' => 1, 'tries' => 3]);
    app()->call([new ReadRideFiles($import->id, $import->refresh()->reader), 'handle']);
    expect($import->refresh()->state)
        ->toBe(ImportState::Done)
        ->and($import->failures)
        ->toBe([['name' => 'b.gpx', 'why' => __('errors.file_kills')]])
        ->and(Track::query()->orderBy('position')->pluck('name')->all())
        ->toBe(['c.gpx', 'd.gpx'])
        ->and($resume())
        ->toBe(0);
});

it('can be stopped and goes on where it was, and takes nothing twice', function (): void {
    Queue::fake();
    ($this->drop)(
        ($this->zip)(
            array_combine(
                array_map(fn(int $n) => "r{$n}.gpx", range(1, 5)),
                array_map(fn(int $n) => ($this->gpx)("2026-11-0{$n}", 10), range(1, 5)),
            ),
        ),
        'all.zip',
    );
    $import = RideImport::query()->sole();
    $read = app(ReadArchive::class);
    // No time: nothing is read. Stopped: nothing either.
    expect($read($import, 0.0))->toBeTrue()->and($import->refresh()->done)->toBe(0);
    $this->post("/ride-imports/{$import->id}/stop")->assertRedirect('/tracks');
    expect($read($import, 9.0))
        ->toBeFalse()
        ->and(Track::query()->count())
        ->toBe(0)
        ->and(($this->list)()['imports'][0]['text'])
        ->toBe('Stopped at 0 of 5');
    $this->post("/ride-imports/{$import->id}/go-on");
    Queue::assertPushed(ReadRideFiles::class, 2);
    // A worker that died after the first two, and one that comes late: each file once.
    RideImport::query()
        ->whereKey($import->id)
        ->update(['done' => 2]);
    expect($read($import, 9.0))
        ->toBeFalse()
        ->and(Track::query()->pluck('name')->sort()->values()->all())
        ->toBe(['r3.gpx', 'r4.gpx', 'r5.gpx'])
        ->and($import->refresh()->state)
        ->toBe(ImportState::Done)
        ->and($read($import, 9.0))
        ->toBeFalse()
        ->and(Track::query()->count())
        ->toBe(3);
});

it('asks what the columns of a table are, remembers it, and takes its rides in like the others', function (): void {
    $text = "Day;Strecke;Moving (s);Gear;Weather\n24.11.2026 14:05;42,5;5400;badger;rain\n25.11.2026;12;;;\n30.11.2026;5;;;\nnever;5;;;\n";
    $page = ($this->csv)($text)->headers->get('Location');
    $import = RideImport::query()->sole();
    expect($page)->toEndWith("/ride-imports/{$import->id}/columns");
    $said = [];
    $this->get($page)->assertInertia(function (AssertableInertia $page) use (&$said): void {
        $said = $page->component('Ride/Table')->toArray()['props'];
    });
    expect($said['proposed'])
        ->toMatchArray(['distance' => 'km', 'duration' => 's', 'day_first' => true, 'remembered' => false])
        ->and((array) $said['proposed']['at'])
        ->toEqual(['start' => 0, 'distance' => 1, 'duration' => 2, 'bike' => 3, 'condition' => 4]);
    $columns = ['at' => (array) $said['proposed']['at'], 'distance' => 'km', 'duration' => 's', 'day_first' => true];
    $this->postJson("/ride-imports/{$import->id}/preview", ['at' => ['start' => 0]] + $columns)->assertJsonValidationErrors('distance');
    $preview = $this->postJson("/ride-imports/{$import->id}/preview", $columns)
        ->assertOk()
        ->json();
    expect(str_replace("\u{a0}", ' ', $preview['rides'][0]))
        ->toBe('Tue 24 Nov 2026, 14:05, 42.5 km, 1 h 30, badger, wet')
        ->and($preview['count'])
        ->toBe('3 rides')
        ->and($preview['faults'][0])
        ->toContain('Line 5: the start');
    $this->post("/ride-imports/{$import->id}/read", $columns)->assertRedirect('/tracks');
    $list = ($this->list)();
    expect($list['imports'])
        ->toBe([])
        ->and(array_column($list['tracks'], 'against'))
        ->toBe([null, null, __('ui.tracks.against.future')])
        ->and($list['tracks'][0])
        ->toMatchArray(['bike' => $this->badger->id, 'condition' => 'wet', 'because' => 'as the table says']);
    $take = array_map(
        fn(array $track) => ['track' => $track['id'], 'bike_id' => $track['bike'], 'condition' => $track['condition'] ?? 'dry'],
        array_slice($list['tracks'], 0, 2),
    );
    $this->post('/tracks/take-in', ['action_id' => (string) Str::uuid(), 'rides' => $take])->assertSessionHasNoErrors();
    $rides = Ride::query()->live()->orderBy('at')->get();
    expect($rides[0]->condition)
        ->toBe(Condition::Wet)
        ->and($rides[0]->hours)
        ->toBe(1.5)
        ->and($rides[1]->precision)
        ->toBe(Precision::Day)
        ->and($rides[1]->at)
        ->toBe(Bench::NOW + 43199);
    // The next table with these columns is understood at once, and the same rows are known; another file of the first ride looks alike.
    $this->delete('/tracks');
    ($this->csv)($text);
    $next = RideImport::query()->sole();
    $this->get("/ride-imports/{$next->id}/columns")->assertInertia(
        fn(AssertableInertia $page) => $page->where('proposed.remembered', true),
    );
    $this->post("/ride-imports/{$next->id}/read", $columns);
    file_put_contents($gpx = (string) tempnam(sys_get_temp_dir(), 'gpx'), str_replace('T10:', 'T14:', ($this->gpx)('2026-11-24', 42.0)));
    $this->postJson('/tracks/one', ['file' => new UploadedFile($gpx, 'again.gpx', test: true)])->assertOk();
    $list = ($this->list)();
    $by = array_column($list['tracks'], null, 'name');
    expect($by['line 2 of rides.csv']['against'])
        ->toContain('already logged')
        ->and($by['again.gpx']['alike'])
        ->toContain('probably logged already');
});

it('says of a table that is none what is wrong, and keeps nothing', function (string $text): void {
    ($this->csv)($text)->assertSessionHasErrors('file');
    expect(RideImport::query()->count())
        ->toBe(0)
        ->and(File::isDirectory($this->folder) ? File::files($this->folder) : [])
        ->toBe([]);
})->with([
    'one line of ten megabytes' => fn() => "Date,km\n" . str_repeat('9,', 5_000_000),
    'too large' => fn() => "Date,km\n" . str_repeat("2026-11-24,9\n", 1_400_000),
]);

it('proposes what it was like, and sets many rides at once', function (): void {
    foreach ([20, 21, 22, 23] as $day) {
        $this->post('/rides', [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $this->heron->id,
            'distance' => 20,
            'condition' => 'damp',
            'date' => "2026-11-{$day}",
            'time' => '08:00',
        ])->assertSessionHasNoErrors();
    }
    file_put_contents($gpx = (string) tempnam(sys_get_temp_dir(), 'gpx'), ($this->gpx)('2026-11-24', 42.0));
    $this->post('/tracks', ['file' => new UploadedFile($gpx, 'heron.gpx', test: true)]);
    expect(($this->list)()['tracks'][0]['likely'])
        ->toBe(['value' => 'damp', 'text' => 'damp? So were 4 of 4 in the week before'])
        ->and(($this->list)()['tracks'][0]['condition'])
        ->toBeNull();
    $rides = Ride::query()->live()->pluck('id')->all();
    $this->post('/rides/condition', [
        'action_id' => (string) Str::uuid(),
        'rides' => $rides,
        'condition' => 'dry',
    ])->assertSessionHasNoErrors();
    expect(Ride::query()->live()->pluck('condition')->unique()->all())->toBe([Condition::Dry]);
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", [
        'action_id' => (string) Str::uuid(),
        'also' => [],
    ])->assertSessionHasNoErrors();
    expect(Ride::query()->live()->pluck('condition')->unique()->all())->toBe([Condition::Damp]);
});
