<?php

declare(strict_types=1);

use App\Models\Dip;
use App\Models\Oiling;
use App\Models\Strip;
use Dripel\Core\Logbook\ChainStatus;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    $this->heron = $this->bench->bike();
    [$this->a, $this->b] = [$this->bench->chain($this->heron, 'A', 300, true), $this->bench->chain($this->heron, 'B', null)];
    $this->does = fn(string $url, float $ago, array $data = []) => $this->post($url, $data + Bench::form($ago));
    $this->next = function (): array {
        app()->forgetScopedInstances();

        return array_column(Bench::steps($this->get('/')->inertiaProps('next')), 'title');
    };
});

it('waxes nothing over oil, hot or drip, led or done already, until it is stripped; and takes it back', function (): void {
    ($this->does)("/chains/{$this->a->id}/oilings", 20)
        ->assertSessionHasNoErrors()
        ->assertSessionHas('done');
    $state = $this->bench->state($this->a);
    expect([$state->status, $state->leftKm()])->toBe([ChainStatus::Oiled, 0.0]);
    // Next says it, of the chain on the bike for today, and of the one that still has its grease.
    expect(($this->next)())->toContain('Strip Heron A first')->toContain('Strip Heron B first');
    $page = $this->get("/chains/{$this->a->id}");
    expect($page->inertiaProps('chain.word'))
        ->toBe('oil on it')
        ->and($page->inertiaProps('outlook.0'))
        ->toContain('Oil got on it: strip it')
        ->and(json_encode($page->inertiaProps('timeline')))
        ->toContain('Oil got on it');
    $this->postJson(
        '/drip/plan',
        ['chain_id' => $this->a->id, 'place' => 'in_box', 'coats' => 1, 'excess' => 'wipe'] + Bench::form(0),
    )->assertJsonValidationErrors(['chain' => 'Strip it first']);
    expect($this->get('/pot-day')->inertiaProps('chains.0.refusal'))
        ->toMatchArray(['remedy' => 'strip'])
        ->text->toContain('Oil got on Heron A');
    foreach ([$this->a, $this->b] as $chain) {
        ($this->does)('/dips', 2, ['chains' => [$chain->id], 'dry' => true])->assertSessionHasErrors('stripped');
        ($this->does)("/chains/{$chain->id}/topups", 2, ['distance' => 200])->assertSessionHasErrors('stripped');
    }
    expect(Dip::query()->live()->count())->toBe(1);
    $this->postJson('/command', ['text' => 'drip heron', 'action_id' => (string) Str::uuid()])->assertJsonValidationErrors('stripped');
    // What takes it off is road oil: more baths than storage grease.
    expect(
        $this->get("/strip?chains[]={$this->a->id}")
            ->assertOk()
            ->inertiaProps(),
    )->not->toBe([]);
    // Stripped, it is bare; or somebody says at the pot that it was.
    ($this->does)('/dips', 2, ['chains' => [$this->a->id, $this->b->id], 'dry' => true, 'stripped' => true])->assertSessionHasNoErrors();
    expect([$this->bench->state($this->a)->status, $this->bench->state($this->b)->status])
        ->toBe([ChainStatus::Waxed, ChainStatus::Waxed])
        ->and(Strip::query()->live()->count())
        ->toBe(2)
        ->and(($this->next)())
        ->not->toContain('Strip Heron A first');
    // Taken back, the strips go with the dips.
    $this->post("/actions/{$this->bench->lastAction()->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect([Strip::query()->live()->count(), $this->bench->state($this->a)->status])->toBe([0, ChainStatus::Oiled]);
    // It was another day after all; then not at all.
    $oil = Oiling::query()->live()->sole();
    $this->put("/entries/oilings/{$oil->id}", Bench::form(10))->assertSessionHasNoErrors();
    $this->delete('/entries/oilings/' . Oiling::query()->live()->sole()->id, [
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    expect($this->bench->state($this->a)->status)->not->toBe(ChainStatus::Oiled);
    $this->get('/history')->assertSee('Oil got on Heron A')->assertSee('Moved the oil on Heron A');
});
