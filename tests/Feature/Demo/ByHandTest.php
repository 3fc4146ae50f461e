<?php

declare(strict_types=1);

use App\Logbook\ReadBook;
use App\Models\User;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Wear\WorkshopWear;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\WrittenDemo;

it('stands in the documentation as it is worked out by hand, from the rows of the database and the house rules alone', function (): void {
    $today = '2026-11-25T12:00:00Z';
    app(AppClock::class)->stopAt((new DateTimeImmutable($today))->getTimestamp());
    WrittenDemo::ending($today);
    $plain = fn(mixed $props): string => str_replace("\u{a0}", ' ', (string) json_encode($props, JSON_UNESCAPED_UNICODE));
    $page = fn(string $path): array => (array) json_decode(
        $plain(
            $this->actingAs(User::query()->sole())
                ->get($path)
                ->viewData('page')['props'],
        ),
        true,
    );
    $docs = fn(string $file): string => (string) preg_replace('/\s+/', ' ', (string) file_get_contents(base_path("docs/{$file}")));
    $euro = fn(float $minor): string => '€' . number_format($minor / 100, 2);

    // Money. Cents of one unit: of a chain, a link, a cassette, a gram of wax, a millilitre of drip wax.
    $cents = DB::table('prices')->get()->mapWithKeys(fn($price) => [$price->supply => $price->amount_minor / $price->quantity])->all();
    $used = DB::table('openings')->where(fn($query) => $query->whereNull('km')->orWhere('km', '>', 0))->pluck('component_id');
    $dated = DB::table('dips')
        ->pluck('component_id')
        ->merge(DB::table('strips')->pluck('component_id'))
        ->merge(DB::table('fittings')->whereNotNull('component_id')->pluck('component_id'));
    $chains = DB::table('components')->where('kind', 'chain')->whereIn('id', $dated)->whereNotIn('id', $used)->count();
    [$dips, $topUps, $ml] = [DB::table('dips')->count(), DB::table('topups')->count(), (float) DB::table('topups')->max('ml')];
    // Each is rounded to the cent by itself: six grams of wax, a drop on each roller.
    [$dip, $drip] = [round(6 * $cents['wax']), round($ml * $cents['drip_wax'])];
    $money = $page('/books/money');
    [$chainsMinor, $waxMinor, $dripMinor] = [$chains * $cents['chain'], $dips * $dip, $topUps * $drip];
    expect($money['all']['kinds'])->toMatchArray([0 => $euro($chainsMinor), 1 => '–', 2 => $euro($waxMinor), 3 => $euro($dripMinor)]);
    // Plain drip: a chain and a link on each bike that was ridden, none of them worn yet, and a dose every 200 km.
    $ridden = collect($money['bikes'])
        ->slice(0, -1)
        ->map(fn(array $bike) => (float) str_replace(',', '', $bike['km']))
        ->filter();
    $doses = $ridden->sum(fn($each) => floor($each / 200));
    $plainMinor = $ridden->count() * ($cents['chain'] + $cents['quick_link']) + $doses * $ml * $cents['drip_wax'];
    expect($money['chart']['text'])->toContain("would have cost {$euro($plainMinor)}");
    expect($docs('ahead.md'))
        ->toContain("| chains | {$chains} × {$euro($cents['chain'])} | {$euro($chainsMinor)} |")
        ->toContain("| wax | {$dips} dips × 6 g × €14.00 a kilogram, {$euro($dip)} each | {$euro($waxMinor)} |")
        ->toContain("| drip wax | {$topUps} top-ups × {$ml} ml × €14.90 for 120 ml, {$euro($drip)} each | {$euro($dripMinor)} |")
        ->toContain("| all of it | | {$money['all']['total']} |")
        ->toContain(
            "{$ridden->count()} chains with their links ({$euro(
                $cents['chain'] + $cents['quick_link'],
            )} each) and {$doses} doses of {$ml} ml make {$euro($plainMinor)}",
        );

    // Gauge: each chain's rate against the one expected at the interval at which it was waxed, by the points of common practice.
    $life = fn(float $interval): float => $interval <= 300
        ? 25_000 * ($interval / 200) ** (log(15 / 25) / log(1.5))
        : 15_000 * ($interval / 300) ** (log(9 / 15) / log(4 / 3));
    $wear = new WorkshopWear(app(ReadBook::class)(Workshop::query()->sole()), app(AppClock::class)->unixS());
    $ratios = [];
    foreach (['A' => 1, 'B' => 2, 'C' => 3] as $letter => $chainId) {
        $forecast = $wear->of($chainId);
        $expected = (0.5 / $life($forecast->intervalKm)) * 1000;
        $ratios[$letter] = $forecast->result->rateP50 / $expected;
        expect($docs('wear.md'))->toContain(
            sprintf(
                '| %s | %.0f km | %.4f | %.4f | %.2f |',
                $letter,
                $forecast->intervalKm,
                $expected,
                $forecast->result->rateP50,
                $ratios[$letter],
            ),
        );
    }
    // B was read with the coarse gauge for the most part: it says too little of its rate to be counted, as the Gauge says ("2 chains").
    $factor = sqrt($ratios['A'] * $ratios['C']);
    // The middle school's life is wanted: where life ÷ factor is 15,000 km.
    $advised = 200 * (25_000 / (15_000 * $factor)) ** (log(1.5) / log(25 / 15));
    expect($wear->ofBike(1)->factor())
        ->toEqualWithDelta($factor, 0.001)
        ->and($page('/gauge')['bikes'][0]['advice']['text'])
        ->toBe('Re-wax it about every ' . round($advised, -1) . ' km.')
        ->and($page('/gauge')['bikes'][0]['advice']['reason'])
        ->toContain('2 chains of it')
        ->and($docs('wear.md'))
        ->toContain(sprintf('their mean %.2f', $factor))
        ->toContain(sprintf('%.0f km, said as %d km', $advised, round($advised, -1)));

    // What-if, the middle school: shares of chains, and what the pot and the bottle took, per 1,000 km.
    Artisan::call('dripel:intervals', ['--hour' => 0]);
    $row = array_map(
        trim(...),
        explode('|', (string) current(preg_grep('/^\| middle/', explode("\n", str_replace("\u{a0}", ' ', Artisan::output()))) ?: [])),
    );
    $number = fn(int $column): float => (float) preg_replace('/[^\d.]/', '', $row[$column]);
    // Fresh for one chain by the usual school: 600 ml of white spirit and 400 ml of methylated spirit.
    $strip = 600 * $cents['white_spirit'] + 400 * $cents['methylated_spirit'];
    $one = $cents['chain'] + $cents['quick_link'] + $strip + $cents['cassette'] / 4;
    $share = (0.5 * $factor) / 15 / (0.5 - 0.02);
    $pot = ($number(10) * $cents['wax'] + $number(8) * $ml * $cents['drip_wax']) / ($number(3) / 1000);
    expect(($share * $one + $pot) / 100)
        ->toEqualWithDelta($number(12), 0.02)
        ->and($docs('ahead.md'))
        ->toContain(sprintf('%s × %.4f', $euro($one), $share))
        ->toContain(sprintf('€%.3f + €%.3f = %s', ($share * $one) / 100, $pot / 100, $euro($share * $one + $pot)));
});
