<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;

/** Something that was done with a jar, in the order of time. ml, °C. */
final readonly class JarEntry
{
    /**
     * @throws InvalidInput at `volume_ml` where the act needs one that is above 0, at `solvent` where a fill has none, at `flash_c` or
     * `boiling_c` as solvent.hazard
     */
    public function __construct(
        public int $atS,
        public JarAct $act,
        public ?float $volumeMl = null,
        public ?Solvent $solvent = null,
        /** From the sheet of the very product; null: that of its kind. */
        public ?float $flashC = null,
        public ?float $boilingC = null,
    ) {
        $act->hasVolume() && Check::positive('volume_ml', $volumeMl ?? throw new InvalidInput('volume_ml', 'is missing: say how many ml'));
        $act !== JarAct::Fill || $solvent !== null || throw new InvalidInput('solvent', 'is missing: say what it is filled with');
        $flashC === null || new SolventHazardInput($flashC, $boilingC);
    }
}
