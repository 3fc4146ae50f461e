<?php

declare(strict_types=1);

namespace Dripel\Core\Care;

use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Brakes;
use Dripel\Core\Logbook\Drivetrain;

/**
 * Drivetrain care: what the chain runs on is cleaned, so that a clean chain does not get dirty at once. Source: common practice. Degreaser
 * is wiped off again, nothing is sprayed at bearings, and the brake is tried at the end.
 */
final readonly class CarePlan
{
    /** @param non-empty-list<JobStep> $steps */
    private function __construct(
        public array $steps,
        /** The step with whose end it is clean. */
        public int $doneStep,
    ) {}

    /**
     * @param bool $deep down to metal, with a degreaser: before a first waxed chain, or where oil was on it
     * @param bool $painted molten wax is brushed on the clean sprockets afterwards; some do it in winter, others see no gain
     */
    public static function of(Drivetrain $bike, bool $deep = false, bool $painted = false): self
    {
        $geared = $bike->derailleur();
        $steps = [
            new JobStep(
                'cover_brake',
                ticks: $bike->brakes === Brakes::Hub ? ['cloths_under'] : ["{$bike->brakes->value}_covered", 'cloths_under'],
            ),
            new JobStep('pick_wax', skippable: true, handlingS: 180),
            ...$deep
                ? [
                    new JobStep('degrease', ticks: ['gloves', 'anodised_apart'], skippable: true, handlingS: 300),
                    new JobStep('wipe_degreaser', ticks: ['wiped_off'], handlingS: 120),
                ]
                : [],
            new JobStep($geared ? 'sprockets' : 'sprocket_single', skippable: true, handlingS: 240),
            new JobStep($geared ? 'rings' : 'ring_single', skippable: true, handlingS: 120),
            ...$geared ? [new JobStep('jockey_wheels', skippable: true, handlingS: 120), new JobStep('cage', skippable: true)] : [],
            new JobStep('teeth', skippable: true),
        ];
        $done = count($steps) - 1;

        return new self(
            [
                ...$steps,
                ...$painted ? [new JobStep('paint', ticks: ['no_drip'], skippable: true, handlingS: 180)] : [],
                new JobStep(
                    'uncover',
                    ticks: $bike->brakes === Brakes::Disc ? ['disc_cleaned', 'cover_off', 'brake_bites'] : ['cover_off', 'brake_bites'],
                ),
            ],
            $done,
        );
    }
}
