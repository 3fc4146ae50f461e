<?php

declare(strict_types=1);

use App\Devices\Connect;
use App\Models\GuidedJob;
use App\Models\Temperature;
use App\Models\Track;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Tests\Feature\Bench;
use Tests\Feature\WrittenDemo;

/**
 * A second bookkeeper: reads the file of a workshop by docs/workshop-file.md alone, knows nothing of the core, and comes to the km and the
 * wax left of each chain whose bike was logged ride by ride.
 *
 * @param array<string, list<array<string, mixed>>> $tables
 *
 * @return array<int, array{km: float, left: float|null}>
 */
function secondBookkeeper(array $tables, int $nowS): array
{
    // What stands in the file and was not taken back, in order of time.
    $lives = [];
    foreach ($tables as $table => $rows) {
        $rows = $table === 'actions' ? [] : array_filter($rows, fn(array $row) => $row['voided_by'] === null && ($row['at'] ?? 0) <= $nowS);
        usort($rows, fn(array $a, array $b) => [$a['at'] ?? 0, $a['sequence'], $a['id']] <=> [$b['at'] ?? 0, $b['sequence'], $b['id']]);
        $lives[$table] = $rows;
    }
    $live = fn(string $table): array => $lives[$table];
    $settings = $live('settings');
    $setting = function (string $key, ?int $bike, int $atS) use ($settings): mixed {
        $rows = array_filter($settings, fn(array $row) => $row['key'] === $key && $row['bike_id'] === $bike && $row['at'] <= $atS);

        return array_last($rows)['value'] ?? null;
    };
    $usual = ['indoor' => 0.8, 'dry' => 1.0, 'dusty' => 1.5, 'damp' => 1.5, 'wet' => 2.5, 'muddy' => 3.5];
    $guessed = [...array_column($live('estimates'), 'bike_id'), ...array_column($live('commutes'), 'bike_id')];
    [$fittings, $rides, $found] = [array_filter($live('fittings'), fn(array $one) => $one['slot'] === 'chain'), $live('rides'), []];
    // From when to when each chain was on which bike: until that bike got another, or it went to another.
    $spans = [];
    foreach (array_values($fittings) as $n => $one) {
        $ends = array_filter(
            array_slice(array_values($fittings), $n + 1),
            fn(array $later) => $later['bike_id'] === $one['bike_id'] || $later['component_id'] === $one['component_id'],
        );
        $one['component_id'] === null ||
            ($spans[$one['component_id']][] = [$one['bike_id'], $one['at'], array_first($ends)['at'] ?? PHP_INT_MAX]);
    }
    $bikeOf = function (int $chain, int $atS) use ($spans): ?int {
        foreach ($spans[$chain] ?? [] as [$bike, $fromS, $untilS]) {
            if ($fromS <= $atS && $atS < $untilS) {
                return $bike;
            }
        }

        return null;
    };
    foreach (array_filter($tables['components'], fn(array $one) => $one['kind'] === 'chain' && $one['voided_by'] === null) as $chain) {
        $id = $chain['id'];
        $bikes = array_unique(array_column(array_filter($fittings, fn(array $one) => $one['component_id'] === $id), 'bike_id'));
        $opening = array_last(array_filter($live('openings'), fn(array $one) => $one['component_id'] === $id));
        if (array_intersect($bikes, $guessed) !== [] || ($opening !== null && $opening['km'] === null)) {
            continue;
        }
        $of = fn(string $table): array => array_values(array_filter($live($table), fn(array $one) => $one['component_id'] === $id));
        $mine = array_filter($rides, fn(array $ride) => $ride['bike_id'] !== null && $bikeOf($id, $ride['at']) === $ride['bike_id']);
        $km = $opening['km'] ?? 0.0;
        foreach ($mine as $ride) {
            $km += $opening === null || $ride['at'] > $opening['at'] ? $ride['km'] : 0.0;
        }
        $dip = array_last($of('dips'));
        $left = null;
        $home =
            array_last(array_filter($settings, fn(array $one) => $one['key'] === 'chain.home' && $one['component_id'] === $id))['value'] ??
            null;
        $noise = array_last(array_filter($live('noises'), fn(array $one) => $bikeOf($id, $one['at']) === $one['bike_id']));
        $since = [...array_column($of('strips'), 'at'), ...array_column($of('oilings'), 'at'), $noise['at'] ?? 0];
        if ($dip !== null && !$dip['partly'] && max($since) < $dip['at'] && is_numeric($home)) {
            $interval = (float) ($setting('bike.interval_km', (int) $home, $nowS) ?? 300.0);
            $used = 0.0;
            $steps = [...$mine, ...$of('topups')];
            usort($steps, fn(array $a, array $b) => $a['at'] <=> $b['at']);
            foreach ($steps as $step) {
                if ($step['at'] > $dip['at']) {
                    $factor = isset($step['condition'])
                        ? (float) ($setting("factor.{$step['condition']}", null, $step['at']) ?? $usual[$step['condition']])
                        : 0.0;
                    $used = isset($step['condition']) ? min($interval, $used + $factor * $step['km']) : max(0.0, $used - $step['km']);
                }
            }
            $left = max(0.0, $interval - $used);
        }
        $found[$id] = ['km' => $km, 'left' => $left];
    }

    return $found;
}

it('gives out everything that went in, so that somebody else comes to the same figures', function (): void {
    config(['dripel.demo' => true]);
    WrittenDemo::ending();
    $workshop = Workshop::query()->sole();
    $token = app(Connect::class)->display($workshop, 'Garage')[1];
    $ask = fn(string $what): array => $this->getJson("/api/v1/{$what}", ['Authorization' => "Bearer {$token}"])
        ->assertOk()
        ->json();
    [$chains, $outlook] = [$ask('chains')['chains'], $ask('outlook')];
    app('auth')->forgetGuards();
    $this->actingAs(User::query()->sole());
    $file = json_decode($this->get('/export/workshop.json')->assertOk()->streamedContent(), true, flags: JSON_THROW_ON_ERROR);

    $found = secondBookkeeper($file['tables'], (int) strtotime('2026-11-25T12:20:00+01:00'));
    [$km, $left] = [0, 0];
    foreach ($chains as $chain) {
        $mine = $found[$chain['id']] ?? null;
        if ($mine !== null) {
            $km++;
            expect($chain['km'])->toEqualWithDelta($mine['km'], 1e-6, $chain['name']);
        }
        if (($mine['left'] ?? null) !== null) {
            $left++;
            expect($chain['wax_left_effective_km'])->toEqualWithDelta($mine['left'], 1e-6, $chain['name']);
        }
    }
    expect($km)->toBeGreaterThan(7)->and($left)->toBeGreaterThan(4);

    // Each table as CSV says what the file says.
    foreach (
        ['rides' => 'km', 'dips' => 'component_id', 'topups' => 'km', 'fittings' => 'bike_id', 'noises' => 'bike_id']
        as $table => $column
    ) {
        $lines = explode("\r\n", trim(substr($this->get("/export/{$table}.csv")->streamedContent(), 3)));
        $rows = array_map(fn(string $line) => str_getcsv($line, ',', '"', ''), $lines);
        $place = array_search($column, array_shift($rows), true);
        expect(array_map(fn(array $row) => (float) $row[$place], $rows))->toBe(
            array_map(floatval(...), array_column($file['tables'][$table], $column)),
            $table,
        );
    }

    // What stands beside the logbook goes out too: whoever reads it comes to what each led job took.
    $csv = function (string $table): array {
        $lines = explode(
            "\r\n",
            trim(
                substr(
                    $this->get("/export/{$table}.csv")
                        ->assertOk()
                        ->streamedContent(),
                    3,
                ),
            ),
        );
        $rows = array_map(fn(string $line) => str_getcsv($line, ',', '"', ''), $lines);
        $names = array_shift($rows);

        return array_map(fn(array $row) => array_combine($names, $row), $rows);
    };
    $taps = $csv('guided_taps');
    foreach (GuidedJob::query()->with('taps')->get() as $job) {
        $mine = array_filter($taps, fn(array $tap) => $tap['job_id'] === $job->id);
        expect(array_map(intval(...), array_column($mine, 'at')))->toBe($job->taps->pluck('at')->all());
    }
    expect(count($csv('guided_jobs')))
        ->toBe(GuidedJob::query()->count())
        ->toBeGreaterThan(3)
        ->and(array_map(floatval(...), array_column($csv('temperatures'), 'temp_c')))
        ->not->toBe([])
        ->toBe(Temperature::query()->orderBy('at')->orderBy('id')->get()->map(fn(Temperature $one) => $one->temp_c)->all());

    // The calendar says what the outlook says: folded lines joined, each event by its name.
    $ics = (string) preg_replace("/\r\n[ \t]/", '', (string) $this->get('/ahead/dripel.ics')->assertOk()->getContent());
    expect(substr_count($ics, 'BEGIN:VEVENT'))->toBe(substr_count($ics, 'END:VEVENT'));
    $days = function (string $kind) use ($ics): array {
        preg_match_all("/^UID:{$kind}-(?:\d+-)?(\d{4}-\d\d-\d\d)-/m", $ics, $found);
        sort($found[1]);

        return $found[1];
    };
    $pots = array_column(array_filter($outlook['pot_days'], fn(array $pot) => $pot['chains'] !== []), 'date');
    $swaps = array_column($outlook['swaps'], 'date');
    sort($swaps);
    expect($days('pot'))->toBe($pots)->and($days('swap'))->toBe($swaps);
});

it('keeps of the file of a ride what another reader finds in it, gives that out, and not where somebody rode', function (): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $bench->chain($heron, 'A', 1500, fit: true);
    $this->actingAs($bench->owner);
    // Around a hill, a stop of twenty minutes half way.
    [$points, $atS] = ['', Bench::ago(30)->unixS];
    for ($n = 0; $n <= 240; $n++) {
        $atS += $n === 120 ? 1200 : 25;
        $points .= sprintf(
            '<trkpt lat="%.6f" lon="%.6f"><time>%s</time></trkpt>',
            51.7315 + 0.05 * sin($n / 38),
            6.2913 + 0.08 * cos($n / 38),
            gmdate('Y-m-d\TH:i:s\Z', $atS),
        );
    }
    $gpx = "<?xml version=\"1.0\"?><gpx version=\"1.1\"><trk><trkseg>{$points}</trkseg></trk></gpx>";
    $this->postJson('/tracks/one', ['file' => UploadedFile::fake()->createWithContent('hill.gpx', $gpx)])->assertOk();
    $this->post('/tracks/take-in', [
        'action_id' => (string) Str::uuid(),
        'rides' => [['track' => Track::query()->sole()->id, 'bike_id' => $heron->id, 'condition' => 'dry']],
    ])->assertSessionHasNoErrors();
    $json = $this->get('/export/workshop.json')->assertOk()->streamedContent();
    $ride = array_last(json_decode($json, true, flags: JSON_THROW_ON_ERROR)['tables']['rides']);

    // A reader that knows a sphere and nothing else.
    [$km, $movingS, $last, $firstS] = [0.0, 0, null, null];
    foreach (simplexml_load_string($gpx)->trk->trkseg->trkpt as $point) {
        [$lat, $lon, $s] = [deg2rad((float) $point['lat']), deg2rad((float) $point['lon']), strtotime((string) $point->time)];
        if ($last !== null) {
            $step = 2 * 6371.0 * asin(sqrt(sin(($lat - $last[0]) / 2) ** 2 + cos($lat) * cos($last[0]) * sin(($lon - $last[1]) / 2) ** 2));
            $km += $step;
            $movingS += $step / (($s - $last[2]) / 3600) >= 1.0 ? $s - $last[2] : 0;
        }
        $last = [$lat, $lon, $s];
        $firstS ??= $s;
    }
    expect($ride['at'])
        ->toBe($firstS)
        ->and($ride['km'])
        ->toEqualWithDelta($km, 0.005 * $km)
        ->and($ride['hours'])
        ->toEqualWithDelta($movingS / 3600, 1e-6)
        ->and([$ride['track_from'], $ride['track_to']])
        ->toBe([0, 240]);
    // No place of it is in the database, nor in what is given out.
    $dump = (string) json_encode(array_map(fn(string $table) => DB::table($table)->get(), Schema::getTableListing(schemaQualified: false)));
    expect($json . $dump)
        ->not->toContain('51.7315')
        ->not->toContain('6.3713');
});
