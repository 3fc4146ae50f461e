<?php

declare(strict_types=1);

namespace App\Http\Requests\Strip;

use App\Http\Requests\ActionRequest;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarEntry;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\Solvent;
use Illuminate\Validation\Rule;

/** A new jar, filled or empty. */
final class JarRequest extends ActionRequest
{
    protected function fields(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'role' => ['required', Rule::enum(JarRole::class)],
            ...self::fillingFields(),
            ...self::dayAndTime(),
        ];
    }

    /** @return array<string, mixed> what a jar is filled with */
    public static function fillingFields(): array
    {
        return [
            'solvent' => ['nullable', Rule::enum(Solvent::class)->only(Solvent::stocked())],
            'volume_ml' => ['nullable', 'required_with:solvent', 'numeric', 'gt:0', 'lte:20000'],
            'flash' => ['nullable', 'numeric', 'between:-273,500'],
            'boiling' => ['nullable', 'numeric', 'between:-273,600'],
        ];
    }

    public function role(): JarRole
    {
        return JarRole::from($this->string('role')->toString());
    }

    public function filling(): ?JarEntry
    {
        return $this->filled('solvent') ? self::entry($this, JarAct::Fill) : null;
    }

    public static function entry(ActionRequest $request, JarAct $act): JarEntry
    {
        $units = $request->translator()->quantities->units;
        $celsius = fn(string $field): ?float => $request->filled($field) ? $units->toCelsius($request->float($field)) : null;

        return new JarEntry(
            0,
            $act,
            $act->hasVolume() && $request->filled('volume_ml') ? $request->float('volume_ml') : null,
            $act === JarAct::Fill && $request->filled('solvent') ? Solvent::from($request->string('solvent')->toString()) : null,
            $act === JarAct::Fill ? $celsius('flash') : null,
            $act === JarAct::Fill ? $celsius('boiling') : null,
        );
    }
}
