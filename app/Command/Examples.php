<?php

declare(strict_types=1);

namespace App\Command;

use App\Plan\ReadPlan;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Dripel\Core\Plan\Rail;

/** What can be said now, with the bikes and chains of the workshop itself. */
final readonly class Examples
{
    public function __construct(private CurrentWorkshop $current, private ReadPlan $readPlan, private Translators $translators) {}

    /** Whether somebody asks for them, or says nothing yet. */
    public static function askedFor(string $text): bool
    {
        return (new Phrase($text))->left() === [] || (new Phrase($text))->isOneOf('command.help');
    }

    /** @return list<string> none for what cannot be done: no chain to put on, nothing to take back is still said */
    public function all(): array
    {
        $translator = $this->translators->current();
        $rails = $this->readPlan->rails($this->current->workshop());
        $fitted = array_values(array_filter($rails, fn(Rail $rail) => $rail->fitted !== null));
        $ready = array_values(array_filter($rails, fn(Rail $rail) => $rail->bestHanging() !== null));
        $bike = fn(?Rail $rail): array => $rail === null ? [] : ['bike' => mb_strtolower($translator->names->bike($rail->bikeId))];
        $letter = ($ready[0] ?? null)?->bestHanging()?->chainId;
        $one = fn(string $code, ?array $names): ?string => $names === [] ? null : (string) __("command.examples.{$code}", $names ?? []);

        return array_values(
            array_filter([
                $rails === [] ? null : $one('next', null),
                ...array_map(fn(string $code) => $one($code, $bike($fitted[0] ?? ($rails[0] ?? null))), ['ride', 'timed', 'since']),
                ...array_map(fn(string $code) => $one($code, $bike($fitted[0] ?? null)), ['loud', 'measure', 'drip']),
                $letter === null ? null : $one('swap', $bike($ready[0]) + ['letter' => mb_strtolower($translator->names->chain($letter))]),
                $one('pot', null),
                $one('undo', null),
            ]),
        );
    }
}
