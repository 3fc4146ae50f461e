<?php

declare(strict_types=1);

use App\Models\Role;
use App\Weather\KeptRain;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike();
    $this->bench->chain($this->heron, 'A', 1500, fit: true);
    $this->page = function (string $path): array {
        app()->forgetScopedInstances();

        return $this->get($path)->assertOk()->inertiaProps();
    };
    $this->set = function (string $kind): string {
        $values = ($this->page)('/settings')['values'];
        $this->put('/settings', ['action_id' => ($id = (string) Str::uuid()), 'weather' => $kind] + $values)->assertSessionHasNoErrors();

        return $id;
    };
    $this->table = fn(string $rows) => $this->post('/weather', ['file' => UploadedFile::fake()->createWithContent('rain.csv', $rows)]);
    // Dry from the 1st of November to the 10th of December, but for hours that are said otherwise.
    $this->rain = function (array $mm): void {
        $rows = "time,mm\n";
        for ($atS = (int) strtotime('2026-11-01 00:00 UTC'); $atS < strtotime('2026-12-10 00:00 UTC'); $atS += 3600) {
            $rows .= gmdate('Y-m-d H:i', $atS) . ',' . ($mm[gmdate('m-d H', $atS)] ?? 0) . "\n";
        }
        ($this->table)($rows)->assertSessionHasNoErrors();
    };
    $this->ride = function (string $date, string $time, string $condition): void {
        $this->post('/rides', [
            'action_id' => (string) Str::uuid(),
            'bike_id' => $this->heron->id,
            'date' => $date,
            'time' => $time,
            'distance' => 40,
            'hours' => '2:00',
            'condition' => $condition,
        ])->assertSessionHasNoErrors();
    };
});

it('proposes what a ride was like, once somebody turned it on, and changes nothing by itself', function (): void {
    ($this->ride)('2026-11-22', '09:00', 'dry');
    ($this->ride)('2026-11-23', '09:00', 'wet');
    ($this->ride)('2026-11-24', '09:00', 'dry');
    ($this->rain)(['11-22 10' => 2.5, '11-24 07' => 1.5]);
    // It is off until somebody says otherwise.
    expect(($this->page)('/rides')['wetter'])->toBe([]);
    $on = ($this->set)('table');
    $wetter = ($this->page)('/rides')['wetter'];
    expect(array_column($wetter, 'condition'))
        ->toBe(['damp', 'wet'])
        ->and($wetter[0]['text'])
        ->toContain('1.5 mm fell in the three hours before')
        ->and($wetter[1]['text'])
        ->toContain('2.5 mm fell on the way');
    $left = fn(): ?string => ($this->page)('/rides')['rides'][2]['condition'];
    expect($left())->toBe('dry');
    $this->post('/rides/condition', [
        'action_id' => (string) Str::uuid(),
        'rides' => [$wetter[1]['id']],
        'condition' => 'wet',
    ])->assertSessionHasNoErrors();
    expect($left())
        ->toBe('wet')
        ->and(array_column(($this->page)('/rides')['wetter'], 'condition'))
        ->toBe(['damp']);
    // Turned on by a setting like any other, and taken back like one.
    expect(json_encode(($this->page)('/history')['actions'][1]))->toContain('From a table');
    $this->post("/actions/{$on}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect(($this->page)('/rides')['wetter'])->toBe([]);
});

it('names wet days ahead, and plans one as wet by a tap', function (): void {
    // Tuesdays and Sundays at nine for eight weeks.
    for ($week = 8; $week > 0; $week--) {
        ($this->ride)(gmdate('Y-m-d', Bench::NOW - 86400 * (7 * $week - 6)), '09:00', 'dry');
        ($this->ride)(gmdate('Y-m-d', Bench::NOW - 86400 * (7 * $week - 4)), '09:00', 'dry');
    }
    ($this->set)('table');
    $before = ($this->page)('/ahead');
    expect($before['wetDays'])->toBe([]);
    ($this->rain)(['11-29 09' => 3.0, '12-01 09' => 3.0]);
    $day = ($this->page)('/ahead')['wetDays'][0];
    expect($day)
        ->toMatchArray(['bike' => $this->heron->id, 'date' => '2026-11-29', 'distance' => '40', 'condition' => 'wet'])
        ->and($day['text'])
        ->toContain('3.0 mm expected on the way');
    $this->post(
        '/ahead/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $day['bike'], 'from' => $day['date']] + [
            'distance' => $day['distance'],
            'condition' => $day['condition'],
            'name' => $day['name'],
        ],
    )->assertSessionHasNoErrors();
    $after = ($this->page)('/ahead');
    expect(array_column($after['wetDays'], 'date'))
        ->not->toContain('2026-11-29')
        ->and($after['rides'][0]['text'])
        ->toContain('rain expected');
    // A wet kilometre takes two and a half of a dry one: the coat is used up sooner.
    $at = fn(array $page): float => $page['plan']['lanes'][0]['days'][4]['after'];
    expect($at($after))->toBeLessThan($at($before));
});

it('takes tables of rain as they are, the newest of an hour, and forgets them', function (): void {
    $known = fn(): ?array => app(KeptRain::class)->known($this->bench->workshop);
    ($this->table)("time,mm\n2026-11-25 09:00,1\n2026-11-25 10:00,2\n")->assertSessionHasNoErrors();
    ($this->table)("time,mm\n2026-11-25 10:00,7\n")->assertSessionHasNoErrors();
    expect($known()[0])->toBe(2);
    expect(DB::table('rain_hours')->max('mm'))->toEqual(7);
    ($this->table)("time,mm\n2026-11-25 09:00,wet\n")->assertSessionHasErrors('file');
    expect(session('errors')->first('file'))->toContain('line 2');
    ($this->table)('')->assertSessionHasErrors('file');
    expect($known()[0])->toBe(2);
    ($this->set)('table');
    expect(Bench::deferred($this, '/settings', 'rain')['rain'])->toContain('2 hours');
    // Another workshop knows nothing of it, and who only looks changes nothing.
    $other = new Bench('other@test.example');
    expect(app(KeptRain::class)->known($other->workshop))->toBeNull();
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($this->bench->person(Role::Viewer));
    $this->delete('/weather')->assertForbidden();
    app('auth')->forgetGuards();
    app()->forgetScopedInstances();
    $this->actingAs($this->bench->owner)->delete('/weather')->assertRedirect();
    expect($known())->toBeNull();
});

it('gives rain out again: as a table that is read as it is, and in the file of the workshop', function (): void {
    ($this->table)("time,mm\n2026-11-25 09:00,1\n2026-11-25 10:00,2.4\n2026-11-25 12:00,0\n")->assertSessionHasNoErrors();
    $rain = fn(Bench $bench): array => app(KeptRain::class)->all($bench->workshop)->mm;
    $csv = $this->get('/export/rain_hours.csv')->assertOk()->streamedContent();
    $file = json_decode($json = $this->get('/export/workshop.json')->streamedContent(), true);
    $nineS = (int) strtotime('2026-11-25T09:00:00Z');
    expect($file['rain'])->toEqual([['at' => $nineS, 'mm' => [1.0, 2.4]], ['at' => $nineS + 3 * 3600, 'mm' => [0.0]]]);
    $mm = $rain($this->bench);
    expect($mm)->toBe([$nineS => 1.0, $nineS + 3600 => 2.4, $nineS + 3 * 3600 => 0.0]);

    $other = new Bench('other@test.example');
    $as = function (Bench $bench): void {
        app('auth')->forgetGuards();
        app()->forgetScopedInstances();
        $this->actingAs($bench->owner);
    };
    $restore = fn(string $json) => $this->post('/restore', ['file' => UploadedFile::fake()->createWithContent('w.json', $json)]);
    $as($other);
    ($this->table)($csv)->assertSessionHasNoErrors();
    expect($rain($other))->toBe($mm);
    // Restored, it is what the file says, and not what was there before.
    ($this->table)("time,mm\n2026-11-20 09:00,9\n")->assertSessionHasNoErrors();
    foreach (
        [
            ['at' => $nineS + 60, 'mm' => [1]],
            ['at' => 36 * 10 ** 13, 'mm' => [1]],
            ['at' => -3600, 'mm' => [1]],
            ['at' => $nineS, 'mm' => [401]],
            ['at' => $nineS, 'mm' => 'wet'],
            'rain',
        ]
        as $odd
    ) {
        $restore((string) json_encode(['rain' => [...$file['rain'], $odd]] + $file))->assertSessionHasErrors('file');
        expect(session('errors')->first('file'))->toContain('row 3 of rain');
    }
    expect($rain($other))->toHaveCount(4);
    $restore($json)->assertSessionHasNoErrors();
    expect($rain($other))->toBe($mm);
});

it('tries it with the stand-in: rides that came in have a proposal where it rained', function (): void {
    ($this->set)('simulated');
    $proposed = 0;
    for ($day = 1; $day <= 12; $day++) {
        $startS = Bench::NOW - 86400 * $day;
        $points = '';
        for ($n = 0; $n <= 60; $n++) {
            $points .= sprintf(
                '<trkpt lat="%.5f" lon="6.0"><time>%s</time></trkpt>',
                52 + 0.005 * $n,
                gmdate('Y-m-d\TH:i:s\Z', $startS + 120 * $n),
            );
        }
        $gpx =
            '<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>' .
            $points .
            '</trkseg></trk></gpx>';
        $this->post('/tracks', ['file' => UploadedFile::fake()->createWithContent("ride-{$day}.gpx", $gpx)])->assertSessionHasNoErrors();
    }
    foreach (($this->page)('/tracks')['tracks'] as $track) {
        $proposed += (int) str_contains($track['likely']['text'] ?? '', 'mm fell');
    }
    expect($proposed)->toBeGreaterThan(0)->toBeLessThan(12);
});
