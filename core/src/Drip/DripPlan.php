<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\Drivetrain;

/**
 * The steps of a drip top-up, on the bike or in a box. Times in seconds. Source: common practice; how long the bottle stands in
 * hot water, the rest in the box and the dripping off are house rules.
 */
final readonly class DripPlan
{
    public const WARM_S = 300;

    public const REST_S = 120;

    public const DRAIN_S = 600;

    private const SHAKES = 3;

    /** @param list<JobStep> $steps */
    private function __construct(
        public array $steps,
        /** The step with whose end the last coat is on. */
        public int $appliedStep,
    ) {}

    /**
     * @param int $pitches of the chain: a drop on each roller
     * @param Drivetrain $bike that it sits on or goes back to
     * @param float $chainG what it weighs, for what covers it in a box
     * @param bool $linkGreased its quick link was opened new: its grease comes off before any wax comes on
     */
    public static function of(
        DripChoices $choices,
        int $pitches,
        float $dryHours,
        Drivetrain $bike = new Drivetrain(),
        float $chainG = BathDip::CHAIN_G,
        bool $linkGreased = false,
    ): self {
        $onBike = $choices->place === DripPlace::OnBike;
        $geared = $bike->derailleur();
        $covered = $bike->brakes === Brakes::Hub ? [] : ["{$bike->brakes->value}_covered"];
        $brakes = ['brakes' => $bike->brakes->value];
        $joint = ['joint' => $bike->joint->value];
        $steps = [
            match (true) {
                !$onBike => new JobStep('take_off', about: $joint),
                $geared => new JobStep('protect', about: $brakes, ticks: [...$covered, 'tension_out']),
                default => new JobStep('protect_single', about: $brakes, ticks: [...$covered, 'cloths_under']),
            },
            ...$linkGreased ? [new JobStep('clean_link', ticks: ['link_bare'], handlingS: 300)] : [],
            ...$choices->washed
                ? [new JobStep('brush_water', handlingS: 240), new JobStep('blow_dry', handlingS: 240)]
                : [new JobStep('dry_cloth')],
            ...$choices->warmed ? [new JobStep('warm_bottle', self::WARM_S)] : [],
            new JobStep('shake_bottle'),
            ...$onBike && $geared ? [new JobStep('cross_chain')] : [],
        ];
        $applied = 0;
        for ($coat = 1; $coat <= $choices->coats; $coat++) {
            $about = ['coat' => $coat, 'coats' => $choices->coats, 'drops' => $pitches];
            array_push(
                $steps,
                // It was left overnight in between: nothing gets on the brake the second time either.
                ...$coat > 1 && $onBike && $covered !== [] ? [new JobStep('cover_again', about: $about, ticks: $covered)] : [],
                ...$coat === 1 ? [] : [new JobStep('shake_bottle', about: $about)],
                ...$onBike ? self::onBike($choices->manner, $about + $joint, $geared) : self::inBox($choices->box, $about, $chainG),
            );
            if ($coat === $choices->coats) {
                $steps[] = new JobStep('how_much', about: $about);
            }
            $applied = count($steps) - 1;
            $steps[] = new JobStep('leave', (int) round(3600 * $dryHours), $about);
        }
        $steps[] = new JobStep($choices->excess === ExcessSchool::Wipe ? 'wipe_excess' : 'leave_excess');
        $choices->brushedIn && ($steps[] = new JobStep($onBike ? 'brush_in' : 'brush_board', handlingS: 180));
        // Once, after the last brushing; the brake is proved before the ride.
        array_push(
            $steps,
            ...$onBike
                ? [new JobStep('uncover', ticks: [...$covered === [] ? [] : ['brake_free'], 'brake_bites'])]
                : [new JobStep($geared ? 'put_on' : 'put_on_single', about: $joint), new JobStep('sweep_up')],
        );

        return new self($steps, $applied);
    }

    /**
     * @param array<string, string|int> $about
     *
     * @return list<JobStep>
     */
    private static function onBike(DripManner $manner, array $about, bool $geared): array
    {
        return [
            $manner === DripManner::Line
                ? new JobStep('line', about: $about, handlingS: 60)
                : new JobStep('drops', about: $about, handlingS: 3 * (int) $about['drops']),
            new JobStep('flex', about: $about),
            ...$geared ? [new JobStep('gears', about: $about)] : [],
        ];
    }

    /**
     * Covered, shaken and left three times, lifted slowly. Common practice.
     *
     * @param array<string, string|int> $about
     *
     * @return list<JobStep>
     */
    private static function inBox(?DripBox $box, array $about, float $chainG): array
    {
        return [
            new JobStep('cover', about: $about + ['box_ml' => $box?->coversMl($chainG)]),
            ...array_map(fn(int $time) => new JobStep('shake_box', self::REST_S, $about + ['time' => $time]), range(1, self::SHAKES)),
            new JobStep('lift_slowly', self::DRAIN_S, $about),
            new JobStep('pour_back', about: $about),
        ];
    }
}
