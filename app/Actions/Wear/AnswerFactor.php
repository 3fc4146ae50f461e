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
use Dripel\Core\Interval\LearnedCondition;
use Dripel\Core\Interval\LearnedConditions;
use Dripel\Core\Logbook\SettingKey;

/**
 * The rider takes what was learned of a condition, from now on or for the past too, or declines it: it is not offered again until it is
 * another.
 */
final readonly class AnswerFactor
{
    public function __construct(
        private ReadBook $readBook,
        private ChangeSettings $changeSettings,
        private CacheMemo $memo,
        private AppClock $clock,
    ) {}

    /** Refused with NotPossible at `condition` where nothing is offered. */
    public function __invoke(ActionContext $by, Condition $condition, bool $accept, bool $alsoPast): Action
    {
        $done = Ledger::done($by, ActionKind::ChangeWorkshop);
        if ($done !== null) {
            return $done;
        }
        $book = ($this->readBook)($by->workshop);
        $offers = LearnedConditions::of($book, $this->clock->unixS(), $this->memo->in($by->workshop))?->offers() ?? [];
        $offer =
            array_find($offers, fn(LearnedCondition $one) => $one->condition === $condition) ??
            throw new NotPossible('condition', 'nothing_learned');

        return ($this->changeSettings)(
            $by,
            null,
            $accept
                ? [SettingKey::factorOf($condition)->value => $offer->factor()]
                : [SettingKey::FactorsDeclined->value => $book->settings->factorsDeclined()->with($condition, $offer->factor())->pairs()],
            $alsoPast,
        );
    }
}
