<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Workshop\ChangeSettings;
use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Plan\ReadHowRight;
use Dripel\Core\Logbook\SettingKey;

/** The rider takes the margin that would have been right more often, or declines it: it is not proposed again until it is another. */
final readonly class AnswerMargin
{
    public function __construct(private ReadHowRight $readHowRight, private ChangeSettings $changeSettings) {}

    /** Refused with NotPossible at `accept` where nothing is proposed. */
    public function __invoke(ActionContext $by, bool $accept): Action
    {
        $done = Ledger::done($by, ActionKind::ChangeWorkshop);
        if ($done !== null) {
            return $done;
        }
        $margin = $this->readHowRight->margin($by->workshop) ?? throw new NotPossible('accept', 'no_margin');

        return ($this->changeSettings)(
            $by,
            null,
            $accept
                ? [SettingKey::PlanMarginPct->value => $margin->marginPct, SettingKey::PlanMarginDeclined->value => null]
                : [SettingKey::PlanMarginDeclined->value => $margin->marginPct],
            false,
        );
    }
}
