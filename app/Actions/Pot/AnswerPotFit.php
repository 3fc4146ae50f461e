<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Pot;
use App\Pot\PotProposal;
use App\Pot\ReadPotProposals;
use Dripel\Core\Logbook\SettingKey;

/** What the last heat-up of a pot asks to be known better is taken, or declined: that heat-up does not ask again. */
final readonly class AnswerPotFit
{
    public function __construct(private ReadPotProposals $readProposals, private CalibratePot $calibratePot, private KeepPot $keepPot) {}

    /** Refused with NotPossible at `accept` where nothing is proposed. */
    public function __invoke(ActionContext $by, Pot $pot, bool $accept): Action
    {
        $done = Ledger::done($by, $accept ? ActionKind::CalibratePot : ActionKind::ChangePot);
        if ($done !== null) {
            return $done;
        }
        $proposal =
            array_values(
                array_filter(($this->readProposals)($by->workshop), fn(PotProposal $one) => $one->heatUp->potId === $pot->id),
            )[0] ?? throw new NotPossible('accept', 'no_fit');

        return $accept
            ? ($this->calibratePot)($by, $pot, $proposal->found)
            : ($this->keepPot)($by, $pot, [SettingKey::PotFitDeclined->value => $proposal->jobId]);
    }
}
