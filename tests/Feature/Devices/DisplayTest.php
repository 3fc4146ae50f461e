<?php

declare(strict_types=1);

use App\Devices\Connect;
use App\Models\Device;
use App\Models\Role;
use App\Models\Workshop;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

/** @return array<string, mixed> the API as docs/api/openapi.json has it */
function openApi(): array
{
    return json_decode((string) file_get_contents(dirname(__DIR__, 3) . '/docs/api/openapi.json'), true, flags: JSON_THROW_ON_ERROR);
}

/**
 * What is not as a schema says.
 *
 * @param array<string, mixed> $schema
 *
 * @return list<string>
 */
function against(array $schema, mixed $value, string $at = ''): array
{
    $types = (array) $schema['type'];
    $is = match (true) {
        $value === null => 'null',
        is_bool($value) => 'boolean',
        is_int($value) => in_array('number', $types, true) ? 'number' : 'integer',
        is_float($value) => 'number',
        is_string($value) => 'string',
        is_array($value) && in_array('array', $types, true) && array_is_list($value) => 'array',
        default => 'object',
    };
    if (!in_array($is, $types, true)) {
        return ["{$at} is {$is}"];
    }
    $wrong = [];
    foreach ($is === 'array' ? $value : [] as $n => $item) {
        array_push($wrong, ...against($schema['items'], $item, "{$at}[{$n}]"));
    }
    if ($is === 'object') {
        foreach (array_diff($schema['required'], array_keys($value)) as $name) {
            $wrong[] = "{$at}.{$name} is missing";
        }
        foreach ($value as $name => $item) {
            array_push(
                $wrong,
                ...isset($schema['properties'][$name])
                    ? against($schema['properties'][$name], $item, "{$at}.{$name}")
                    : ["{$at}.{$name} is not said"],
            );
        }
    }

    return $wrong;
}

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike();
    $this->a = $this->bench->chain($this->heron, 'A', 300, fit: true);
    $this->b = $this->bench->chain($this->heron, 'B', 300);
    $this->actingAs($this->bench->owner);
    foreach (range(1, 9) as $week) {
        $this->post(
            '/rides',
            ['action_id' => (string) Str::uuid(), 'bike_id' => $this->heron->id, 'distance' => 60, 'condition' => 'dry'] +
                Bench::form(24 * $week),
        )->assertSessionHasNoErrors();
    }
    $this->token = $this->postJson('/displays', ['name' => 'Garage'])
        ->assertOk()
        ->json('token');
    $this->read = function (string $what): array {
        app()->forgetScopedInstances();
        auth()->forgetGuards();

        return $this->withToken($this->token)
            ->getJson("/api/v1/{$what}")
            ->assertOk()
            ->json();
    };
});

it('has every route of the API in its description, and no other', function (): void {
    $routes = collect(Route::getRoutes()->getRoutes())
        ->filter(fn(OneRoute $route) => str_starts_with($route->uri(), 'api/v1/'))
        ->flatMap(
            fn(OneRoute $route) => array_map(
                fn(string $method) => strtolower($method) . substr($route->uri(), 6),
                array_diff($route->methods(), ['HEAD']),
            ),
        );
    $said = collect(openApi()['paths'])->flatMap(
        fn(array $path, string $uri) => array_map(fn(string $method) => $method . $uri, array_keys($path)),
    );
    expect($said->sort()->values()->all())->toBe($routes->sort()->values()->all());
});

it('reads what the pages show, each field as the description has it', function (): void {
    $schemas = openApi()['components']['schemas'];
    foreach (['shed', 'next', 'chains', 'outlook'] as $what) {
        expect(against($schemas[ucfirst($what)], ($this->read)($what)))->toBe([], $what);
    }
    $chain = array_column(($this->read)('chains')['chains'], null, 'id')[$this->a->id];
    $state = $this->bench->state($this->a);
    expect($chain['km'])
        ->toEqualWithDelta($state->km->km, 1e-9)
        ->and($chain['wax_left_effective_km'])
        ->toEqualWithDelta($state->leftKm(), 1e-9)
        ->and([$chain['name'], $chain['fitted'], $chain['status']])
        ->toBe(['Heron A', true, $state->status->value])
        ->and(($this->read)('shed')['bikes'][0])
        ->toMatchArray(['name' => 'Heron', 'fitted' => $this->a->id, 'hanging' => [$this->b->id]]);
    // The same sentences as on the Shed.
    $this->actingAs($this->bench->owner);
    app()->forgetScopedInstances();
    $shed = $this->get('/')->viewData('page')['props']['next'];
    expect(($this->read)('next')['items'][0]['title'])->toBe($shed[0]['line']['title']);
});

it('opens its own workshop only, for reading only, until it is disconnected', function (): void {
    $other = new Bench('other@test.example');
    $other->chain($other->bike('Foreign'), 'A', 300, fit: true);
    expect(json_encode([($this->read)('shed'), ($this->read)('chains'), ($this->read)('next')]))->not->toContain('Foreign');
    auth()->forgetGuards();
    $this->withToken($this->token)
        ->postJson('/api/v1/gauges/values', ['readings' => [['sequence' => 1, 'value_pct' => 0.3]]])
        ->assertForbidden();
    [, $gauge] = app(Connect::class)->gauge(Workshop::query()->findOrFail($this->bench->workshop->id), 'Gauge');
    auth()->forgetGuards();
    $this->withToken($gauge)->getJson('/api/v1/chains')->assertForbidden()->assertJsonPath('message', __('errors.display.ability'));
    auth()->forgetGuards();
    $this->withToken('7|nothing')->getJson('/api/v1/chains')->assertUnauthorized();
    $this->flushHeaders();
    $this->actingAs($this->bench->person(Role::Viewer))
        ->postJson('/displays', ['name' => 'Spy'])
        ->assertForbidden();
    $display = Device::query()->where('kind', Device::DISPLAY)->sole();
    expect($display->seen_at)->toBe(Bench::NOW);
    $this->actingAs($this->bench->owner)
        ->delete("/devices/{$display->id}")
        ->assertRedirect();
    auth()->forgetGuards();
    $this->withToken($this->token)->getJson('/api/v1/chains')->assertUnauthorized();
});
