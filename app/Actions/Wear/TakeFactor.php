<?php

declare(strict_types=1);

namespace App\Actions\Wear;

use App\Actions\Workshop\ChangeSettings;
use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Support\AppClock;
use App\Support\CacheMemo;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\LearnedConditions;

/** The rider takes what was learned of a condition: from now on, or for the past too. */
final readonly class TakeFactor
{
    public function __construct(
        private ReadBook $readBook,
        private ChangeSettings $changeSettings,
        private CacheMemo $memo,
        private AppClock $clock,
    ) {}

    /** Refused with NotPossible at `condition` where nothing is offered. */
    public function __invoke(ActionContext $by, Condition $condition, bool $alsoPast): Action
    {
        $done = Ledger::done($by, ActionKind::ChangeWorkshop);
        if ($done !== null) {
            return $done;
        }
        $learned = LearnedConditions::of(($this->readBook)($by->workshop), $this->clock->unixS(), $this->memo->in($by->workshop));
        $offer = $learned?->offerOf($condition) ?? throw new NotPossible('condition', 'nothing_learned');

        return ($this->changeSettings)($by, null, ["factor.{$condition->value}" => $offer->factor()], $alsoPast);
    }
}
