<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\Translator;
use App\Wear\ReadWear;

/** Brings together what a display may read: the Shed as nobody in particular sees it. */
final readonly class ReadDisplay
{
    public function __construct(
        private ReadBook $readBook,
        private ReadShed $readShed,
        private ReadWear $readWear,
        private AppClock $clock,
    ) {}

    public function __invoke(Workshop $workshop): DisplayProps
    {
        $translator = Translator::of($workshop, $this->readBook, $this->clock->unixS());

        return new DisplayProps(
            ($this->readBook)($workshop),
            $translator,
            ($this->readShed)($workshop, $translator),
            ($this->readWear)($workshop),
        );
    }
}
