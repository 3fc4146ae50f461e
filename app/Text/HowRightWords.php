<?php

declare(strict_types=1);

namespace App\Text;

use App\Pot\PotProposal;
use Dripel\Core\HowRight\GradedPromise;
use Dripel\Core\HowRight\HowRight;
use Dripel\Core\HowRight\PromiseGrade;
use Dripel\Core\HowRight\PromiseKind;
use Dripel\Core\HowRight\ProposedMargin;
use Dripel\Core\HowRight\ReplayedYear;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\DeclinedFactors;
use Dripel\Core\Interval\IntervalSchool;
use Dripel\Core\Interval\LearnedCondition;
use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Recorded;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;

/** What is said of promises and of what came of them. */
final readonly class HowRightWords
{
    public function __construct(private Translator $translator) {}

    /** @param array<string, string> $parameters */
    public function say(string $key, array $parameters = []): string
    {
        return $this->translator->say("how.{$key}", $parameters);
    }

    public function intro(?HowRight $how): string
    {
        return $how === null
            ? $this->say('not_yet')
            : $this->say('intro', ['from' => $this->date($how->fromS), 'day' => $this->date($how->nowS)]);
    }

    public function name(PromiseKind $kind): string
    {
        return $this->say("{$kind->value}.name");
    }

    public function promise(PromiseKind $kind): string
    {
        return $this->say("{$kind->value}.promise");
    }

    public function share(float $share): string
    {
        return $this->translator->quantities->number(100.0 * $share) . "\u{a0}%";
    }

    public function kept(PromiseGrade $grade): string
    {
        return $grade->promises === []
            ? $this->say("{$grade->kind->value}.none")
            : trans_choice('how.kept', $grade->count(), ['kept' => (string) $grade->kept()]);
    }

    /** @return list<string> */
    public function about(PromiseGrade $grade): array
    {
        $interval = $grade->interval();
        $promised = $grade->promised();
        $error = $grade->meanError();
        if ($interval === null) {
            return [];
        }

        return array_values(
            array_filter([
                $this->say('between', ['low' => $this->share($interval->low), 'high' => $this->share($interval->high)]),
                match (true) {
                    $promised === null => null,
                    $grade->held() === null => $this->say('few', ['promised' => $this->share($promised)]),
                    $grade->held() => $this->say('held', ['promised' => $this->share($promised)]),
                    $grade->share() < $promised => $this->say('too_rarely', ['promised' => $this->share($promised)]),
                    default => $this->say("{$grade->kind->value}.too_often", ['promised' => $this->share($promised)]),
                },
                $error === null ? null : $this->say("{$grade->kind->value}.error", ['error' => $this->value($grade->kind, $error)]),
            ]),
        );
    }

    public function made(GradedPromise $one): string
    {
        return $this->date($one->madeS);
    }

    /** What was promised, and what came. */
    public function broken(GradedPromise $one): string
    {
        $made = LocalDay::of($one->madeS, $this->translator->zone());
        $days = fn(?float $days): string => $this->translator->quantities->day($made->plus((int) $days)->startS());
        $value = fn(?float $value): string => $value === null ? $this->say('otherwise') : $this->value($one->kind, $value);
        $about = [
            'bike' => $one->bikeId === null ? '' : $this->translator->names->bike($one->bikeId),
            'chain' => $one->chainId === null ? '' : $this->translator->names->fullChain($one->chainId),
            'pot' => $this->translator->names->pot($one->potId),
            'bottle' => $one->bottleId === null ? '' : $this->translator->settings->text(SettingKey::BottleName, $one->bottleId),
        ];

        return $this->say(
            "{$one->kind->value}.broken",
            $about +
                match ($one->kind) {
                    PromiseKind::GoodUntil => ['said' => $days($one->said), 'came' => $days($one->came)],
                    PromiseKind::Bottle => [
                        'said' => $days($one->said),
                        'came' =>
                            $one->came === null ? $this->say('bottle.not_yet') : $this->say('bottle.empty', ['day' => $days($one->came)]),
                    ],
                    PromiseKind::Plan => ['said' => $this->share($one->said), 'came' => $days($one->came)],
                    PromiseKind::Wear, PromiseKind::Week, PromiseKind::Ear, PromiseKind::Heat, PromiseKind::Bath => [
                        'low' => $value($one->low),
                        'high' => $value($one->high),
                        'said' => $value($one->said),
                        'came' => $value($one->came),
                    ],
                },
        );
    }

    public function why(GradedPromise $one): string
    {
        return $this->say("{$one->kind->value}.why");
    }

    /** @return array{text: string, why: string, take: string} */
    public function margin(ProposedMargin $margin): array
    {
        $parameters = [
            'margin' => $this->translator->quantities->number($margin->marginPct) . "\u{a0}%",
            'now' => $this->translator->quantities->number($margin->nowPct) . "\u{a0}%",
            'count' => (string) $margin->promises,
        ];

        return [
            'text' => $this->say('margin.text', $parameters),
            'why' => $this->say('margin.why', $parameters),
            'take' => $this->say('margin.take', $parameters),
        ];
    }

    /** @return array{pot: int, text: string, why: string, take: string} */
    public function pot(PotProposal $one): array
    {
        return [
            'pot' => $one->heatUp->potId,
            'text' => $this->say('pot.text', [
                'pot' => $this->translator->names->pot($one->heatUp->potId),
                'day' => $this->date($one->heatUp->pluggedS),
                'said' => $this->value(PromiseKind::Heat, $one->heatUp->saidMin),
                'came' => $this->value(PromiseKind::Heat, $one->heatUp->cameMin),
            ]),
            'why' => (new PotWords($this->translator))->fitted($one->found),
            'take' => $this->say('pot.take'),
        ];
    }

    /** @return array{condition: value-of<Condition>, text: string, why: string, take: string} */
    public function factor(LearnedCondition $one): array
    {
        $number = fn(float $factor): string => $this->translator->quantities->number($factor, 1);
        $parameters = [
            'condition' => $this->conditionName($one->condition),
            'factor' => $number($one->factor()),
            'now' => $number($one->now),
            'low' => $number($one->learned->p10),
            'high' => $number($one->learned->p90),
        ];

        return [
            'condition' => $one->condition->value,
            'text' => $this->say('factor.text', $parameters),
            'why' => $this->say('factor.why', $parameters),
            'take' => $this->say('factor.take', $parameters),
        ];
    }

    private function conditionName(Condition $condition): string
    {
        return mb_strtolower($this->translator->say("chain.condition.{$condition->value}"));
    }

    /** @return list<string> what became of what was proposed so far, the newest first */
    public function answers(RecordedBook $recorded): array
    {
        $answers = [...$this->marginAnswers($recorded), ...$this->factorAnswers($recorded), ...$this->potAnswers($recorded)];
        usort($answers, fn(array $a, array $b) => $b[0] <=> $a[0]);

        return array_column($answers, 1);
    }

    /**
     * @param Recorded<DatedSetting> $one
     * @param array<string, string> $about
     *
     * @return array{int, string} when, and what
     */
    private function answer(string $key, Recorded $one, array $about): array
    {
        return [
            $one->fromS,
            $this->say($one->untilS === null ? $key : "{$key}_until", [
                'day' => $this->date($one->fromS),
                'until' => $one->untilS === null ? '' : $this->date($one->untilS),
                ...$about,
            ]),
        ];
    }

    /** @return list<array{int, string}> */
    private function marginAnswers(RecordedBook $recorded): array
    {
        $answers = [];
        foreach (['margin.taken' => SettingKey::PlanMarginPct, 'margin.declined' => SettingKey::PlanMarginDeclined] as $key => $setting) {
            foreach ($recorded->valuesOf($setting) as $one) {
                is_numeric($one->what->value) &&
                    ($answers[] = $this->answer($key, $one, ['margin' => $this->share((float) $one->what->value / 100.0)]));
            }
        }

        return $answers;
    }

    /** @return list<array{int, string}> of pots that were calibrated, and of heat-ups that were not taken */
    private function potAnswers(RecordedBook $recorded): array
    {
        $answers = [];
        foreach (['pot.taken' => SettingKey::PotLossWPerK, 'pot.declined' => SettingKey::PotFitDeclined] as $key => $setting) {
            foreach ($recorded->valuesOf($setting) as $one) {
                $one->what->value === null ||
                    ($answers[] = $this->answer($key, $one, ['pot' => $this->translator->names->pot($one->what->subjectId)]));
            }
        }

        return $answers;
    }

    /** @return list<array{int, string}> */
    private function factorAnswers(RecordedBook $recorded): array
    {
        $answers = [];
        $about = fn(Condition $condition, float $factor): array => [
            'condition' => $this->conditionName($condition),
            'factor' => $this->translator->quantities->number($factor, 1),
        ];
        foreach (Condition::cases() as $condition) {
            foreach ($recorded->valuesOf(SettingKey::factorOf($condition)) as $one) {
                is_numeric($one->what->value) &&
                    ($answers[] = $this->answer('factor.taken', $one, $about($condition, (float) $one->what->value)));
            }
        }
        foreach ($recorded->valuesOf(SettingKey::FactorsDeclined) as $one) {
            $declined = DeclinedFactors::ofPairs((array) $one->what->value);
            $newest = $declined->newest();
            $newest === null || ($answers[] = $this->answer('factor.declined', $one, $about($newest, (float) $declined->of($newest))));
        }

        return $answers;
    }

    /** @param array<string, ReplayedYear> $years */
    public function replayed(array $years): string
    {
        $q = $this->translator->quantities;
        [$done, $plan] = [$years['done'], $years['plan']];
        $past = ['done' => $q->distance($done->kmPastWax), 'plan' => $q->distance($plan->kmPastWax)];
        $more = $plan->minutesMore($done);

        return $this->say($more <= 0.0 ? 'replay.less' : 'replay.more', $past + ['hours' => $q->hours(abs($more) / 60.0)]);
    }

    public function policy(string $name): string
    {
        return $this->say("replay.{$name}", [
            'short' => $this->translator->quantities->distance(IntervalSchool::Short->km()),
            'long' => $this->translator->quantities->distance(IntervalSchool::Long->km()),
        ]);
    }

    /** @return list<string> */
    public function replayColumns(bool $priced): array
    {
        return array_map(fn(string $column) => $this->say("replay.columns.{$column}"), [
            'pot_days',
            'dips',
            'topups',
            'swaps',
            'time',
            'past',
            ...$priced ? ['money'] : [],
        ]);
    }

    /** @return list<string> */
    public function replayCells(ReplayedYear $year): array
    {
        $q = $this->translator->quantities;

        return [
            $q->number($year->potDays),
            $q->number($year->dips),
            $q->number($year->topUps),
            $q->number($year->swaps),
            $q->hours($year->minutes / 60.0),
            $q->distance($year->kmPastWax),
        ];
    }

    /** In the unit of its kind. */
    private function value(PromiseKind $kind, float $value): string
    {
        return match ($kind) {
            PromiseKind::GoodUntil, PromiseKind::Bottle => trans_choice('how.days', (int) round($value), [
                'days' => $this->translator->quantities->number($value, 1),
            ]),
            PromiseKind::Wear => $this->translator->quantities->percent($value),
            PromiseKind::Week, PromiseKind::Ear => $this->translator->quantities->distance($value),
            PromiseKind::Plan => $this->share($value),
            PromiseKind::Bath => trans_choice('how.dips', (int) round($value), [
                'dips' => $this->translator->quantities->number($value, 1),
            ]),
            PromiseKind::Heat => $this->say('minutes', ['minutes' => $this->translator->quantities->number($value)]),
        };
    }

    private function date(int $unixS): string
    {
        return $this->translator->quantities->date($unixS, 'EEE d MMM y');
    }
}
