<?php

declare(strict_types=1);

namespace App\Http\Requests\Drip;

use App\Http\Requests\ActionRequest;
use App\Models\Bottle;
use App\Models\Chain;
use Dripel\Core\Drip\DripBox;
use Dripel\Core\Drip\DripChoices;
use Dripel\Core\Drip\DripManner;
use Dripel\Core\Drip\DripPlace;
use Dripel\Core\Drip\ExcessSchool;
use Illuminate\Validation\Rule;

/** Which chain, from which bottle, how. */
final class DripRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'chain_id' => ['required', 'integer'],
            'bottle_id' => ['nullable', 'integer'],
            'place' => ['required', Rule::enum(DripPlace::class)],
            'washed' => ['boolean'],
            'warmed' => ['boolean'],
            'brushed_in' => ['boolean'],
            'coats' => ['required', 'integer', 'between:1,' . DripChoices::MOST_COATS],
            'excess' => ['required', Rule::enum(ExcessSchool::class)],
            'manner' => ['nullable', Rule::enum(DripManner::class)],
            'box_mm' => ['nullable', 'numeric', 'between:70,200'],
        ];
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->find()->bottleIfNamed($this->input('bottle_id'));
    }

    public function wanted(): Chain
    {
        return $this->find()->chain($this->input('chain_id'));
    }

    public function bottle(): ?Bottle
    {
        return $this->find()->bottleIfNamed($this->input('bottle_id'));
    }

    public function choices(): DripChoices
    {
        return new DripChoices(
            DripPlace::from($this->string('place')->toString()),
            $this->boolean('washed'),
            $this->boolean('warmed'),
            $this->integer('coats'),
            ExcessSchool::from($this->string('excess')->toString()),
            $this->boolean('brushed_in'),
            DripManner::tryFrom($this->string('manner')->toString()) ?? DripManner::Drops,
            $this->filled('box_mm') ? new DripBox($this->float('box_mm')) : null,
        );
    }
}
