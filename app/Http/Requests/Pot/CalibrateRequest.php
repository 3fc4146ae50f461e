<?php

declare(strict_types=1);

namespace App\Http\Requests\Pot;

use App\Exceptions\NotPossible;
use App\Guided\GuidedKind;
use App\Http\Requests\ActionRequest;
use App\Models\GuidedJob;
use Dripel\Core\Pot\ObservedTemp;

/** A heat-up that was logged: of a pot day, or typed line by line; or none, to go back to the house rule. */
final class CalibrateRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'forget' => ['boolean'],
            'heat_up' => ['nullable', 'uuid'],
            'power' => ['required_without_all:heat_up,forget', 'nullable', 'in:low,high'],
            'room' => ['required_without_all:heat_up,forget', 'nullable', 'numeric', 'between:-40,120'],
            'readings' => ['required_without_all:heat_up,forget', 'nullable', 'string', 'max:4000'],
        ];
    }

    public function job(): ?GuidedJob
    {
        return $this->filled('heat_up')
            ? GuidedJob::query()
                ->in($this->workshop())
                ->where('kind', GuidedKind::PotDay)
                ->whereKey($this->input('heat_up'))
                ->with('taps')
                ->firstOrFail()
            : null;
    }

    public function roomC(): float
    {
        return $this->translator()->quantities->units->toCelsius($this->float('room'));
    }

    /**
     * @return list<ObservedTemp> "minutes temperature", one a line; refused with NotPossible at `readings` for a line that is something
     * else
     */
    public function observed(): array
    {
        $observed = [];
        foreach (preg_split('/[\r\n;]+/', trim($this->string('readings')->toString())) ?: [] as $line) {
            preg_match('/^\s*(\d+(?:[.,]\d+)?)\s+(-?\d+(?:[.,]\d+)?)\s*$/', $line, $found) === 1 ||
                throw new NotPossible('readings', 'heat_up_line', ['line' => mb_substr($line, 0, 40)]);
            $observed[] = new ObservedTemp(
                (float) str_replace(',', '.', $found[1]),
                $this->translator()->quantities->units->toCelsius((float) str_replace(',', '.', $found[2])),
            );
        }

        return $observed;
    }
}
