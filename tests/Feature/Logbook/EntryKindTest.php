<?php

declare(strict_types=1);

use App\Archive\WorkshopFile;
use App\Logbook\ActionKind;
use App\Logbook\EntryType;
use App\Logbook\IsEvent;
use App\Models\Brushing;
use Dripel\Core\Logbook\EntryKind;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

it('has a table, a reader, an order and words for every kind of entry', function (): void {
    $ranks = [];
    foreach (EntryKind::cases() as $kind) {
        $type = EntryType::ofKind($kind);
        $ranks[] = $kind->rank();
        expect($type->kind())
            ->toBe($kind)
            ->and(Schema::hasTable($type->value))
            ->toBeTrue()
            ->and(WorkshopFile::tables())
            ->toContain($type->value)
            ->and($type->eventModel())
            ->toBe($type->model())
            ->and(is_subclass_of($type->model(), IsEvent::class))
            ->toBe($kind->isEvent());
        foreach ($kind->isEvent() ? $type->event()::columns() : [] as $column) {
            expect(Schema::hasColumn($type->value, $column))->toBeTrue("{$type->value}.{$column}");
        }
        // What follows a chain names one.
        $type->followsChain() && expect(Schema::hasColumn($type->value, 'component_id'))->toBeTrue($type->value);
    }
    expect(array_unique($ranks))->toHaveCount(count(EntryKind::cases()));
    foreach (EntryType::cases() as $type) {
        foreach ($type->isEvent() ? ['move_entry', 'delete_entry'] : [] as $does) {
            expect(__("history.{$does}.{$type->value}"))->not->toBe("history.{$does}.{$type->value}");
        }
    }
    foreach (ActionKind::cases() as $kind) {
        $said = in_array($kind, [ActionKind::MoveEntry, ActionKind::DeleteEntry, ActionKind::Undo], true)
            ? "history.{$kind->value}"
            : "done.{$kind->value}";
        expect(trans()->has($said))->toBeTrue($said);
    }
});

it('keeps when a drivetrain was brushed, counts from there, moves it and takes it back', function (): void {
    $bench = new Bench();
    $heron = $bench->bike('Heron');
    $chain = $bench->chain($heron, 'A', fit: true);
    $this->actingAs($bench->owner);
    $page = function () use ($heron): string {
        app()->forgetScopedInstances();
        $said = '';
        $this->get("/bikes/{$heron->id}")->assertInertia(function ($page) use (&$said) {
            $said = str_replace("\u{a0}", ' ', $page->toArray()['props']['brushed']);
        });

        return $said;
    };
    $send = fn(string $url, float $hoursAgo, array $with = [], string $how = 'post') => $this->{$how}(
        $url,
        $with + Bench::form($hoursAgo),
    )->assertSessionHasNoErrors();
    expect($page())->toBe(__('chain.brushed_never'));
    $left = $bench->state($chain)->leftKm();
    $send("/bikes/{$heron->id}/brushings", 60);
    $send('/rides', 40, ['bike_id' => $heron->id, 'distance' => 42, 'condition' => 'dry']);
    expect($page())
        ->toStartWith('Cleaned 42 km ago')
        ->and($bench->state($chain)->leftKm())
        ->toBe($left - 42.0);
    // Brushed after that ride after all; then not at all.
    $brushing = Brushing::query()->live()->sole();
    $send("/entries/brushings/{$brushing->id}", 20, how: 'put');
    expect($page())->toStartWith('Cleaned 0 km ago');
    $this->delete('/entries/brushings/' . Brushing::query()->live()->sole()->id, [
        'action_id' => (string) Str::uuid(),
    ])->assertSessionHasNoErrors();
    expect($page())->toBe(__('chain.brushed_never'));
    $this->post("/actions/{$bench->lastAction()->id}/undo", ['action_id' => (string) Str::uuid()])->assertSessionHasNoErrors();
    expect($page())->toStartWith('Cleaned 0 km ago');
    $this->get('/history')->assertSee('Moved the cleaning of Heron')->assertSee('Cleaned the drivetrain of Heron');
});
