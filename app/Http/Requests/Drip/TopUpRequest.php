<?php

declare(strict_types=1);

namespace App\Http\Requests\Drip;

use App\Actions\Drip\DripFacts;
use App\Http\Requests\ActionRequest;
use App\Models\Chain;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Drip\DripDose;
use Dripel\Core\Drip\DripDoseInput;
use Dripel\Core\Logbook\SettingKey;

/** A top-up that is done: what it is good for, and perhaps from which bottle. */
final class TopUpRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'distance' => ['required', 'numeric', 'gt:0', 'lte:2000'],
            'bottle_id' => ['nullable', 'integer'],
            'stripped' => ['boolean'],
            'coats' => ['nullable', 'integer', 'between:1,' . DripChoices::MOST_COATS],
            ...self::dayAndTime(),
        ];
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->find()->bottleIfNamed($this->input('bottle_id'));
    }

    public function facts(Chain $chain): DripFacts
    {
        $bottle = $this->find()->bottleIfNamed($this->input('bottle_id'));
        $pitches = $this->translator()->settings->whole(SettingKey::ChainPitches, $chain->id) ?: DripDoseInput::USUAL_PITCHES;
        $dose = (new DripDose())(
            new DripDoseInput($pitches, 1.0, $this->filled('coats') ? $this->integer('coats') : 1, DripDoseInput::ML_PER_DROP, null, 0.0),
        );

        return new DripFacts($this->km(), $bottle === null ? null : $dose->ml, $bottle);
    }
}
