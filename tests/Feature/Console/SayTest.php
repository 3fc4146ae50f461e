<?php

declare(strict_types=1);

use App\Models\Ride;
use App\Models\Role;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->heron = $this->bench->bike('Heron');
    $this->bench->chain($this->heron, 'A', 300, true);
});

it('does on the machine what the line of the app does, after it said what', function (): void {
    $this->artisan('dripel:say ride heron 62 wet')
        ->expectsOutputToContain('wet on Heron, today.')
        ->expectsOutputToContain('Heron A')
        ->expectsConfirmation('Write it down?', 'no')
        ->expectsOutputToContain('Nothing was written.')
        ->assertSuccessful();
    expect(Ride::query()->count())->toBe(0);
    $this->artisan('dripel:say --yes ride heron 62 wet')->expectsOutputToContain('62')->assertSuccessful();
    expect(Ride::query()->live()->sole())
        ->km->toBe(62.0)
        ->action->user_id->toBe($this->bench->owner->id);
    $this->artisan('dripel:say --yes undo')->assertSuccessful();
    expect(Ride::query()->live()->count())->toBe(0);
    $this->artisan('dripel:say next')->expectsOutputToContain(__('ui.shed.next_empty'))->assertSuccessful();
    $this->artisan('dripel:say ride herron 62')->expectsOutputToContain('dripel:say ride heron 62')->assertFailed();
    $this->artisan('dripel:say --yes measure heron 0.9')->expectsOutputToContain('Retire it')->assertSuccessful();
});

it('wants to know whose entry it is', function (): void {
    $member = $this->bench->person(Role::Member);
    $viewer = $this->bench->person(Role::Viewer);
    $this->artisan('dripel:say ride heron 62')->expectsOutputToContain('--as')->assertFailed();
    $this->artisan("dripel:say --yes --as={$viewer->email} ride heron 62")
        ->expectsOutputToContain('may write')
        ->assertFailed();
    $this->artisan("dripel:say --yes --as={$member->email} ride heron 62")->assertSuccessful();
    expect(Ride::query()->sole()->action->user_id)->toBe($member->id);
});
