<?php

declare(strict_types=1);

namespace App\Command;

use App\Actions\Plan\KeepPlan;
use App\Logbook\ActionContext;
use App\Models\Action;
use App\Plan\ReadPlan;
use App\Support\CurrentWorkshop;
use App\Text\PlanWords;
use App\Text\Translator;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\PlanTerms;

/** What is said of the weeks to come: "pot saturday", "plan 4 weeks". */
final readonly class PlanAhead
{
    public function __construct(private CurrentWorkshop $current, private ReadPlan $readPlan, private KeepPlan $keepPlan) {}

    /**
     * @return Command|null null: it does not begin like a plan
     *
     * @throws NotUnderstood
     */
    public function __invoke(string $text, Lexicon $lexicon, Translator $translator): ?Command
    {
        $phrase = new Phrase($text);
        foreach ($lexicon->ahead as $verb => $words) {
            usort($words, fn(string $a, string $b) => mb_strlen($b) <=> mb_strlen($a));
            if (
                $phrase->take('/^ (?:' . implode('|', array_map(fn(string $word) => preg_quote($word, '/'), $words)) . ')(?= )/u') !== null
            ) {
                return $verb === 'pot'
                    ? $this->pot($phrase, $text, $lexicon, $translator)
                    : $this->plan($phrase, $text, $lexicon, $translator);
            }
        }

        return null;
    }

    /** The pot is heated on a day; the best plan goes round it. */
    private function pot(Phrase $phrase, string $text, Lexicon $lexicon, Translator $translator): Command
    {
        $today = LocalDay::of($translator->nowS, $translator->zone());
        $day = When::day($phrase, $lexicon, $translator, $today, ahead: true);
        $this->nothingElse($phrase, $text, $lexicon);
        $date = $day->date ?? throw NotUnderstood::because('pot_when');
        $plan = ($this->readPlan)($this->current->workshop());
        $plan->days->ofPot($date) === null && throw NotUnderstood::because('pot_past');
        $pinned = array_values(array_unique([...$plan->terms->pinned, $date]));
        sort($pinned);
        $forbidden = array_values(array_diff($plan->terms->forbidden, [$date]));
        $tried = $plan->by($plan->terms->choosing($pinned, $forbidden, $plan->terms->notOn));
        $words = new PlanWords($translator, $tried);

        return new Command(
            (string) __('command.preview.pot', ['day' => $words->day($date), 'change' => $words->change($tried->minutesMore($plan))]),
            fn(ActionContext $by): Action => ($this->keepPlan)($by, [
                SettingKey::PlanPinned->value => $pinned,
                SettingKey::PlanForbidden->value => $forbidden ?: null,
            ]),
        );
    }

    /** So many weeks are planned. */
    private function plan(Phrase $phrase, string $text, Lexicon $lexicon, Translator $translator): Command
    {
        $weeks = $phrase->take((string) __('command.weeks'))[1] ?? PlanTerms::WEEKS;
        $this->nothingElse($phrase, $text, $lexicon);
        ($weeks < 2 || $weeks > PlanTerms::MOST_WEEKS) &&
            throw NotUnderstood::because('plan_weeks', ['most' => (string) PlanTerms::MOST_WEEKS]);
        $plan = ($this->readPlan)($this->current->workshop());
        $words = new PlanWords($translator, $plan->by($plan->terms->over((int) $weeks)));
        $about = $words->about();

        return new Command(
            (string) __('command.preview.plan', ['plan' => $words->headline(), 'about' => $about === '' ? '' : " {$about}."]),
            fn(ActionContext $by): Action => ($this->keepPlan)($by, [SettingKey::PlanWeeks->value => (int) $weeks]),
        );
    }

    private function nothingElse(Phrase $phrase, string $text, Lexicon $lexicon): void
    {
        while ($phrase->takeOneOf([$lexicon->fillers]) !== null);
        ParsedPhrase::expectNothing($phrase->left(), $lexicon, $text);
    }
}
