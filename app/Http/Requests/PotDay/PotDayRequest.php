<?php

declare(strict_types=1);

namespace App\Http\Requests\PotDay;

use App\Actions\PotDay\PotDayChoices;
use App\Http\Requests\ActionRequest;
use DateTimeImmutable;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\PotDay\DrainSchool;
use Dripel\Core\PotDay\DryBy;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\PotDay\PowerProgram;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\PotDay\SoakSchool;
use Illuminate\Validation\Rule;

/** Which chains, in which pot, how and by when. */
final class PotDayRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'pot_id' => ['required', 'integer'],
            'chains' => ['array', 'max:' . PotDayPlan::MOST_CHAINS],
            'chains.*' => ['integer', 'distinct'],
            'order' => ['array', 'max:' . PotDayPlan::MOST_CHAINS],
            'order.*' => ['integer', 'distinct'],
            'program' => ['required', Rule::enum(PowerProgram::class)],
            'target' => ['nullable', 'numeric', 'between:0,400'],
            'room' => ['nullable', 'numeric', 'between:-40,120'],
            'by' => ['nullable', 'date_format:H:i'],
            'by_date' => ['nullable', 'date_format:Y-m-d'],
            'rinse' => ['array'],
            'rinse.*' => [Rule::enum(RinseSchool::class)],
            'first' => ['array'],
            'first.*' => ['boolean'],
            'powder' => ['array'],
            'powder.*' => ['integer'],
            'first_soak' => ['required', Rule::enum(SoakSchool::class)],
            'rewax_soak' => ['required', Rule::enum(SoakSchool::class)],
            'drain' => ['required', Rule::enum(DrainSchool::class)],
            'dry_by' => ['required', Rule::enum(DryBy::class)],
            'link_in' => ['boolean'],
            'weigh' => ['boolean'],
            'melt_in' => ['boolean'],
            'later' => ['boolean'],
        ];
    }

    protected function prepareForValidation(): void
    {
        parent::prepareForValidation();
        $this->filled('pot_id') && $this->find()->pot($this->input('pot_id'));
        array_map($this->find()->chain(...), array_filter($this->array('powder'), is_numeric(...)));
    }

    public function choices(): PotDayChoices
    {
        $units = $this->translator()->quantities->units;
        $celsius = fn(string $field): ?float => $this->filled($field) ? $units->toCelsius($this->float($field)) : null;

        return new PotDayChoices(
            $this->integer('pot_id'),
            array_map(fn(mixed $id) => $this->find()->chain($id)->id, array_values($this->array('chains'))),
            PowerProgram::from($this->string('program')->toString()),
            $celsius('target'),
            $celsius('room'),
            $this->byS(),
            array_map(fn(mixed $rinse) => RinseSchool::from((string) $rinse), $this->array('rinse')),
            array_map(fn(mixed $first) => filter_var($first, FILTER_VALIDATE_BOOLEAN), $this->array('first')),
            array_values(array_map(intval(...), $this->array('powder'))),
            SoakSchool::from($this->string('first_soak')->toString()),
            SoakSchool::from($this->string('rewax_soak')->toString()),
            DrainSchool::from($this->string('drain')->toString()),
            DryBy::from($this->string('dry_by')->toString()),
            $this->boolean('link_in'),
            $this->boolean('weigh'),
            array_map(fn(mixed $id) => $this->find()->chain($id)->id, array_values($this->array('order'))),
            $this->boolean('melt_in'),
        );
    }

    /** On the day named, or the next time that the clock shows it. */
    private function byS(): ?int
    {
        if (!$this->filled('by')) {
            return null;
        }
        $translator = $this->translator();
        $today = LocalDay::of($translator->nowS, $translator->zone());
        $at = fn(string $date): int => (new DateTimeImmutable("{$date} {$this->string('by')}", $translator->zone()))->getTimestamp();
        if ($this->filled('by_date')) {
            return $at($this->string('by_date')->toString());
        }

        return $at($today->date) > $translator->nowS ? $at($today->date) : $at($today->plus(1)->date);
    }
}
