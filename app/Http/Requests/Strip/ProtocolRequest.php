<?php

declare(strict_types=1);

namespace App\Http\Requests\Strip;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Strip\Protocol;
use Illuminate\Validation\ValidationException;

/** A protocol of one's own; what its steps may be the core says. */
final class ProtocolRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'drip_only' => ['boolean'],
            'steps' => ['required', 'array', 'min:1', 'max:30'],
            'steps.*' => ['array'],
        ];
    }

    public function protocol(): Protocol
    {
        try {
            return Protocol::from(
                Fields::fromJson(
                    (string) json_encode([
                        'code' => 'own',
                        'steps' => array_values($this->array('steps')),
                        'drip_only' => $this->boolean('drip_only'),
                    ]),
                ),
            );
        } catch (InvalidInput $e) {
            // Beside the very step.
            throw ValidationException::withMessages([$e->path => (string) __('errors.input', ['problem' => $e->getMessage()])]);
        }
    }
}
