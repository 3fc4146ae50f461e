<?php

declare(strict_types=1);

use App\Archive\EmptyWorkshop;
use App\Archive\ExportWorkshop;
use App\Archive\Figures;
use App\Archive\WorkshopFile;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Ride;
use App\Models\Setting;
use App\Models\User;
use App\Models\Workshop;
use App\Plan\ReadMinutes;
use App\Pot\ReadHeatUps;
use App\Support\AppClock;
use App\Text\ChainWords;
use App\Text\HistoryWords;
use App\Text\Translator;
use Dripel\Core\HowRight\HeatUp;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Tests\Feature\Bench;
use Tests\Feature\WrittenDemo;

/** Every derived figure and every sentence of the history, with names instead of ids. @return array{array<string, mixed>, list<string>} */
function everythingOf(Workshop $workshop, int $nowS): array
{
    app()->forgetScopedInstances();
    $workshop->refresh();
    $translator = Translator::of($workshop, app(ReadBook::class), $nowS);
    $figures = app(Figures::class)->of($workshop, $nowS);
    // What was learned from work that was led, and how pots heated.
    $figures['learned'] = json_decode((string) json_encode(app(ReadMinutes::class)($workshop)), true);
    $figures['heated'] = array_map(
        fn(HeatUp $one) => [$translator->names->pot($one->potId), $one->pluggedS, $one->saidMin, $one->cameMin],
        app(ReadHeatUps::class)($workshop, 0, $nowS),
    );
    $words = new HistoryWords($translator, new ChainWords($translator));
    $history = Action::query()
        ->in($workshop)
        ->with('user')
        ->orderBy('revision')
        ->get()
        ->map(
            fn(Action $action) => "{$action->who()} {$action->recorded_at} {$words->sentence($action)}" .
                ($action->reverted_by === null ? '' : ' (taken back)'),
        )
        ->all();

    return [$figures, $history];
}

it('exports the demo, restores it into an empty workshop, and every figure and sentence is the same', function (): void {
    config(['dripel.demo' => true]);
    $today = '2026-11-25T12:20:00+01:00';
    WrittenDemo::ending($today);
    $nowS = (new DateTimeImmutable($today))->getTimestamp();
    $demo = Workshop::query()->sole();
    $owner = User::query()->sole();
    // Something taken back, and given again, travels too.
    $this->actingAs($owner);
    $ride = Ride::query()->in($demo)->live()->orderByDesc('at')->firstOrFail();
    $this->delete("/entries/rides/{$ride->id}", ['action_id' => (string) Str::uuid()]);
    $this->post('/actions/' . Action::query()->orderByDesc('revision')->firstOrFail()->id . '/undo', [
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    $before = everythingOf($demo, $nowS);
    $json = $this->get('/export/workshop.json')->assertOk()->streamedContent();

    // Beside it, into another workshop of the same installation: every id and action is a new one.
    $bench = new Bench();
    $this->actingAs($bench->owner)
        ->post('/restore', ['file' => UploadedFile::fake()->createWithContent('w.json', $json)])
        ->assertSessionHasNoErrors()
        ->assertRedirect('/');
    expect(json_decode($json, true)['led_work'])->toHaveCount(GuidedJob::query()->in($demo)->whereNotNull('ended_at')->count());
    // However often a probe read, the file of a workshop stays one that is read again: it counts lists, not what is in them.
    $heated = array_column(json_decode($json, true)['led_work'], 'temperatures', 'kind')['pot_day'];
    expect(array_map(count(...), $heated))
        ->toBe(['at' => 42, 'celsius' => 42])
        ->and(substr_count((string) json_encode($heated), '['))
        ->toBe(2);
    expect($before[0]['heated'])
        ->not->toBe([])
        ->and($before[0]['learned']['strips'])
        ->not->toBeNull()
        ->and(everythingOf($bench->workshop, $nowS))
        ->toBe($before);
    // Undo goes on where it was.
    $last = Action::query()->in($bench->workshop)->orderByDesc('revision')->firstOrFail();
    $this->post("/actions/{$last->id}/undo", [
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    expect(Ride::query()->in($bench->workshop)->live()->count())->toBe(Ride::query()->in($demo)->live()->count() - 1);

    // Wiped and restored in its own place.
    $this->actingAs($owner)
        ->post('/empty', ['name' => 'something else'])
        ->assertSessionHasErrors('empty_name');
    $this->post('/empty', ['name' => 'Lean-to on the Ostermoor'])->assertSessionHasNoErrors();
    expect(Action::query()->in($demo)->count())->toBe(0);
    $this->post('/restore', [
        'file' => UploadedFile::fake()->createWithContent('w.json', $json),
    ])->assertSessionHasNoErrors();
    expect(everythingOf($demo, $nowS))->toBe($before)->and(json_decode($json, true)['tables'])->toHaveKeys(WorkshopFile::tables());
});

it('reads files of earlier versions, which knew no jars or no bath temperatures yet', function (
    int $version,
    array $tables,
    array $columns,
): void {
    $bench = new Bench();
    $chain = $bench->chain($bench->bike(), 'A', fit: true);
    $file = app(ExportWorkshop::class)->file($bench->workshop);
    $first = ['version' => $version, 'tables' => array_diff_key($file['tables'], array_flip($tables))] + $file;
    $first['tables']['dips'] = array_map(fn(array $dip) => array_diff_key($dip, array_flip($columns)), $first['tables']['dips']);
    $before = $bench->state($chain)->leftKm();
    app(EmptyWorkshop::class)($bench->workshop);
    $this->actingAs($bench->owner)
        ->post('/restore', ['file' => UploadedFile::fake()->createWithContent('w.json', (string) json_encode($first))])
        ->assertSessionHasNoErrors();
    expect($bench->state(Chain::query()->sole())->leftKm())->toBe($before);
    // A file of today that lacks them is not whole.
    app(EmptyWorkshop::class)($bench->workshop->refresh());
    $this->post('/restore', [
        'file' => UploadedFile::fake()->createWithContent(
            'w.json',
            (string) json_encode(['tables' => array_diff_key($file['tables'], ['jar_entries' => 1])] + $file),
        ),
    ])->assertSessionHasErrors(['file' => __('errors.restore.table_missing', ['table' => 'jar_entries'])]);
})->with([
    'version 1' => [
        1,
        ['jar_entries', 'baths', 'bath_entries', 'prices', 'protocols'],
        ['pot_id', 'pickup_g', 'rinsed', 'temp_c', 'soak_s', 'powder', 'partly'],
    ],
    'version 2' => [2, [], ['temp_c', 'soak_s', 'powder', 'partly']],
    'version 4' => [4, [], ['partly']],
]);

it(
    'reads the lists among the settings where they are still texts: from files up to version 5, and in a database from before',
    function (): void {
        config(['dripel.demo' => true]);
        $today = '2026-11-25T12:20:00+01:00';
        WrittenDemo::ending($today);
        $nowS = (new DateTimeImmutable($today))->getTimestamp();
        app(AppClock::class)->stopAt($nowS);
        $demo = Workshop::query()->sole();
        $this->actingAs(User::query()->sole());
        $does = fn(string $path, array $fields, string $method = 'post') => $this->{$method}(
            $path,
            ['action_id' => (string) Str::uuid()] + $fields,
        )->assertSessionHasNoErrors();
        $does('/ahead/days', [
            'pinned' => ['2026-12-05'],
            'forbidden' => ['2026-12-06', '2026-12-12'],
            'not_on' => [['chain_id' => Chain::query()->in($demo)->live()->firstOrFail()->id, 'date' => '2026-12-05']],
        ]);
        $does('/ahead/terms', ['weekdays' => [4, 6]] + Bench::TERMS, 'put');
        $does(
            '/bikes/1',
            [
                'name' => 'Heron',
                'kind' => 'road',
                'speeds' => 12,
                'interval' => 300,
                'limit_school' => 'strict',
                'week_winter' => '0 36 0 0 0 50 74,5',
            ],
            'put',
        );
        $does('/gauge/expected', ['points' => [['interval' => '200', 'life' => '20000'], ['interval' => '400', 'life' => '9000']]], 'put');
        $kept = fn(Workshop $workshop): array => Setting::query()
            ->in($workshop)
            ->orderBy('id')
            ->get()
            ->filter(fn(Setting $one) => $one->key->isList())
            ->map(fn(Setting $one) => [$one->key->value, $one->value])
            ->values()
            ->all();
        [$before, $lists] = [everythingOf($demo, $nowS), $kept($demo)];
        expect(count(array_unique(array_column($lists, 0))))
            ->toBe(7)
            ->and(
                preg_match(
                    '/week in winter 0.km, 36.km, 0.km, 0.km, 0.km, 50.km, 74\.5.km\n.*expected life 200.km: 20,000.km, 400.km: 9,000.km$/u',
                    implode("\n", $before[1]),
                ),
            )
            ->toBe(1);
        // As version 5 wrote them.
        $text = fn(mixed $list): mixed => is_array($list)
            ? implode(' ', array_map(fn(mixed $one) => is_array($one) ? implode(':', $one) : $one, $list))
            : $list;
        $about = function (array $about) use ($text): array {
            foreach ($about['changed'] ?? [] as $key => $values) {
                $about['changed'][$key] = SettingKey::from($key)->isList() ? array_map($text, $values) : $values;
            }

            return $about;
        };
        $file = json_decode($this->get('/export/workshop.json')->streamedContent(), true);
        $file['version'] = 5;
        $file['tables']['settings'] = array_map(
            fn(array $row) => SettingKey::from($row['key'])->isList() ? ['value' => $text($row['value'])] + $row : $row,
            $file['tables']['settings'],
        );
        $file['tables']['actions'] = array_map(fn(array $row) => ['about' => $about($row['about'])] + $row, $file['tables']['actions']);
        $bench = new Bench();
        $this->actingAs($bench->owner)
            ->post('/restore', ['file' => UploadedFile::fake()->createWithContent('w.json', (string) json_encode($file))])
            ->assertSessionHasNoErrors();
        expect(everythingOf($bench->workshop, $nowS))->toBe($before)->and($kept($bench->workshop))->toEqual($lists);
        // A database from before, moved on.
        foreach ($file['tables']['settings'] as $row) {
            DB::table('settings')
                ->where('id', $row['id'])
                ->update(['value' => json_encode($row['value'])]);
        }
        foreach ($file['tables']['actions'] as $row) {
            DB::table('actions')
                ->where('id', $row['id'])
                ->update(['about' => json_encode($row['about'], JSON_PRESERVE_ZERO_FRACTION)]);
        }
        expect($kept($demo))->not->toEqual($lists);
        $migration = require database_path('migrations/2026_12_05_000001_lists_among_the_settings.php');
        $migration->up();
        expect(everythingOf($demo, $nowS))->toBe($before)->and($kept($demo))->toEqual($lists);
    },
);

it('refuses a file that it cannot trust, in words, and changes nothing', function (Closure $spoil, string $reason): void {
    $bench = new Bench();
    $heron = $bench->bike();
    $bench->chain($heron, 'A', fit: true);
    $file = app(ExportWorkshop::class)->file($bench->workshop);
    app(EmptyWorkshop::class)($bench->workshop);
    $rows = Bench::rows();
    $spoilt = $spoil($file);
    $this->actingAs($bench->owner)
        ->post('/restore', [
            'file' => UploadedFile::fake()->createWithContent('w.json', is_string($spoilt) ? $spoilt : (string) json_encode($spoilt)),
        ])
        ->assertSessionHasErrors([
            'file' => __("errors.restore.{$reason}", [
                'theirs' => WorkshopFile::VERSION + 1,
                'ours' => WorkshopFile::VERSION,
                'table' => $spoilt['about'] ?? 'rides',
                'row' => 1,
                'most' => 400_000,
            ]),
        ]);
    expect(Bench::rows())->toBe($rows);
})->with([
    'of a newer version' => [fn(array $file) => ['version' => WorkshopFile::VERSION + 1] + $file, 'newer'],
    'cut short' => [fn(array $file) => substr((string) json_encode($file), 0, -200), 'cut'],
    'a picture' => [fn(array $file) => "\x89PNG nothing of ours", 'foreign'],
    'of something else' => [fn(array $file) => ['format' => 'shed'] + $file, 'foreign'],
    'too large for memory' => [
        fn(array $file) => '{"format":"dripel-workshop","version":8,"tables":{"actions":[' . str_repeat('{},', 400_001) . '{}]}}',
        'too_large',
    ],
    'without its rides' => [fn(array $file) => ['tables' => array_diff_key($file['tables'], ['rides' => 0])] + $file, 'table_missing'],
    'without the work that was led' => [
        fn(array $file) => ['about' => 'led_work'] + array_diff_key($file, ['led_work' => 0]),
        'table_missing',
    ],
    'without its rain' => [fn(array $file) => ['about' => 'rain'] + array_diff_key($file, ['rain' => 0]), 'table_missing'],
    'a column too many' => [
        fn(array $file) => [
            'tables' => ['fittings' => [['colour' => 'red'] + $file['tables']['fittings'][0]]] + $file['tables'],
            'about' => 'fittings',
        ] + $file,
        'malformed',
    ],
    'speaking of what it does not hold' => [
        fn(array $file) => [
            'tables' => ['fittings' => [['bike_id' => 999] + $file['tables']['fittings'][0]]] + $file['tables'],
            'about' => 'bikes',
        ] + $file,
        'dangling',
    ],
    'a chain on two bikes' => [
        function (array $file): array {
            $bike = $file['tables']['bikes'][0];
            $fitting = $file['tables']['fittings'][0];
            $file['tables']['bikes'][] = ['id' => $bike['id'] + 1] + $bike;
            $file['tables']['fittings'][] = ['id' => $fitting['id'] + 1, 'bike_id' => $bike['id'] + 1] + $fitting;

            return $file;
        },
        'contents',
    ],
]);

it('says which value of which row cannot be, before anything is written', function (string $table, array $value, string $column): void {
    $bench = new Bench();
    $bench->chain($heron = $bench->bike(), 'A', fit: true);
    $this->actingAs($bench->owner)->post(
        '/rides',
        ['action_id' => (string) Str::uuid(), 'bike_id' => $heron->id, 'distance' => 20, 'condition' => 'dry'] + Bench::form(2),
    );
    $file = json_decode((string) json_encode(app(ExportWorkshop::class)->file($bench->workshop->refresh())), true);
    app(EmptyWorkshop::class)($bench->workshop);
    $rows = Bench::rows();
    $file['tables'][$table][0] = $value + ($file['tables'][$table][0] ?? []);
    if ($table === 'protocols') {
        $file['tables'][$table][0] += ['id' => 1, 'action_id' => $file['tables']['actions'][0]['id'], 'voided_by' => null, 'sequence' => 0];
    }
    $this->post('/restore', [
        'file' => UploadedFile::fake()->createWithContent('w.json', (string) json_encode($file)),
    ])->assertSessionHasErrors([
        'file' => __('errors.restore.value', ['table' => $table, 'row' => 1, 'column' => $column]),
    ]);
    expect(Bench::rows())->toBe($rows);
})->with([
    'a language that is a folder' => ['settings', ['key' => 'workshop.language', 'value' => '..'], 'value'],
    'a zone that is none' => ['settings', ['key' => 'workshop.time_zone', 'value' => 'Mars/Olympus'], 'value'],
    'a setting that is none' => ['settings', ['key' => 'bike.colour'], 'key'],
    'a kind of action that is none' => ['actions', ['kind' => 'paint_bike'], 'kind'],
    'an action about nothing known' => ['actions', ['about' => ['chains' => ['x']]], 'about'],
    'a kind of component that is none' => ['components', ['kind' => 'saddle'], 'kind'],
    'a time stamp of text' => ['rides', ['at' => '2026-11-25'], 'at'],
    'a time stamp before time' => ['rides', ['at' => -62_135_596_800], 'at'],
    'a time stamp beyond' => ['actions', ['recorded_at' => 9_007_199_254_740_993], 'recorded_at'],
    'an id that is a list' => ['bikes', ['id' => [1]], 'id'],
    'a ride of endless km' => ['rides', ['km' => 1e300], 'km'],
    'a ride in snow' => ['rides', ['condition' => 'snowy'], 'condition'],
    'a dip of a bike' => ['dips', ['component_id' => 99], 'component_id'],
    'a protocol of junk' => ['protocols', ['name' => 'Junk', 'steps' => [['kind' => 'boil']], 'drip_only' => 0], 'steps'],
]);

it('restores only into an empty workshop', function (): void {
    $bench = new Bench();
    $file = (string) json_encode(app(ExportWorkshop::class)->file($bench->workshop));
    $bench->bike();
    $this->actingAs($bench->owner)
        ->post('/restore', ['file' => UploadedFile::fake()->createWithContent('w.json', $file)])
        ->assertSessionHasErrors(['file' => __('errors.restore.not_empty')]);
});

it('writes every table as CSV, with no cell that a spreadsheet would run', function (): void {
    $bench = new Bench();
    $heron = $bench->bike('=HYPERLINK("x")');
    $bench->chain($heron, 'A', fit: true);
    $this->actingAs($bench->owner);
    foreach (WorkshopFile::tables() as $table) {
        $csv = $this->get("/export/{$table}.csv")
            ->assertOk()
            ->streamedContent();
        expect(str_getcsv(strtok(substr($csv, 3), "\n"), ',', '"', ''))->toEqualCanonicalizing([
            ...array_diff(Schema::getColumnListing($table), ['workshop_id']),
            ...Schema::hasColumn($table, 'at') ? ['at_utc'] : [],
        ]);
    }
    expect($this->get('/export/users.csv')->getStatusCode())
        ->toBe(404)
        ->and($this->get('/export/fittings.csv')->streamedContent())
        ->toContain('2026-11-17T04:00:00Z')
        ->and(
            ExportWorkshop::line(['=1+1', '+x', '-x', '@x', "\tx", '＝1', ' =1', 'a;=1+1', 'a,"b"', '+1', '-12.5', 7, 0.5, null, 'plain']),
        )
        ->toBe(
            "\"'=1+1\",\"'+x\",\"'-x\",\"'@x\",\"'\tx\",\"'＝1\",\"' =1\",\"a;=1+1\",\"a,\"\"b\"\"\",\"'+1\",-12.5,7,0.5,,\"plain\"\r\n",
        );
});
