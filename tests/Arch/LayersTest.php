<?php

declare(strict_types=1);
use App\Models\BeginsAlike;
use Dripel\Core\FileModel;
use Dripel\Core\Model;
use Dripel\Core\Models;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Model as Eloquent;
use Tests\Mutation\Mutant;
use Tests\Mutation\Mutants;

/** The layers of CONTRIBUTING.md, kept by machine. */

arch('the core knows no framework')
    ->expect('Dripel\Core')
    ->not->toUse(['Illuminate', 'Carbon', 'Inertia', 'App', 'Symfony', 'Psr']);

arch('the core asks neither clock nor dice nor disk nor the world')
    ->expect([
        'time',
        'microtime',
        'date',
        'now',
        'hrtime',
        'rand',
        'mt_rand',
        'random_int',
        'fopen',
        'file_get_contents',
        'file_put_contents',
        'getenv',
        'env',
        'config',
        'app',
        'curl_exec',
        'exec',
        'session',
        'request',
        'echo',
        'var_dump',
        'dd',
        'dump',
    ])
    ->not->toBeUsedIn('Dripel\Core');

it('never asks for "now" by the back door, nor for globals, in the core', function (): void {
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2) . '/core/src', FilesystemIterator::SKIP_DOTS))
        as $file
    ) {
        $code = php_strip_whitespace((string) $file);
        expect($code)->not->toMatch(
            '/new \\\\?Date(Time|TimeImmutable)\(\s*\)|\$_(GET|POST|SERVER|ENV|SESSION)|\$GLOBALS|\bglobal\s|\bstatic\s+\$/',
            (string) $file,
        );
    }
});

arch('every value and model of the core is final or an enum or a contract')
    ->expect('Dripel\Core')
    ->classes()
    ->toBeFinal()
    ->ignoring(['Dripel\Core\Logbook\Entry', 'Dripel\Core\Logbook\Event', 'Dripel\Core\Ride\XmlTrackReader']);

it('lists every model of the core, each in its topic', function (): void {
    $found = [];
    foreach (glob(dirname(__DIR__, 2) . '/core/src/*/*.php') ?: [] as $path) {
        $class = 'Dripel\Core\\' . basename(dirname($path)) . '\\' . basename($path, '.php');
        if (array_intersect((array) class_implements($class), [Model::class, FileModel::class])) {
            $found[] = $class;
        }
    }
    sort($found);
    $listed = array_values(Models::ALL);
    sort($listed);
    expect($found)->toBe($listed);
});

arch('actions know no request and no page')
    ->expect('App\Actions')
    ->not->toUse(['Illuminate\Http', 'Inertia', 'App\Http']);

it('keeps queries out of controllers', function (): void {
    foreach (
        new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator(dirname(__DIR__, 2) . '/app/Http/Controllers', FilesystemIterator::SKIP_DOTS),
        )
        as $file
    ) {
        expect((string) file_get_contents((string) $file))->not->toMatch(
            '/\bDB::|::query\(|->(where\w*|get|first\w*|pluck|findOrFail|orderBy\w*)\(/',
            (string) $file,
        );
    }
});

it('asks the database only where it is noted what a page read', function (): void {
    $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2) . '/app', FilesystemIterator::SKIP_DOTS));
    foreach ($files as $file) {
        if ($file->getFilename() !== 'LeanRows.php') {
            expect((string) file_get_contents((string) $file))->not->toMatch('/->(?:get\w*Pdo\w*|selectResultSets)\(/', (string) $file);
        }
    }
});

arch('everything is strict')
    ->expect(['App', 'Dripel\Core'])
    ->toUseStrictTypes();

arch('nothing but the one clock tells the time')
    ->expect(['time', 'now', 'today', 'date', 'microtime'])
    ->not->toBeUsedIn('App')
    ->ignoring('App\Support\AppClock');

it('writes through one door, which keeps the once-only id of a button until it is answered', function (): void {
    $files = new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator(dirname(__DIR__, 2) . '/resources/js', FilesystemIterator::SKIP_DOTS),
    );
    foreach ($files as $file) {
        if (!str_contains((string) $file, '/composables/')) {
            // An id made in the moment of sending is another one when the button is pressed again.
            expect((string) file_get_contents((string) $file))
                ->not->toMatch('/router\.(?:post|put|patch|delete)\([^;]*action_id/s', (string) $file)
                ->not->toMatch('/router\.(?:post|put|patch|delete)\([^;]*newActionId/s', (string) $file);
        }
    }
});

arch('what lies below the pages knows none of them')
    ->expect('App\Http')
    ->not->toBeUsedIn(['App\Command', 'App\Text', 'App\Archive', 'App\Cost', 'App\Ahead']);

it('lets no controller keep anything from one request to the next', function (): void {
    // A process that lives long keeps its controllers: what they need they are given with each request.
    foreach (glob(dirname(__DIR__, 2) . '/app/Http/Controllers/*/*.php') ?: [] as $path) {
        $class = new ReflectionClass('App\\Http\\Controllers\\' . basename(dirname($path)) . '\\' . basename($path, '.php'));
        expect($class->getConstructor())->toBeNull($class->getName())->and($class->getProperties())->toBe([], $class->getName());
    }
});

it('has no row that guesses its table, or begins with more than Eloquent does', function (): void {
    $own = class_uses_recursive(Eloquent::class);
    foreach (glob(dirname(__DIR__, 2) . '/app/Models/*.php') ?: [] as $file) {
        $class = 'App\\Models\\' . basename($file, '.php');
        if (!is_subclass_of($class, Eloquent::class)) {
            continue;
        }
        $model = new ReflectionClass($class);
        expect($model->isAbstract() ? 'none' : $model->getProperty('table')->getDefaultValue())
            ->toBeString($class)
            ->and(class_uses_recursive($class))
            ->toContain(BeginsAlike::class);
        foreach (array_diff(class_uses_recursive($class), $own) as $trait) {
            expect(
                $model->hasMethod('boot' . class_basename($trait)) || $model->hasMethod('initialize' . class_basename($trait)),
            )->toBeFalse($class);
        }
        foreach ($model->getMethods() as $method) {
            str_starts_with($method->class, 'App\\') &&
                expect([...$method->getAttributes(Boot::class), ...$method->getAttributes(Initialize::class)])->toBe([], $class);
        }
    }
});

it('asks the server through one door besides the pages', function (): void {
    $files = new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator(dirname(__DIR__, 2) . '/resources/js', FilesystemIterator::SKIP_DOTS),
    );
    foreach ($files as $file) {
        // The service worker stands in the way of what others fetch.
        in_array($file->getFilename(), ['http.ts', 'sw.ts'], true) ||
            expect(preg_match('/\\bfetch\\(|XSRF/', (string) file_get_contents((string) $file)))->toBe(0, (string) $file);
    }
});

it('sends pages nothing whose shape is not said, and pages say no shape of their own', function (): void {
    $root = dirname(__DIR__, 2);
    foreach (glob("{$root}/app/Http/Props/*.php") ?: [] as $file) {
        // What a form said goes back as it came.
        expect(preg_replace('/@return array<string, mixed> what the form said/', '', (string) file_get_contents($file)))->not->toMatch(
            '/@return (list<)?array<string, mixed>/',
            $file,
        );
    }
    foreach (glob("{$root}/resources/js/Pages/*/*.vue") ?: [] as $file) {
        preg_match('/defineProps<(.*?)>\(\)/s', (string) file_get_contents($file), $props);
        expect($props[1] ?? 'nothing')->toMatch(
            '/^(nothing|[A-Z]\w+Page( & .*)?|\{ job: JobView \}|\{( \w+: (string|boolean|number)(\[\])?;?)+ \})$/',
            $file,
        );
    }
});

it(
    'has no line longer than 140 characters but for a text or a shape that cannot be broken, and one key a line among the texts',
    function (): void {
        $root = dirname(__DIR__, 2);
        // What is not committed yet is read too: else a line is too long only once it is.
        $list = "cd {$root} && git ls-files --cached --others --exclude-standard app core tests database routes bench tools lang";
        foreach (explode("\n", trim((string) shell_exec($list))) as $file) {
            foreach (str_ends_with($file, '.php') ? (file("{$root}/{$file}", FILE_IGNORE_NEW_LINES) ?: []) : [] as $n => $line) {
                $breakable = mb_strlen(
                    (string) preg_replace(
                        '/"(?:\\\\.|[^"\\\\]){60,}"|\'.{60,}\'|array\{.*|`.*|@phpstan.*|exec\(.*|^\s*(public|const) .*/u',
                        '',
                        $line,
                    ),
                );
                expect($breakable)->toBeLessThanOrEqual(140, "{$file}:" . ($n + 1));
                str_starts_with($file, 'lang/') &&
                    expect(substr_count((string) preg_replace("/'(\\\\'|[^'])*'/", '', $line), '=>'))->toBeLessThan(
                        2,
                        "{$file}:" . ($n + 1),
                    );
            }
        }
    },
);

it('excuses no fault whose line is gone', function (): void {
    foreach (array_keys(Mutants::alike()) as $place) {
        expect(array_map(fn(Mutant $one) => $one->place(), Mutants::of(explode("\t", $place)[0])))->toContain($place);
    }
});
