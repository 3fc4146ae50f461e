<?php

declare(strict_types=1);

namespace App\Http\Requests\Cost;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Plan\LocalDay;
use Illuminate\Validation\Rule;

/** What so much of a supply costs from a day on. */
final class PriceRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'supply' => ['required', Rule::enum(Supply::class)],
            'amount' => ['required', 'numeric', 'between:0,100000'],
            'quantity' => ['required', 'numeric', 'gt:0', 'lte:100000'],
            'date' => ['required', 'date_format:Y-m-d'],
        ];
    }

    public function amountMinor(): int
    {
        return $this->translator()->quantities->toMinor($this->float('amount'));
    }

    /** A price holds from the beginning of its day. */
    public function from(): Moment
    {
        $this->moment();

        return new Moment(LocalDay::named($this->string('date')->toString(), $this->translator()->zone())->startS());
    }
}
