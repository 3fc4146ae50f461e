<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\WorkshopPlan;

/** What somebody wants otherwise of the plan: tried, or kept. What is not sent stays as it is. */
final class PlanRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'weeks' => ['nullable', 'integer', 'between:2,' . PlanTerms::MOST_WEEKS],
            'pinned' => ['array', 'max:60'],
            'pinned.*' => ['date_format:Y-m-d', 'distinct'],
            'forbidden' => ['array', 'max:60'],
            'forbidden.*' => ['date_format:Y-m-d', 'distinct'],
            'within' => ['nullable', 'array'],
            'within.date' => ['required_with:within', 'date_format:Y-m-d'],
            'within.minutes' => ['required_with:within', 'numeric', 'between:1,1000'],
            'not_on' => ['array', 'max:60'],
            'not_on.*.chain_id' => ['required', 'integer'],
            'not_on.*.date' => ['required', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string|int|float|list<mixed>|null> by SettingKey */
    public function settings(): array
    {
        return [
            ...$this->has('pinned') ? [SettingKey::PlanPinned->value => $this->dates('pinned') ?: null] : [],
            ...$this->has('forbidden') ? [SettingKey::PlanForbidden->value => $this->dates('forbidden') ?: null] : [],
            ...$this->filled('weeks') ? [SettingKey::PlanWeeks->value => $this->integer('weeks')] : [],
        ];
    }

    /** The plan with what is wanted otherwise. */
    public function tried(WorkshopPlan $plan): WorkshopPlan
    {
        $tried = $plan->by($this->by($plan->terms));

        return $this->filled('within')
            ? $tried->by($tried->within($this->string('within.date')->toString(), $this->float('within.minutes')))
            : $tried;
    }

    /** @return array<int, list<string>>|null by chain of this workshop; null: nothing was said */
    public function notOn(): ?array
    {
        if (!$this->has('not_on')) {
            return null;
        }
        $dates = [];
        foreach ($this->array('not_on') as $one) {
            $dates[$this->find()->chain($one['chain_id'])->id][] = (string) $one['date'];
        }

        return $dates;
    }

    private function by(PlanTerms $terms): PlanTerms
    {
        return $terms->choosing(
            $this->has('pinned') ? $this->dates('pinned') : $terms->pinned,
            $this->has('forbidden') ? $this->dates('forbidden') : $terms->forbidden,
            $this->notOn() ?? $terms->notOn,
        );
    }

    /** @return list<string> */
    private function dates(string $field): array
    {
        $dates = array_map(strval(...), array_values($this->array($field)));
        sort($dates);

        return $dates;
    }
}
