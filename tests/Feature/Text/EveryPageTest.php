<?php

declare(strict_types=1);

use App\Models\GuidedJob;
use App\Models\Membership;
use App\Models\Retirement;
use App\Models\Role;
use App\Models\User;
use App\Support\AppClock;
use App\Support\ReadTransaction;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\Bench;
use Tests\Feature\Text\CodeNames;
use Tests\Feature\WrittenDemo;

beforeEach(function (): void {
    $today = '2026-11-25T12:20:00+01:00';
    app(AppClock::class)->stopAt((new DateTimeImmutable($today))->getTimestamp());
    WrittenDemo::ending($today);
    $this->actingAs(User::query()->sole());
    $jobs = GuidedJob::query()->orderBy('id')->get()->unique('kind')->map(fn(GuidedJob $job) => "/jobs/{$job->id}")->all();
    $this->paths = [
        '/',
        '/gauge',
        '/rides',
        '/tracks',
        '/chains/1',
        '/chains/1?why=left',
        '/chains/1?all=1',
        '/chains/4',
        '/chains/5/wet',
        '/chains/11',
        '/chains/13',
        '/chains/new',
        '/bikes/1',
        '/bikes/3',
        '/bikes/5',
        '/bikes/new',
        '/arrive',
        '/arrive?bike=1',
        '/arrive/table',
        '/labels',
        '/books',
        '/books/stock',
        '/books/parts',
        '/pot',
        '/help',
        '/books/money',
        '/strip',
        '/protocols/three_and_two/copy',
        '/protocols/petrol_degreaser_spirit',
        '/history',
        '/settings',
        '/pot-day',
        '/ahead',
        '/ahead/what-if',
        '/chains/1/drip',
        '/chains/2/retirement',
        ...$jobs,
    ];
    // All that a page is told, what comes after it or when a part is opened too.
    $this->props = function (string $path): array {
        app()->forgetScopedInstances();
        $response = $this->get($path)->assertOk();
        if (str_starts_with((string) $response->headers->get('content-type'), 'application/json')) {
            return (array) $response->json();
        }
        $page = $response->viewData('page');
        $opened = ['/settings' => ['rain', 'bikes', 'people', 'keep']][$path] ?? [];
        $later = array_merge($opened, ...array_values($page['deferredProps'] ?? []));
        if ($later === []) {
            return $page['props'];
        }

        return [...$page['props'], ...Bench::partial($this, $path, $page, ...$later)];
    };
    $this->said = fn(string $path): array => strings(($this->props)($path));
});

/** Keys whose values are for the screen's own use and are never shown; and the units that one may choose. */
const UNSEEN = ['why', 'unit', 'figure', 'distanceUnit', 'units', 'distance_unit', 'temperature_unit', 'mass_unit', 'choices'];

/** @return list<string> every string within, as "key: words" */
function strings(mixed $props): array
{
    $props = json_decode((string) json_encode($props), true);
    $strings = [];
    $walk = function (mixed $value, string $path) use (&$walk, &$strings): void {
        if (is_array($value)) {
            foreach ($value as $key => $inner) {
                if (!in_array($key, UNSEEN, true)) {
                    $walk($inner, is_int($key) ? $path : "{$path}.{$key}");
                }
            }
        } elseif (is_string($value)) {
            $strings[] = "{$path}: " . str_replace("\u{a0}", ' ', $value);
        }
    };
    $walk($props, '');

    return array_values(array_unique($strings));
}

/**
 * @param list<string> $said
 *
 * @return list<string> what is found, with where
 */
function found(string $pattern, array $said, string $where): array
{
    return array_values(array_map(fn(string $one) => "{$where} {$one}", preg_grep("/{$pattern}/u", $said) ?: []));
}

it('speaks in the units of the workshop everywhere, and leaves nothing of the others', function (array $units, string $foreign): void {
    $this->put(
        '/settings',
        $units + ['action_id' => (string) Str::uuid()] + $this->get('/settings')->viewData('page')['props']['values'],
    )->assertSessionHasNoErrors();
    $left = [];
    foreach ($this->paths as $path) {
        array_push($left, ...found($foreign, ($this->said)($path), $path));
    }
    $this->get('/');
    array_push($left, ...found($foreign, strings(trans('ui')), 'ui'));
    expect(array_values(array_unique($left)))->toBe([]);
})->with([
    'miles, Fahrenheit, ounces' => [
        ['distance_unit' => 'mi', 'temperature_unit' => 'F', 'mass_unit' => 'oz'],
        '(?<![\w.])\d[\d.,]*[  ]?(?:km|°C|kg|g|mm deep)(?![\w])|: (?:km|°C)$| (?:km|°C)$',
    ],
    'kilometres, Celsius, grams' => [
        ['distance_unit' => 'km', 'temperature_unit' => 'C', 'mass_unit' => 'g'],
        '(?<![\w.])\d[\d.,]*[  ]?(?:mi|°F|oz|in deep)(?![\w])| (?:mi|°F)$',
    ],
]);

it('lets no name of the code reach a person, whatever the bikes go by', function (array $terms): void {
    foreach ($terms as $bike => $otherwise) {
        $values = array_filter($this->get("/bikes/{$bike}")->inertiaProps('values'), fn(mixed $value) => $value !== '');
        $this->put("/bikes/{$bike}", $otherwise + $values + ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    }
    $seen = [];
    foreach ($this->paths as $path) {
        // One word alone may be a code that the screen only compares; what stands in a sentence is read. A text that is missing shows its
        // key.
        foreach (($this->said)($path) as $said) {
            [$where, $words] = explode(': ', $said, 2);
            if (
                str_contains($words, ' ') ||
                preg_match(
                    '/^(?:ui|errors|validation|next|chain|wear|pot|strip|drip|command|done|history|settings|ahead|why|units|schools|changes)\.[a-z]/',
                    $words,
                ) === 1
            ) {
                array_push($seen, ...array_map(fn(string $name) => "{$path} {$where}: {$name}", CodeNames::in($words)));
            }
        }
    }
    foreach (glob(lang_path('en/*.php')) ?: [] as $file) {
        $name = basename($file, '.php');
        // Patterns that the command line reads by, and the placeholders of texts, are not shown.
        foreach (strings(array_diff_key((array) trans($name), $name === 'command' ? ['ago' => 1, 'weeks' => 1] : [])) as $said) {
            array_push(
                $seen,
                ...array_map(
                    fn(string $found) => "lang {$name}{$said}: {$found}",
                    CodeNames::in((string) preg_replace('/:[a-z_]+/i', '', explode(': ', $said, 2)[1])),
                ),
            );
        }
    }
    // What a device sends and what stands in the cells of a table is called by its name.
    expect(
        array_values(
            preg_grep('/^lang (?:errors\.gauge\.|errors\.table\.part|ui\.probe\.told)/', array_unique($seen), PREG_GREP_INVERT) ?: [],
        ),
    )->toBe([]);
})->with([
    'as in the demo' => [[]],
    'hours alone, drip wax alone, by ear' => [
        [
            1 => ['interval' => '', 'interval_hours' => '8'],
            2 => ['drip_only' => true],
            3 => ['interval' => '', 'by_ear' => true],
            4 => ['interval' => '', 'interval_hours' => '20', 'drip_only' => true],
            5 => ['interval_hours' => '9', 'by_ear' => true],
        ],
    ],
]);

it('says the same from what is kept as from the entries alone, at this hour and at later ones', function (): void {
    $read = function (bool $kept, int $atS): array {
        // Where all of it is being written nothing is kept.
        ReadTransaction::$outermost = $kept ? DB::transactionLevel() : -1;
        $said = [];
        foreach ($this->paths as $path) {
            app(AppClock::class)->stopAt($atS);
            $said[$path] = json_decode((string) json_encode(($this->props)($path)), true);
        }

        return Arr::dot($said);
    };
    $nowS = app(AppClock::class)->unixS();
    // In five days commutes are filled in, which makes it another logbook; half an hour after that it is the same.
    foreach ([[0, 60], [5 * 86400, 1800]] as [$laterS, $againS]) {
        $read(true, $nowS + $laterS);
        foreach ([0, $againS] as $s) {
            [$kept, $anew] = [$read(true, $nowS + $laterS + $s), $read(false, $nowS + $laterS + $s)];
            $differ = array_filter(array_keys($kept + $anew), fn(string $of) => ($kept[$of] ?? null) !== ($anew[$of] ?? null));
            expect(array_map(fn(string $of) => [$of, $kept[$of] ?? null, $anew[$of] ?? null], array_values($differ)))->toBe([]);
        }
    }
});

it('gives what is to open without the machine in one answer, each page as when it is asked for by itself', function (): void {
    app(AppClock::class)->stopAt(app(AppClock::class)->unixS());
    $ahead = function (string $after = ''): array {
        app()->forgetScopedInstances();
        $answer = $this->getJson("/offline/pages?after={$after}")->assertOk();

        return array_map(
            fn(string $line) => json_decode($line, true, flags: JSON_THROW_ON_ERROR),
            explode("\n", trim($answer->streamedContent())),
        );
    };
    $pages = $ahead();
    $urls = array_column($pages, 'url');
    expect(array_slice($urls, 0, 4))
        ->toBe(['/', '/pot', '/ahead', '/help'])
        ->and($urls)
        ->toContain('/chains/5', '/tags/5', '/chains/5/wet')
        ->not->toContain('/chains/' . Retirement::query()->firstOrFail()->component_id)
        ->and(preg_grep('~^/jobs/~', $urls))
        ->not->toBe([])
        ->and($ahead($urls[count($urls) - 3]))
        ->toBe(array_slice($pages, -2))
        // One that is there no more: all of them again.
        ->and(array_column($ahead('/chains/0/wet'), 'url'))
        ->toBe($urls);
    foreach ($pages as ['url' => $url, 'page' => $page]) {
        expect($page['url'])->toBe($url)->and($page['props'])->toBe(json_decode((string) json_encode(($this->props)($url)), true));
    }
    // Who only looks gets what they may look at.
    Membership::query()->update(['role' => Role::Viewer]);
    expect(array_column(array_filter($ahead(), fn(array $one) => $one['page'] === null), 'url'))->toBe(
        array_values(preg_grep('~/wet$~', $urls)),
    );
});
