<?php

declare(strict_types=1);

namespace App\Http\Requests\Pot;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Bath\BathEventKind;
use Illuminate\Validation\Rule;

/** What is done with the wax in a pot. */
final class BathRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'act' => ['required', Rule::enum(BathEventKind::class)->except([BathEventKind::Dip])],
            'wax' => [
                'required_if:act,fill,remove',
                Rule::requiredIf($this->input('act') === BathEventKind::TopUp->value && !$this->filled('oil')),
                'nullable',
                'numeric',
                'gt:0',
                'lte:20000',
            ],
            'oil' => ['nullable', 'numeric', 'between:0,2000'],
            'removed' => ['nullable', 'numeric', 'between:0,100'],
            'temp' => ['required_if:act,reading', 'nullable', 'numeric', 'between:-40,500'],
            ...self::dayAndTime(),
        ];
    }

    public function event(): BathEvent
    {
        $units = $this->translator()->quantities->units;
        $atS = $this->moment()->unixS;
        $waxG = $units->toGrams($this->float('wax'));

        return match (BathEventKind::from($this->string('act')->toString())) {
            BathEventKind::Fill => BathEvent::fill($atS, $waxG, $units->toGrams($this->float('oil'))),
            BathEventKind::TopUp => !$this->filled('wax')
                ? BathEvent::oil($atS, $units->toGrams($this->float('oil')))
                : BathEvent::topUp($atS, $waxG, $units->toGrams($this->float('oil'))),
            BathEventKind::Filter => BathEvent::filter(
                $atS,
                $this->filled('removed') ? $this->float('removed') / 100 : BathEvent::FILTERED,
            ),
            BathEventKind::Remove => BathEvent::remove($atS, $waxG),
            BathEventKind::Reading, BathEventKind::Dip => BathEvent::reading($atS, $units->toCelsius($this->float('temp'))),
        };
    }
}
