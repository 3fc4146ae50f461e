<?php

declare(strict_types=1);

use Illuminate\Support\Str;
use Tests\Feature\Bench;

it('sizes a new chain from the old one or from the bike, in sentences, and stores nothing', function (): void {
    $bench = new Bench();
    $rows = Bench::rows();
    $size = fn(array $with) => $this->actingAs($bench->owner)->postJson(
        '/chains/size',
        $with + ['action_id' => (string) Str::uuid(), 'new_joint' => 'quick_link'],
    );
    $size(['by' => 'copy', 'old_pitches' => '114', 'old_joint' => 'pin'])
        ->assertOk()
        ->assertJsonPath('pitches', 114)
        ->assertJsonPath('lines.0', 'Keep 113 pitches of the new chain; with its quick link it has 114.')
        ->assertJsonPath('lines.1', __('size.note.link_replaces_outer'))
        ->assertJsonPath('loop', null);
    $size(['by' => 'compute', 'chainstay_mm' => '410', 'front_teeth' => 50, 'rear_teeth' => 34, 'derailleur' => true])
        ->assertOk()
        ->assertJsonPath('pitches', 110)
        ->assertJsonPath('loop.chainstay', 410);
    $single = $size([
        'by' => 'compute',
        'chainstay_mm' => '395,5',
        'front_teeth' => 44,
        'rear_teeth' => 16,
        'derailleur' => false,
        'new_joint' => 'pin',
    ]);
    $single
        ->assertJsonPath('lines.0', 'Keep 94 pitches of the new chain, its pin joins them.')
        ->assertJsonPath('lines.2', 'For 94 the axle goes 6.5 mm back; for 92 it would go 6.3 mm forward.');

    $size(['by' => 'copy', 'old_pitches' => '113', 'old_joint' => 'pin'])->assertJsonValidationErrors('old_pitches');
    $size(['by' => 'compute', 'chainstay_mm' => '120', 'front_teeth' => 50, 'rear_teeth' => 34])->assertJsonValidationErrors(
        'chainstay_mm',
    );
    $size(['by' => 'compute', 'front_teeth' => 50, 'rear_teeth' => 34])->assertJsonValidationErrors('chainstay_mm');
    expect(Bench::rows())->toBe($rows);
});
