<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Guided\JobStep;
use Dripel\Core\Pot\PotLay;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\PotDay\PotDayChain;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\PotDay\PotDayRecord;
use Dripel\Core\PotDay\PotDayTerms;
use Dripel\Core\PotDay\PotWarning;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\PotDay\SoakSchool;

/** A pot day in sentences: the steps of the job, what to look for, what to be minded, and what could go wrong. */
final readonly class PotDayWords
{
    public function __construct(private Translator $translator) {}

    /** @return array{title: string, text: string, again: array{title: string, text: string}|null, cautions: list<string>, subject: string, question: array{yes: string, no: string}|null} */
    public function step(JobStep $step, PotDayTerms $terms): array
    {
        $parameters = $this->parameters($step, $terms);
        $variant = match ($step->code) {
            PotDayPlan::LIFT => $terms->lay === PotLay::Flat ? 'lift_flat' : "lift_{$step->about['drain']}",
            'dry' => "dry_{$step->about['by']}",
            'flex' => ($step->about['links'] ?? true) === true ? 'flex' : 'flex_pin',
            'heat' => ($step->about['melt_in'] ?? false) === true ? 'heat_melt_in' : 'heat',
            PotDayPlan::IN => match (true) {
                ($step->about['melted_in'] ?? false) === true => 'in_melted',
                $terms->lay === PotLay::Flat => 'in_flat',
                default => 'in',
            },
            PotDayPlan::PLUG_IN => $terms->holdW < $terms->pot->powerW ? 'plug_in_high' : 'plug_in',
            PotDayPlan::UNDER => match ($step->about['school'] ?? null) {
                SoakSchool::Hour->value => 'under_hour',
                SoakSchool::Bubbles->value => 'under_bubbles',
                default => 'under',
            },
            default => $step->code,
        };

        return [
            'title' => $this->translator->say("pot_day.step.{$step->code}.title", $parameters),
            'text' => $this->translator->say("pot_day.text.{$variant}", $parameters),
            'again' =>
                $step->code !== PotDayPlan::SMEAR
                    ? null
                    : ['title' => $this->translator->say('pot_day.step.smear.title'), 'text' => $this->smearAgain($step)],
            'cautions' => array_map(
                fn(string $code) => $this->translator->say("pot_day.caution.{$code}"),
                $this->cautions($step->code, $terms),
            ),
            'subject' => $step->chains === [] ? '' : $this->translator->names->chains($step->chains),
            'question' =>
                $step->againFrom === null
                    ? null
                    : ['yes' => $this->translator->say('pot_day.smear.yes'), 'no' => $this->translator->say('pot_day.smear.no')],
        ];
    }

    /** What a step is called where there is no room for more. */
    public function title(string $code): string
    {
        return $this->translator->say("pot_day.step.{$code}.title", ['chains' => '']);
    }

    /** What a chain brings into the bath: "ridden in mud, rinsed". */
    public function brings(PotDayChain $chain): string
    {
        if ($chain->first || $chain->worst === null) {
            return $this->translator->say($chain->first ? 'pot_day.brings.first' : 'pot_day.brings.clean');
        }

        return $this->translator->say($chain->rinse === RinseSchool::Straight ? 'pot_day.brings.ridden' : 'pot_day.brings.rinsed', [
            'condition' => $this->translator->say("chain.condition.{$chain->worst->value}"),
        ]);
    }

    public function warning(PotWarning $warning, PotDayPlan $plan, int $startS): string
    {
        $q = $this->translator->quantities;
        $pot = $plan->terms->pot;

        $flat = $warning === PotWarning::TooLow && $plan->terms->lay === PotLay::Flat;

        return $this->translator->say($flat ? 'pot_day.warning.too_low_flat' : "pot_day.warning.{$warning->value}", [
            'power' => $q->number($pot->powerW),
            'end' => $q->temperature((float) $pot->course()->equilibriumC()),
            'target' => $q->temperature($pot->targetC),
            'limit' => $q->temperature($plan->terms->limitC),
            'at' => $plan->overheatsS === null ? '' : $q->time($startS + (int) $plan->overheatsS),
            'grit' => $q->number($plan->terms->grit, 1),
            'wax' => $q->mass($pot->waxG),
        ]);
    }

    /** @return array<string, string> */
    private function parameters(JobStep $step, PotDayTerms $terms): array
    {
        $q = $this->translator->quantities;
        $celsius = fn(string $key): string => is_numeric($step->about[$key] ?? null) ? $q->temperature((float) $step->about[$key]) : '';

        return [
            'chains' => $this->translator->names->chains($step->chains),
            'power' => $q->number((float) ($step->about['power_w'] ?? $terms->pot->powerW)),
            'target' => $q->temperature($terms->pot->targetC),
            'limit' => $q->temperature($terms->limitC),
            'mixed' => $celsius('mixed_c'),
            'bath' => $celsius('bath_c'),
            'least' => $step->seconds === null ? '' : $q->seconds($step->seconds),
            'warm' => is_numeric($step->about['chain_s'] ?? null) ? $q->seconds((int) ceil((float) $step->about['chain_s'])) : '',
            'oil' => $step->code !== PotDayPlan::SMEAR ? '' : $this->oil($step, 1),
            'link' => !isset($step->about['link_in'])
                ? ''
                : ', ' . $this->translator->say($step->about['link_in'] === true ? 'pot_day.link_in' : 'pot_day.link_out'),
            'jar' => is_int($step->about['jar'] ?? null)
                ? $this->translator->names->jar($step->about['jar'])
                : $this->translator->say('pot_day.fresh_jar', ['ml' => $q->volume((float) ($step->about['volume_ml'] ?? 0.0))]),
            'many' => trans_choice('pot_day.it_them', max(1, count($step->chains))),
            'kind' => $this->translator->say("pot.caution.{$terms->kind->value}"),
        ];
    }

    private function smearAgain(JobStep $step): string
    {
        $second = $this->oil($step, 2);

        return $second === ''
            ? $this->translator->say('pot_day.smear.enough')
            : $this->translator->say('pot_day.smear.again', ['oil' => $this->oil($step, 1), 'second' => $second]);
    }

    private function oil(JobStep $step, int $round): string
    {
        $grams = PotDayRecord::oilG((string) $step->about['oil_g'], $round);

        return $grams === null ? '' : $this->translator->quantities->mass($grams);
    }

    /** @return list<string> the most dangerous first */
    private function cautions(string $code, PotDayTerms $terms): array
    {
        return match ($code) {
            PotDayPlan::JAR_FIRST, PotDayPlan::JAR_SECOND => ['solvent', 'gloves', 'waste'],
            'jar_dry' => ['no_heat', 'solvent'],
            PotDayPlan::RINSE => ['boiling', 'gloves'],
            'dry' => ['water'],
            'flex', 'set', 'weigh_after' => ['brakes', 'hot_still'],
            'practise' => ['never_hot_first'],
            PotDayPlan::LAY_ON => ['wet', 'still_cold'],
            PotDayPlan::POWDER => ['powder', 'gloves'],
            PotDayPlan::OFF => ['cooling'],
            default => ['gloves', 'smoke', 'wet', ...$terms->wax === WaxKind::Softened ? ['flash'] : []],
        };
    }
}
