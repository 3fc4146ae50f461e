<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Logbook\ActionContext;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use App\Text\Units;
use App\Text\Voice;
use Dripel\Core\Logbook\Moment;
use Illuminate\Foundation\Http\FormRequest;

/** A form that does something: it brings the id of its action, ids of this workshop only, and values in its units. */
abstract class ActionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['action_id' => ['required', 'uuid']] + $this->fields();
    }

    /** @return array<string, mixed> */
    abstract protected function fields(): array;

    /** Another workshop's ids are not found, whatever else is wrong with the form. Decimal commas are welcome. */
    protected function prepareForValidation(): void
    {
        $named = fn(string $field) => array_filter((array) $this->input($field), is_scalar(...));
        array_map($this->find()->bike(...), $named('bike_id'));
        array_map($this->find()->chain(...), [...$named('chain_id'), ...$named('chains')]);
        foreach (['distance', 'odometer', 'km', 'since_wax', 'interval', 'interval_hours', 'target_life', 'length_mm', 'value_pct', 'zero_pct', 'start', 'total_ml', 'target_pct', 'volume_ml', 'flash', 'boiling', 'diameter', 'height', 'low', 'high', 'room', 'wax', 'oil', 'removed', 'temp', 'target', 'amount', 'quantity', 'mass', 'price'] as $field) {
            if (is_string($this->input($field))) {
                $this->merge([$field => str_replace(',', '.', trim($this->input($field)))]);
            }
        }
    }

    protected function find(): Find
    {
        return app(Find::class);
    }

    public function context(): ActionContext
    {
        return new ActionContext($this->workshop(), app(CurrentWorkshop::class)->user(), $this->string('action_id')->lower()->toString());
    }

    public function workshop(): Workshop
    {
        return app(CurrentWorkshop::class)->workshop();
    }

    public function voice(): Voice
    {
        return Voice::of($this->workshop(), app(ReadBook::class), app(AppClock::class)->unixS());
    }

    public function bike(): Bike
    {
        return $this->find()->bike($this->integer('bike_id'));
    }

    public function bikeIfNamed(): ?Bike
    {
        return $this->find()->bikeIfNamed($this->input('bike_id'));
    }

    public function chain(): ?Chain
    {
        return $this->find()->chainIfNamed($this->input('chain_id'));
    }

    public function km(string $field = 'distance'): float
    {
        return Units::of($this->voice()->settings)->toKm($this->float($field));
    }

    /** What may be left out: null is unknown. */
    public function kmIfNamed(string $field): ?float
    {
        return $this->filled($field) ? $this->km($field) : null;
    }

    public function moment(): Moment
    {
        $time = $this->input('time');

        return app(Moments::class)->local($this->string('date')->toString(), is_string($time) && $time !== '' ? $time : null, $this->voice()->zone());
    }

    /** @return array<string, mixed> a day and a time, both known */
    protected static function dayAndTime(): array
    {
        return ['date' => ['required', 'date_format:Y-m-d'], 'time' => ['required', 'date_format:H:i']];
    }
}
