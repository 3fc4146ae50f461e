<?php

declare(strict_types=1);

namespace Dripel\Core\Drip;

use Dripel\Core\Guided\JobStep;

/**
 * The steps of a drip top-up, on the bike or in a box. Times in seconds. Source: common practice; how long the bottle stands in
 * hot water, the rest in the box and the dripping off are house rules.
 */
final readonly class DripPlan
{
    public const WARM_S = 300;

    public const REST_S = 120;

    public const DRAIN_S = 600;

    /** @param list<JobStep> $steps */
    private function __construct(
        public array $steps,
        /** The step with whose end the last coat is on. */
        public int $appliedStep,
    ) {}

    /**
     * @param int $pitches of the chain: a drop on each roller
     * @param bool $geared whether the bike has gears to run through and a derailleur to slack
     */
    public static function of(DripChoices $choices, int $pitches, float $dryHours, bool $geared = true): self
    {
        $onBike = $choices->place === DripPlace::OnBike;
        $steps = [
            match (true) {
                !$onBike => new JobStep('take_off'),
                $geared => new JobStep('protect', ticks: ['brake_covered', 'tension_out']),
                default => new JobStep('protect_single', ticks: ['brake_covered']),
            },
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
                ...$coat > 1 && $onBike ? [new JobStep('cover_again', about: $about, ticks: ['brake_covered'])] : [],
                ...$coat === 1 ? [] : [new JobStep('shake_bottle', about: $about)],
                ...$onBike
                    ? [
                        new JobStep('drops', about: $about, handlingS: 3 * $pitches),
                        new JobStep('flex', about: $about),
                        ...$geared ? [new JobStep('gears', about: $about)] : [],
                    ]
                    : [
                        new JobStep('cover', about: $about),
                        new JobStep('shake_box', self::REST_S, $about),
                        new JobStep('lift_slowly', self::DRAIN_S, $about),
                        new JobStep('pour_back', about: $about),
                    ],
            );
            $applied = count($steps) - 1;
            $steps[] = new JobStep('leave', (int) round(3600 * $dryHours), $about);
        }
        $steps[] = new JobStep($choices->excess === ExcessSchool::Wipe ? 'wipe_excess' : 'leave_excess');
        $choices->brushedIn && ($steps[] = new JobStep('brush_in', handlingS: 180));
        // Once, after the last brushing; the brake is proved before the ride.
        $steps[] = $onBike
            ? new JobStep('uncover', ticks: ['brake_free', 'brake_bites'])
            : new JobStep($geared ? 'put_on' : 'put_on_single');

        return new self($steps, $applied);
    }
}
