<?php

declare(strict_types=1);

namespace App\Http\Requests\Chain;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Chain\ChainLengthInput;
use Dripel\Core\Chain\ChainMatchInput;
use Dripel\Core\Chain\Joint;
use Illuminate\Validation\Rule;

/** How long a new chain has to be: copied from the old one, or from chainstay and teeth. */
final class SizeRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'by' => ['required', 'in:copy,compute'],
            'old_pitches' => ['required_if:by,copy', 'nullable', 'integer'],
            'old_joint' => ['required_if:by,copy', 'nullable', Rule::enum(Joint::class)],
            'new_joint' => ['required', Rule::enum(Joint::class)],
            'chainstay_mm' => ['required_if:by,compute', 'nullable', 'numeric'],
            'front_teeth' => ['required_if:by,compute', 'nullable', 'integer'],
            'rear_teeth' => ['required_if:by,compute', 'nullable', 'integer'],
            'derailleur' => ['boolean'],
        ];
    }

    public function copies(): bool
    {
        return $this->input('by') === 'copy';
    }

    public function newJoint(): Joint
    {
        return Joint::from($this->string('new_joint')->toString());
    }

    public function match(int $pitches, ?Joint $oldJoint = null): ChainMatchInput
    {
        return new ChainMatchInput($pitches, $oldJoint ?? Joint::from($this->string('old_joint')->toString()), $this->newJoint());
    }

    public function length(): ChainLengthInput
    {
        return new ChainLengthInput(
            $this->float('chainstay_mm'),
            $this->integer('front_teeth'),
            $this->integer('rear_teeth'),
            $this->boolean('derailleur'),
        );
    }
}
