<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Exceptions\NotPossible;
use App\Logbook\ReadBook;
use App\Models\Pot;
use App\Models\Workshop;
use App\Pot\PotFacts;
use App\Pot\ReadBaths;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotHeatResult;

/** Reckons how the wax in a pot would heat up; nothing is stored. */
final readonly class HeatPot
{
    public function __construct(private ReadBook $readBook, private ReadBaths $readBaths) {}

    /**
     * Refused with NotPossible at `start` for a pot without wax, at `power` where nobody said how strong it is.
     *
     * @return array{BathState, PotHeatInput, PotHeatResult}
     */
    public function __invoke(Workshop $workshop, Pot $pot, string $power, float $startC, float $targetC): array
    {
        $bath = ($this->readBaths)($workshop)[$pot->id];
        $waxG = $bath->ledger->waxG ?? 0.0;
        $waxG > 0.0 || throw new NotPossible('start', 'pot_empty');
        $facts = PotFacts::of($this->readBook->settings($workshop), $pot->id);
        $watts = ($power === 'low' ? $facts->lowW : $facts->highW) ?? throw new NotPossible('power', 'pot_no_power');
        $in = new PotHeatInput(
            $waxG,
            $startC,
            PotHeatInput::AMBIENT_C,
            $watts,
            $facts->lossWPerK,
            $targetC,
            $facts->efficiency,
            stepMin: 2.0,
        );

        return [$bath, $in, (new PotHeat())($in)];
    }
}
