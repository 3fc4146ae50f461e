<?php

declare(strict_types=1);

use App\Actions\Workshop\ChangeSettings;
use App\Text\PageTexts;
use App\Text\Units;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Arr;
use Tests\Feature\Bench;

it('hands out the labels once for a year, in the language and units that their address names', function (): void {
    $bench = new Bench();
    $address = function () use ($bench): string {
        preg_match('#src="(/texts/[\w.]+)"#', (string) $this->actingAs($bench->owner)->get('/help')->getContent(), $found);

        return $found[1] ?? '';
    };
    $km = $address();
    expect($km)->toStartWith('/texts/en.km.C.g.');
    app(
        ChangeSettings::class,
    )($bench->by(), null, [SettingKey::DistanceUnit->value => 'mi', SettingKey::TemperatureUnit->value => 'F'], false);
    $bench->workshop->refresh();
    app()->forgetScopedInstances();
    $mi = $address();
    expect($mi)->toStartWith('/texts/en.mi.F.g.');

    $texts = fn(string $at): array => json_decode(
        (string) preg_replace('/^window\.dripelTexts = /', '', (string) $this->get($at)->getContent()),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $said = fn(string $at): string => implode("\n", Arr::dot($texts($at)));
    expect($texts($km)['verbs']['undo'])
        ->toBe(trans('ui.verbs.undo'))
        ->and($said($km))
        ->toContain("\u{a0}km")
        ->not->toContain('{km:')
        ->not->toContain("\u{a0}mi")
        ->and($said($mi))
        ->toContain("\u{a0}mi")
        ->not->toContain("\u{a0}km");

    // Nobody's session, so that it may be kept by whatever lies between.
    $answer = $this->get($km, ['Accept-Encoding' => 'gzip, br'])
        ->assertOk()
        ->assertHeaderMissing('Set-Cookie');
    $answer->assertHeader('Cache-Control', 'immutable, max-age=31536000, public')->assertHeader('Content-Encoding', 'gzip');
    expect(gzdecode((string) $answer->getContent()))->toBe($this->get($km, ['Accept-Encoding' => ''])->getContent());
});

it('knows no other address', function (string $name): void {
    expect(PageTexts::named($name))->toBeNull();
    $this->get("/texts/{$name}")->assertNotFound();
})->with(['en.km.C.g.000000000000', 'xx.km.C.g.000000000000', 'en.ly.C.g.0', 'en', '..', 'en.km.C.g']);

it('has another name for other units', function (): void {
    $names = array_map(fn(Units $units) => (new PageTexts('en', $units))->name(), [new Units(), new Units('mi'), new Units('km', 'F')]);
    expect(array_unique($names))->toBe($names);
});
