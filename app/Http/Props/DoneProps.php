<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ActionKind;
use App\Models\Action;
use App\Text\Translators;

/**
 * The bar after an action: what was done, and the id with which it can be taken back.
 *
 * @phpstan-type DoneView array{text: string, undo: string|null, key: string}
 */
final readonly class DoneProps
{
    public function __construct(private Translators $translators) {}

    /** @return DoneView */
    public function of(Action $action): array
    {
        $nothing = $action->about->changed === [];

        return [
            'text' => $nothing ? (string) __('done.nothing_changed') : $this->translators->history()->done($action),
            'undo' => $nothing || $action->kind === ActionKind::Undo ? null : $action->id,
            'key' => $action->id,
        ];
    }
}
