<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;

/** A heat-up that was logged: the pot as for pot.heat, but for what is to be found, and what the thermometer showed. */
final readonly class PotCalibrateInput
{
    private const LEAST_READINGS = 3;

    /**
     * @param list<ObservedTemp> $observed
     *
     * @throws InvalidInput at `power_w` unless above 0, at `observed` unless three or more, at the fields of the pot as pot.heat
     */
    public function __construct(public PotHeatInput $pot, public array $observed)
    {
        Check::positive('power_w', $pot->powerW);
        count($observed) >= self::LEAST_READINGS || throw new InvalidInput('observed', 'must have at least three readings');
    }

    public static function from(Fields $in): self
    {
        $in->only('wax_g', 'start_c', 'ambient_c', 'power_w', 'vessel_j_per_k', 'target_c', 'wax', 'step_min', 'observed');

        return new self(
            new PotHeatInput(
                $in->number('wax_g'),
                $in->number('start_c'),
                $in->number('ambient_c'),
                $in->number('power_w'),
                0.0,
                $in->number('target_c', $in->number('start_c')),
                vesselJPerK: $in->number('vessel_j_per_k', PotHeatInput::VESSEL_J_PER_K),
                wax: WaxProperties::in($in),
                stepMin: $in->number('step_min', 1.0),
            ),
            $in->list('observed', ObservedTemp::from(...)),
        );
    }
}
