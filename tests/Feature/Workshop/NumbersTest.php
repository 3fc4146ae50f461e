<?php

declare(strict_types=1);

use App\Http\Requests\ActionRequest;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Symfony\Component\Finder\SplFileInfo;
use Tests\Feature\Bench;

it('takes a decimal comma in every numeric field of every form, nested ones too', function (): void {
    $this->actingAs((new Bench())->owner)->get('/')->assertOk();
    $classes = array_filter(
        array_map(
            fn(SplFileInfo $file) => 'App\\Http\\Requests\\' . str_replace(['/', '.php'], ['\\', ''], $file->getRelativePathname()),
            File::allFiles(app_path('Http/Requests')),
        ),
        fn(string $class) => is_subclass_of($class, ActionRequest::class) && !(new ReflectionClass($class))->isAbstract(),
    );
    $seen = [];
    foreach ($classes as $class) {
        $make = fn(array $input): ActionRequest => tap(
            $class::create('/', 'POST', $input),
            fn(ActionRequest $one) => $one->setContainer(app())->setUserResolver(fn() => auth()->user()),
        );
        $fields = fn(ActionRequest $one): array => (fn() => $this->fields())->call($one);
        // Some forms ask for a reading only where one is sent.
        foreach (array_filter($fields($make(['reading' => ['kind' => 'digital']])), ActionRequest::isNumber(...)) as $field => $_) {
            $at = str_replace('*', '0', $field);
            $input = [];
            data_set($input, 'kind', 'digital');
            str_starts_with($field, 'reading.') && data_set($input, 'reading.kind', 'digital');
            data_set($input, $at, ' 1 001,5 ');
            $request = $make($input);
            try {
                (fn() => $this->prepareForValidation())->call($request);
            } catch (ModelNotFoundException) {
                // An id: looked up before anything else, and not there.
                continue;
            }
            expect((string) data_get($request->all(), $at))->toBe('1001.5', "{$class}: {$field}");
            $seen[] = $field;
        }
    }
    expect(count($seen))
        ->toBeGreaterThan(80)
        ->and($seen)
        ->toContain('hour', 'as_wax', 'factors.*', 'chains.*.km', 'spots.*.value_pct', 'points.*.life', 'fixed', 'volume', 'dips.*.temp');
});

it('says what is wrong with seven distances, and never that a number wants letters', function (): void {
    $bench = new Bench();
    $bike = $bench->bike();
    $this->actingAs($bench->owner);
    $bikeIs = ['name' => 'Heron', 'kind' => 'road', 'speeds' => 12, 'interval' => '300', 'limit_school' => 'usual'];
    foreach (['0 30 0 30', '0 30 0 30 0 80 x', '0 30 0 30 0 1080 60'] as $week) {
        $this->put("/bikes/{$bike->id}", ['action_id' => (string) Str::uuid(), 'week_summer' => $week] + $bikeIs)->assertSessionHasErrors([
            'week_summer' => __('errors.week'),
        ]);
    }
    // Any other field with a form of its own says so itself: the general words are for names.
    foreach (File::allFiles(app_path('Http/Requests')) as $file) {
        preg_match_all("/'([\\w.*]+)' => \\[[^\\]]*'regex:(?!\\/\\^\\[\\\\p\\{L\\}\\\\p\\{N\\}\\]\\+)/u", $file->getContents(), $found);
        foreach ($found[1] as $field) {
            expect($file->getContents())->toContain("'{$field}.regex'");
        }
    }
});
