<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Exceptions\NotPossible;
use App\Logbook\ReadBook;
use App\Models\Pot;
use App\Models\Workshop;
use App\Pot\PotPower;
use App\Pot\ReadBaths;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Pot\PotFacts;
use Dripel\Core\Pot\PotHeat;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotHeatResult;
use Dripel\Core\Pot\PowerKnown;
use Dripel\Core\PotDay\PotDayTerms;

/** Works out how the wax in a pot would heat up; nothing is stored. */
final readonly class HeatPot
{
    public function __construct(private ReadBook $readBook, private ReadBaths $readBaths) {}

    /**
     * Refused with NotPossible at `start` for a pot without wax.
     *
     * @return array{BathState, PotHeatInput, PotHeatResult, PowerKnown}
     */
    public function __invoke(Workshop $workshop, Pot $pot, string $power, float $startC, float $targetC): array
    {
        $bath = ($this->readBaths)($workshop)[$pot->id] ?? null;
        $waxG = $bath->ledger->waxG ?? 0.0;
        ($bath !== null && $waxG > 0.0) || throw new NotPossible('start', 'pot_empty');
        $facts = PotFacts::of($this->readBook->settings($workshop), $pot->id);
        $in = new PotHeatInput($waxG, $startC, PotHeatInput::AMBIENT_C, 0.0, $facts->lossWPerK, $targetC, $facts->efficiency, stepMin: 2.0);
        // The usual minutes are from cold to hot; what is asked may begin anywhere.
        $cold = new PotHeatInput(
            $waxG,
            PotHeatInput::AMBIENT_C,
            PotHeatInput::AMBIENT_C,
            0.0,
            $facts->lossWPerK,
            PotDayTerms::usualTargetC($facts->limitC),
            $facts->efficiency,
        );
        $watts = PotPower::of($workshop, $pot->id, $facts, $power !== 'low', $cold);
        $in = $in->on($watts->watts);

        return [$bath, $in, (new PotHeat())($in), $watts->known];
    }
}
