<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\PotDayPlan;
use Illuminate\Validation\Rule;

/** On which days the pot may be heated, what everything takes, how safe it shall be. */
final class PlanTermsRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'weekdays' => ['present', 'array'],
            'weekdays.*' => ['integer', 'between:1,7', 'distinct'],
            'pot_time' => ['required', Rule::in(['evening', 'morning'])],
            'fixed' => ['required', 'numeric', 'between:0,1000'],
            'dip' => ['required', 'numeric', 'between:0,1000'],
            'batch' => ['required', 'numeric', 'between:0,1000'],
            'swap' => ['required', 'numeric', 'between:0,1000'],
            'topup' => ['required', 'numeric', 'between:0,1000'],
            'strip' => ['required', 'numeric', 'between:0,1000'],
            'margin' => ['required', 'numeric', 'between:0,100'],
            'hours' => ['nullable', 'numeric', 'between:0,100'],
            'pots' => ['array', 'max:20'],
            'pots.*.pot_id' => ['required', 'integer'],
            'pots.*.at_once' => ['nullable', 'integer', 'between:1,' . PotDayPlan::MOST_CHAINS],
        ];
    }

    /** @return array<int, int|null>|null by pot of this workshop; null: nothing was said */
    public function atOnce(): ?array
    {
        if (!$this->has('pots')) {
            return null;
        }
        $atOnce = [];
        foreach ($this->array('pots') as $pot) {
            $chains = $pot['at_once'] ?? null;
            $atOnce[$this->find()->pot($pot['pot_id'])->id] = $chains === null || $chains === '' ? null : (int) $chains;
        }

        return $atOnce;
    }

    /** @return array<string, string|int|float|list<mixed>|null> by SettingKey */
    public function settings(): array
    {
        $days = array_map(intval(...), array_values($this->array('weekdays')));
        sort($days);

        return [
            SettingKey::PlanWeekdays->value => $days,
            SettingKey::PlanPotTime->value => $this->string('pot_time')->toString(),
            SettingKey::PlanFixedMinutes->value => $this->float('fixed'),
            SettingKey::PlanDipMinutes->value => $this->float('dip'),
            SettingKey::PlanBatchMinutes->value => $this->float('batch'),
            SettingKey::PlanSwapMinutes->value => $this->float('swap'),
            SettingKey::PlanTopUpMinutes->value => $this->float('topup'),
            SettingKey::PlanStripMinutes->value => $this->float('strip'),
            SettingKey::PlanMarginPct->value => $this->float('margin'),
            SettingKey::PlanHoursWeekly->value => $this->filled('hours') ? $this->float('hours') : null,
        ];
    }
}
