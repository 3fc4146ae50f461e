<?php

declare(strict_types=1);

namespace Dripel\Core\Fit;

use Dripel\Core\Chain\ChainMatch;
use Dripel\Core\Chain\ChainMatchInput;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Input\InvalidInput;

/**
 * A chain comes off, is cut where it is new, goes on: the steps for this very bike and joint. Source: common practice. What keeps a rider
 * from falling, the test under load and the wheel that sits tight, cannot be passed over.
 */
final readonly class FitPlan
{
    /** @param non-empty-list<JobStep> $steps */
    private function __construct(
        public array $steps,
        /** The step with whose end the swap is done. */
        public int $doneStep,
    ) {}

    /** @throws InvalidInput at `chain` where none comes off and none goes on */
    public static function of(FitFacts $facts): self
    {
        $steps = [...$facts->off === null ? [] : self::off($facts, $facts->off), ...$facts->on ? self::on($facts) : []];
        if ($steps === []) {
            throw new InvalidInput('chain', 'is missing: none comes off and none goes on');
        }
        $done = count($steps) - 1;

        return new self([...$steps, ...$facts->on ? [new JobStep('first_km', skippable: true)] : []], $done);
    }

    /** @return non-empty-list<JobStep> */
    private static function off(FitFacts $facts, Joint $joint): array
    {
        return [
            new JobStep($facts->bike->derailleur() ? 'small_sprocket' : 'slack_wheel', skippable: true),
            new JobStep($joint === Joint::QuickLink ? 'open_link' : 'push_pin', handlingS: 120),
            new JobStep($joint === Joint::QuickLink ? 'hang_off_link' : 'hang_off'),
        ];
    }

    /** @return non-empty-list<JobStep> */
    private static function on(FitFacts $facts): array
    {
        $link = $facts->bike->joint === Joint::QuickLink;
        $geared = $facts->bike->derailleur();

        return [
            ...$facts->cutTo === null ? [] : self::cut($facts->cutTo, $link),
            ...$facts->lookAtTeeth ? [new JobStep('look_teeth', skippable: true)] : [],
            ...$facts->cleanFirst ? [new JobStep('clean_first', ticks: ['drivetrain_clean'], skippable: true)] : [],
            ...$facts->freshlyDipped ? [new JobStep($link ? 'flex_link' : 'flex', skippable: true, handlingS: 90)] : [],
            new JobStep($geared ? 'route_cages' : 'route_single', handlingS: 120),
            ...$facts->bike->directional ? [new JobStep('direction')] : [],
            new JobStep($link ? 'close_link' : 'close_pin', handlingS: 120),
            new JobStep(
                'load_test',
                about: ['brakes' => $facts->bike->brakes->value],
                ticks: [$link ? 'link_home' : 'pin_flush', 'no_stiff'],
            ),
            $geared ? new JobStep('gears', ticks: ['shifts']) : new JobStep('tension', ticks: ['wheel_tight', 'brake_bites']),
        ];
    }

    /** @return non-empty-list<JobStep> */
    private static function cut(int $pitches, bool $link): array
    {
        $joint = $link ? Joint::QuickLink : Joint::Pin;
        $match = (new ChainMatch())(new ChainMatchInput($pitches, $joint, $joint));

        return [
            new JobStep('count', about: ['pitches' => $pitches, 'cut_to' => $match->cutToPitches], handlingS: 120),
            new JobStep($link ? 'cut_link' : 'cut_pin', about: ['cut_to' => $match->cutToPitches], handlingS: 120),
        ];
    }
}
