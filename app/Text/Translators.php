<?php

declare(strict_types=1);

namespace App\Text;

use App\Logbook\ReadBook;
use App\Support\AppClock;
use App\Support\CurrentWorkshop;

/** Everything that makes sentences, for the current workshop as its logbook stands at this moment. */
final readonly class Translators
{
    public function __construct(private CurrentWorkshop $current, private ReadBook $readBook, private AppClock $clock) {}

    public function current(): Translator
    {
        return Translator::of($this->current->workshop(), $this->readBook, $this->clock->unixS());
    }

    public function catchUp(): CatchUpWords
    {
        return new CatchUpWords($this->current());
    }

    public function history(): HistoryWords
    {
        $translator = $this->current();

        return new HistoryWords($translator, new ChainWords($translator));
    }
}
