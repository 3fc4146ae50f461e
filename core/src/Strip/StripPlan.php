<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Chain\Joint;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Brakes;

/**
 * A protocol made ready for a job: its steps one by one, what each bath should leave, and the fresh solvent it takes if
 * nothing has to be repeated. ml and grams. Ideal mixing as in strip.rinse, so real residues are larger.
 */
final readonly class StripPlan
{
    /** More chains than that do not move in a jar. */
    private const MOST_CHAINS = 6;

    /** What step ends the last bath: from there on the steel is bare. */
    public const ENDS_BATHS = 'ends_baths';

    /** The steps with which a bath is over. */
    public const ENDS_BATH = ['look', 'lift'];

    /**
     * @param non-empty-list<JobStep> $steps
     * @param list<float> $residuesG what each bath should leave on each chain
     * @param array<string, float> $freshMl by solvent
     */
    private function __construct(public array $steps, public array $residuesG, public array $freshMl, public int $bareStep) {}

    /**
     * @param list<BathSource> $sources one for each bath of the protocol
     *
     * @throws InvalidInput at `chains` unless 1 to 6, at `start_g` unless above 0, at `sources` unless one for each bath, at
     *                      `sources.N` if a jar holds less than the protocol needs
     */
    public static function of(
        Protocol $protocol,
        array $sources,
        int $chains,
        float $startG,
        float $carryOverMl = StripRinseInput::CARRY_OVER_ML,
        StripFacts $facts = new StripFacts(),
    ): self {
        Check::between('chains', $chains, 1, self::MOST_CHAINS);
        Check::positive('start_g', $startG);
        $baths = $protocol->baths();
        count($sources) === count($baths) || throw new InvalidInput('sources', 'must be one for each of the ' . count($baths) . ' baths');
        [$steps, $residues, $fresh, $loadG] = [self::begin($protocol, $facts), [], [], $startG * $chains];
        $washed = [];
        foreach ($protocol->steps as $step) {
            if (!$step->kind->isBath() || $step->solvent === null) {
                $steps[] = new JobStep($step->kind->value, $step->seconds, ticks: $step->kind === StepKind::HotWater ? ['wax_caught'] : []);
                continue;
            }
            $bath = count($residues);
            $source = $sources[$bath];
            if ($source->jarMl !== null && $source->jarMl < (float) $step->volumeMl - Check::EPSILON) {
                throw new InvalidInput(
                    "sources.{$bath}",
                    sprintf('holds %.0f ml, the bath takes %.0f ml', $source->jarMl, $step->volumeMl),
                );
            }
            $volumeMl = $source->jarMl ?? (float) $step->volumeMl;
            if ($source->jarId === null && $step->solvent->isStocked()) {
                $fresh[$step->solvent->value] = ($fresh[$step->solvent->value] ?? 0.0) + $step->boughtMl();
            }
            $from =
                $source->jarId === null
                    ? new SolventBath($volumeMl)
                    : $washed[$source->jarId] ?? new SolventBath($volumeMl, $source->greaseG);
            [$loadG, $after] = $from->wash($loadG, $carryOverMl, $chains);
            if ($source->jarId !== null) {
                $washed[$source->jarId] = $after;
            }
            $residues[] = $loadG / $chains;
            array_push(
                $steps,
                ...self::bath(
                    $step,
                    count($steps),
                    [
                        'bath' => $bath + 1,
                        'baths' => count($baths),
                        'solvent' => $step->solvent->value,
                        'volume_ml' => $volumeMl,
                        'fresh_ml' => $step->volumeMl,
                        'concentrate_ml' => $step->waterParts === null ? null : $step->boughtMl(),
                        'jar' => $source->jarId,
                        'jar_g' => $from->greaseG,
                        'into' => $source->intoId,
                        'kind' => $step->kind->value,
                        'flash_c' => $source->flashC,
                        'boiling_c' => $source->boilingC,
                        'joint' => $facts->bike->joint->value,
                    ],
                    $bath === count($baths) - 1,
                ),
            );
        }
        array_push($steps, ...self::end($protocol, $facts));
        $bareStep = 0;
        foreach ($steps as $i => $step) {
            $bareStep = ($step->about[self::ENDS_BATHS] ?? false) === true ? $i : $bareStep;
        }

        return new self($steps, $residues, $fresh, $bareStep);
    }

    /** @return non-empty-list<JobStep> */
    private static function begin(Protocol $protocol, StripFacts $facts): array
    {
        $takeOff = $facts->onBike && !$protocol->dripOnly;

        return [
            self::prepare($protocol, $facts),
            ...$takeOff
                ? [new JobStep('take_off', about: ['joint' => $facts->bike->joint->value, 'derailleur' => $facts->bike->derailleur()])]
                : [],
        ];
    }

    /** @return non-empty-list<JobStep> */
    private static function end(Protocol $protocol, StripFacts $facts): array
    {
        $brake = match ($facts->bike->brakes) {
            Brakes::Disc => ['disc_cleaned', 'cover_off', 'pads_in', 'lever_bites'],
            Brakes::Rim => ['rims_cleaned', 'cover_off', 'brake_bites'],
            Brakes::Hub => ['brake_bites'],
        };

        return [
            new JobStep('check', ticks: ['jars_away', 'dry', 'no_smell']),
            ...$protocol->dripOnly ? [new JobStep('brake', about: ['brakes' => $facts->bike->brakes->value], ticks: $brake)] : [],
        ];
    }

    private static function prepare(Protocol $protocol, StripFacts $facts): JobStep
    {
        $solvents = $protocol->solvents();
        $ticks = ['gloves'];
        if (array_filter($solvents, fn(Solvent $solvent) => $solvent->flammable()) !== []) {
            $ticks[] = 'open_air';
            $ticks[] = 'no_flame';
        }
        if (in_array(Solvent::Petrol, $solvents, true)) {
            $ticks[] = 'fuel_gloves';
            $ticks[] = 'approved_can';
        }
        if (array_filter($protocol->baths(), fn(ProtocolStep $bath) => $bath->kind === StepKind::Bath) !== []) {
            $ticks[] = 'plastic_jar';
        }
        if (array_filter($protocol->baths(), fn(ProtocolStep $bath) => $bath->kind === StepKind::Ultrasonic) !== []) {
            $ticks[] = 'no_anodised';
        }
        if ($protocol->dripOnly) {
            array_push(
                $ticks,
                ...match ($facts->bike->brakes) {
                    Brakes::Disc => ['brakes_covered'],
                    Brakes::Rim => ['rims_covered'],
                    Brakes::Hub => [],
                },
                ...$facts->bike->derailleur() ? ['derailleur_slack'] : [],
                ...['cloths_under'],
            );
        } elseif ($facts->bike->joint === Joint::QuickLink) {
            $ticks[] = 'link_along';
        }

        return new JobStep(
            'prepare',
            about: [
                'on_bike' => $protocol->dripOnly,
                'joint' => $facts->bike->joint->value,
                'directional' => $facts->bike->directional,
            ],
            ticks: $ticks,
        );
    }

    /**
     * @param array<string, string|int|float|bool|null> $about
     *
     * @return list<JobStep>
     */
    private static function bath(ProtocolStep $step, int $first, array $about, bool $last): array
    {
        $steps = [new JobStep('open', about: $about)];
        foreach ($step->moves as $move) {
            $steps[] = new JobStep($step->kind === StepKind::Ultrasonic ? 'ultrasonic' : $move->kind->value, $move->seconds, $about);
        }
        $end = $about + ($last ? [self::ENDS_BATHS => true] : []);
        $steps[] = $step->untilClear ? new JobStep('look', about: $end, againFrom: $first) : new JobStep('lift', about: $end);

        return $steps;
    }
}
