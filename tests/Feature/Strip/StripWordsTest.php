<?php

declare(strict_types=1);

use App\Strip\Protocols;
use App\Text\StripWords;
use App\Text\Translator;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\StripPlan;

beforeEach(function (): void {
    $this->words = new StripWords(new Translator(new Settings([]), 0));
});

it('names the danger of each solvent, by its kind or by its own sheet', function (string $solvent, ?float $flashC, string $text): void {
    $of = Solvent::from($solvent);
    expect(str_replace("\u{a0}", ' ', $this->words->hazard($of, $of->hazard($flashC), $flashC)))->toBe($text);
})->with([
    ['white_spirit', null, 'Flash point 39 °C: GHS category 3, “Warning”, flammable liquid and vapour.'],
    ['white_spirit', 62.0, 'Flash point 62 °C: GHS category 4, “Warning”, combustible liquid.'],
    ['white_spirit', 100.0, 'Flash point 100 °C: no GHS category of flammable liquids.'],
    ['petrol', null, 'Flash point −43 °C: GHS category 1, “Danger”, extremely flammable liquid and vapour.'],
    ['isopropyl_alcohol', null, 'Flash point 12 °C: GHS category 2, “Danger”, highly flammable liquid and vapour.'],
    ['lamp_oil', null, 'Flash point: see its sheet.'],
    ['degreaser', null, 'Flash point: see its sheet.'],
    ['soapy_water', null, 'Does not burn.'],
]);

it('warns at every step of every school, and never sends a flammable liquid near heat', function (): void {
    foreach (app(Protocols::class)->schools() as $code => $protocol) {
        $plan = StripPlan::of($protocol, array_map(fn() => BathSource::fresh(), $protocol->baths()), 1, 8.0);
        foreach ($plan->steps as $step) {
            $cautions = $this->words->cautions($step);
            $solvent = Solvent::tryFrom((string) ($step->about['solvent'] ?? ''));
            expect($cautions)->not->toBeEmpty($code);
            if ($solvent !== null && $solvent->flammable()) {
                expect(
                    in_array(__($solvent === Solvent::Petrol ? 'strip.caution.petrol' : 'strip.caution.air'), $cautions, true),
                )->toBeTrue("{$code}: {$step->code}");
            }
            if (in_array($step->code, ['dry', 'blow_dry', 'check'], true)) {
                expect(in_array(__('strip.caution.no_heat'), $cautions, true))->toBeTrue("{$code}: {$step->code}");
            }
        }
        [$check, $brake] = array_slice($plan->steps, $protocol->dripOnly ? -2 : -1) + [1 => null];
        expect([$check->ticks, $brake?->ticks])->toBe([
            ['jars_away', 'dry', 'no_smell'],
            $protocol->dripOnly ? ['disc_cleaned', 'cover_off', 'pads_in', 'lever_bites'] : null,
        ]);
    }
});
