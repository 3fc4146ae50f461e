<?php

declare(strict_types=1);

use App\Archive\ExportWorkshop;
use App\Archive\LedWork;
use App\Archive\LedWorkRules;
use App\Archive\NotRestored;
use App\Models\Workshop;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\Archive\Mutation;
use Tests\Feature\Bench;
use Tests\Feature\WrittenDemo;

require_once __DIR__ . '/../furnish.php';

/** A workshop with a row in every table. @return array<string, mixed> its file */
function fullFile(Bench $bench): array
{
    $ids = furnish($bench);
    test()->actingAs($bench->owner);
    $does = fn(string $url, array $data, string $method = 'post') => test()
        ->{$method}($url, $data + ['action_id' => (string) Str::uuid()] + Bench::form(1))
        ->assertSessionHasNoErrors();
    $does("/bikes/{$ids['bike']}/brushings", []);
    $does("/bikes/{$ids['bike']}/noises", []);
    $does("/chains/{$ids['chain']}/readings", ['kind' => 'ruler', 'length_mm' => '304.9', 'pitches' => 24, 'uncertainty_mm' => '0.2']);
    $does("/chains/{$ids['chain']}/topups", ['distance' => '150', 'bottle_id' => $ids['bottle']]);
    $does('/ahead/rides', ['bike_id' => $ids['bike'], 'from' => '2026-12-05', 'distance' => 90, 'condition' => 'wet', 'name' => 'Event']);
    $does("/chains/{$ids['chain']}/oilings", []);
    $file = app(ExportWorkshop::class)->file($bench->workshop->refresh());

    return json_decode((string) json_encode($file), true);
}

it('takes no workshop file that breaks a page, and says of every other what it refuses, without a trace', function (): void {
    $file = fullFile(new Bench());
    $tries = (int) (getenv('DRIPEL_FUZZ') ?: 60);
    $first = (int) (getenv('DRIPEL_FUZZ_SEED') ?: 1);
    $empty = new Bench('empty@test.example');
    $this->actingAs($empty->owner);
    $tables = [];
    [$accepted, $broken, $traces] = [0, [], []];
    for ($seed = $first; $seed < $first + $tries; $seed++) {
        DB::beginTransaction();
        app()->forgetScopedInstances();
        $json = (new Mutation($seed))->of($file);
        $answer = $this->post('/restore', ['file' => UploadedFile::fake()->createWithContent('w.json', $json)]);
        $error = session('errors')?->first('file');
        session()->forget('errors');
        if ($answer->getStatusCode() !== 302) {
            $traces[$seed] =
                substr((string) $answer->exception?->getMessage(), 0, 200) .
                ' ' .
                basename((string) $answer->exception?->getFile()) .
                ':' .
                $answer->exception?->getLine();
        } elseif ($error === null) {
            $accepted++;
            foreach (pagesOf($empty->workshop) as $page) {
                app()->forgetScopedInstances();
                $shown = $this->get($page);
                if ($shown->getStatusCode() >= 500) {
                    $broken["{$seed} {$page}"] =
                        substr((string) $shown->exception?->getMessage(), 0, 200) .
                        ' ' .
                        basename((string) $shown->exception?->getFile()) .
                        ':' .
                        $shown->exception?->getLine();
                }
            }
        }
        DB::rollBack();
    }
    expect([$traces, $broken])
        ->toBe([[], []])
        ->and($accepted)
        ->toBeLessThan($tries);
    fwrite(STDERR, getenv('DRIPEL_FUZZ') ? "tried {$tries}, accepted {$accepted}\n" : '');
});

it('takes no led work that could not be led, and names what is wrong with any other', function (): void {
    WrittenDemo::ending();
    $led = json_decode((string) json_encode(app(LedWork::class)->of(Workshop::query()->sole())), true);
    [$accepted, $refused] = [0, []];
    for ($seed = 1; $seed <= 400; $seed++) {
        $file = json_decode((new Mutation($seed))->of(['tables' => ['led_work' => $led]]), true);
        if (!is_array($file['tables']['led_work'] ?? null)) {
            continue;
        }
        try {
            LedWorkRules::checked($file['tables']['led_work']);
            $accepted++;
        } catch (NotRestored $e) {
            $refused[] = $e->parameters['column'];
        }
    }
    expect($accepted)->toBeGreaterThan(20)->and(array_unique($refused))->toContain('steps', 'terms', 'taps', 'temperatures', 'kind', 'id');
});

/** @return list<string> */
function pagesOf(Workshop $workshop): array
{
    $each = fn(string $table, string $path): array => DB::table($table)
        ->where('workshop_id', $workshop->id)
        ->pluck('id')
        ->map(fn(int $id) => sprintf($path, $id))
        ->all();
    $chains = DB::table('components')
        ->where(['workshop_id' => $workshop->id, 'kind' => 'chain'])
        ->pluck('id')
        ->all();

    return [
        ...[
            '/',
            '/pot',
            '/gauge',
            '/rides',
            '/ahead',
            '/ahead/what-if',
            '/books',
            '/books/stock',
            '/books/parts',
            '/books/money',
            '/history',
            '/settings',
            '/help',
        ],
        ...['/strip', '/pot-day', '/labels', '/ahead/dripel.ics', '/revision', '/reminders', '/offline/pages'],
        ...$each('bikes', '/bikes/%d'),
        ...array_map(fn(int $id) => "/chains/{$id}", $chains),
    ];
}
