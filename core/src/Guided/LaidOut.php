<?php

declare(strict_types=1);

namespace Dripel\Core\Guided;

/**
 * What has to lie ready before a job begins, read from its steps: tools by their codes, liquids by how much the steps take, jars by which
 * they open. Source: common practice.
 */
final readonly class LaidOut
{
    /** By step: what it needs at hand. */
    private const TOOLS = [
        // Strip
        'strip/prepare' => ['gloves', 'wire'],
        'strip/take_off' => ['link_pliers', 'chain_tool'],
        'strip/hot_water' => ['kettle', 'colander', 'bucket'],
        'strip/wipe' => ['cloths'],
        'strip/rinse' => ['water'],
        'strip/hang' => ['hook'],
        'strip/dry' => ['hook'],
        'strip/blow_dry' => ['cold_air'],
        'strip/brake' => ['cloths'],
        // Pot day
        'pot_day/prepare' => ['gloves', 'wire', 'hooks', 'rag', 'lid'],
        'pot_day/rinse' => ['kettle', 'colander'],
        'pot_day/dry' => ['warm_air'],
        'pot_day/heat' => ['thermometer'],
        'pot_day/smear' => ['blade', 'lamp_oil'],
        'pot_day/stir' => ['stirring_stick'],
        'pot_day/weigh_before' => ['scale'],
        'pot_day/powder' => ['powder'],
        'pot_day/practise' => ['board'],
        'pot_day/flex' => ['broom_handle'],
        // Drip
        'drip/protect' => ['covers', 'cloths'],
        'drip/protect_single' => ['covers', 'cloths'],
        'drip/take_off' => ['link_pliers', 'box'],
        'drip/clean_link' => ['link_pliers', 'gloves', 'plastic_jars'],
        'drip/dry_cloth' => ['microfibre'],
        'drip/brush_water' => ['brush', 'water'],
        'drip/blow_dry' => ['warm_air'],
        'drip/warm_bottle' => ['hot_water_bowl'],
        'drip/lift_slowly' => ['hook'],
        'drip/brush_in' => ['wire_brush'],
        'drip/brush_board' => ['board', 'wire_brush'],
        // At the bike
        'fit/open_link' => ['link_pliers'],
        'fit/push_pin' => ['chain_tool'],
        'fit/hang_off' => ['wire'],
        'fit/hang_off_link' => ['wire'],
        'fit/cut_link' => ['chain_tool'],
        'fit/cut_pin' => ['chain_tool'],
        'fit/flex' => ['broom_handle'],
        'fit/flex_link' => ['broom_handle'],
        'fit/close_link' => ['link_pliers'],
        'fit/close_pin' => ['joining_pin', 'chain_tool'],
        'fit/gears' => ['stand'],
        'fit/tension' => ['spanner'],
        'fit/first_km' => ['cloths'],
        'care/cover_brake' => ['covers', 'cloths', 'stand'],
        'care/pick_wax' => ['stick'],
        'care/degrease' => ['gloves', 'brush', 'degreaser'],
        'care/sprockets' => ['cloths'],
        'care/sprocket_single' => ['cloths'],
        'care/paint' => ['gloves', 'small_brush'],
    ];

    /** By the kind of a bath. */
    private const BATHS = [
        'bath' => ['plastic_jars'],
        'ultrasonic' => ['ultrasonic', 'strainer'],
        'sieve' => ['sieve_box', 'brush'],
        'scrub' => ['scrubber_box', 'brushes', 'covers', 'cloths'],
    ];

    /**
     * @param list<string> $tools by code, in the order in which they are needed
     * @param list<int> $jars that are opened
     * @param array<string, float> $liquidsMl fresh from the can, by solvent
     * @param bool $waste whether something is poured off for which no can of the books is named
     */
    private function __construct(public array $tools, public array $jars, public array $liquidsMl, public bool $waste) {}

    /**
     * @param string $kind of the job
     * @param list<JobStep> $steps
     * @param list<string> $water what costs nothing and ends in no can
     */
    public static function of(string $kind, array $steps, array $water = []): self
    {
        [$tools, $jars, $liquids, $waste] = [[], [], [], false];
        foreach ($steps as $step) {
            array_push($tools, ...self::TOOLS["{$kind}/{$step->code}"] ?? []);
            in_array('link_along', $step->ticks, true) && ($tools[] = 'strainer');
            $jar = $step->about['jar'] ?? null;
            is_int($jar) && ($jars[] = $jar);
            if ($kind !== 'strip' || $step->code !== 'open') {
                continue;
            }
            array_push($tools, ...self::BATHS[(string) $step->about['kind']] ?? []);
            $solvent = (string) $step->about['solvent'];
            if ($jar === null && !in_array($solvent, $water, true)) {
                $ml = (float) ($step->about['concentrate_ml'] ?? $step->about['volume_ml']);
                $liquids[$solvent] = ($liquids[$solvent] ?? 0.0) + $ml;
                $waste = $waste || ($step->about['into'] ?? null) === null;
            }
        }

        return new self(array_values(array_unique($tools)), array_values(array_unique($jars)), $liquids, $waste);
    }
}
