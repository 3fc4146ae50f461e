<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\Load;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Validation\Rule;

/** A chain: its rail, letter, speeds and pitches; a new one also in which state it comes. */
final class ChainRequest extends ActionRequest
{
    protected function fields(): array
    {
        $new = $this->isMethod('POST');

        return [
            'bike_id' => ['required', 'integer'],
            'label' => ['required', 'string', 'max:3', 'regex:/^[\p{L}\p{N}]+$/u'],
            'speeds' => ['required', 'integer', 'between:1,14'],
            'pitches' => ['nullable', 'integer', 'between:60,180'],
            'half_link' => ['boolean'],
            'load' => ['nullable', Rule::enum(Load::class)->only(Load::comesWith())],
            'joint' => ['nullable', Rule::enum(Joint::class)],
            'directional' => ['boolean'],
            'mass' => ['nullable', 'numeric', 'gt:0', 'lt:2000'],
            'price' => ['nullable', 'numeric', 'between:0,100000'],
            'drip_interval' => ['nullable', 'numeric', 'gte:20', 'lte:2000'],
            'bought_on' => ['nullable', 'date_format:Y-m-d'],
            'event' => ['nullable', 'required_with:event_on', 'string', 'max:60'],
            'event_on' => ['nullable', 'required_with:event', 'date_format:Y-m-d'],
            'dipped_after' => ['nullable', 'date_format:Y-m-d', 'before:event_on'],
            'state' => [Rule::requiredIf($new), Rule::in(['boxed', 'factory_waxed', 'bare', 'waxed'])],
            'date' => [Rule::requiredIf($new && $this->input('state') !== 'boxed'), 'nullable', 'date_format:Y-m-d'],
            'time' => [Rule::requiredIf($new && $this->input('state') !== 'boxed'), 'nullable', 'date_format:H:i'],
            'fit' => ['boolean'],
            'strip_next' => ['boolean'],
        ];
    }

    public function since(string $state): ?Moment
    {
        return $this->input('state') === $state ? $this->moment() : null;
    }

    /**
     * Pitches are counted with the quick link, so the count is even; a half-link makes it odd, on a single speed only.
     *
     * @return list<callable(Validator): void>
     */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if (
                    !$this->filled('pitches') ||
                    $validator->errors()->has('pitches') ||
                    $this->integer('pitches') % 2 === 0 ||
                    ($this->integer('speeds') === 1 && $this->boolean('half_link'))
                ) {
                    return;
                }
                $validator
                    ->errors()
                    ->add('pitches', (string) __($this->integer('speeds') === 1 ? 'errors.half_link' : 'validation.multiple_of'));
            },
        ];
    }

    /** @return array<string, string|int|float|null> by SettingKey; null: not known */
    public function facts(): array
    {
        $quantities = $this->translator()->quantities;
        $text = fn(string $field): ?string => $this->filled($field) ? $this->string($field)->trim()->toString() : null;

        return [
            SettingKey::ChainLoad->value => $text('load'),
            SettingKey::ChainJoint->value => $text('joint'),
            SettingKey::ChainDirectional->value => $this->boolean('directional') ? 1 : null,
            SettingKey::ChainMassG->value => $this->filled('mass') ? $quantities->units->toGrams($this->float('mass')) : null,
            SettingKey::ChainDripKm->value => $this->filled('drip_interval') ? round($this->km('drip_interval'), 3) : null,
            SettingKey::ChainPrice->value => $this->filled('price') ? $quantities->toMinor($this->float('price')) : null,
            SettingKey::ChainBoughtOn->value => $text('bought_on'),
            SettingKey::ChainEvent->value => $text('event'),
            SettingKey::ChainEventOn->value => $text('event_on'),
            SettingKey::ChainDippedAfter->value => $this->filled('event_on') ? $text('dipped_after') : null,
        ];
    }
}
