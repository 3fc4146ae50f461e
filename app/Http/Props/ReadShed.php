<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Plan\ReadPlan;
use App\Pot\ReadBaths;
use App\Ride\Inbox;
use App\Strip\ReadJars;
use App\Text\Translator;
use App\Text\Translators;
use App\Wear\ReadWear;
use Dripel\Core\Riders\Whose;

/** Brings together all that the Shed shows, and Next goes by. */
final readonly class ReadShed
{
    public function __construct(
        private ReadBook $readBook,
        private Translators $translators,
        private OpenJobs $openJobs,
        private ReadJars $readJars,
        private ReadBaths $readBaths,
        private ReadWear $readWear,
        private ReadPlan $readPlan,
    ) {}

    /**
     * @param Translator|null $translator where nobody is signed in
     * @param Whose|null $whose null: everybody's
     */
    public function __invoke(Workshop $workshop, ?Translator $translator = null, ?Whose $whose = null): ShedProps
    {
        $jobs = ($this->openJobs)($workshop);

        return new ShedProps(
            ($this->readBook)($workshop),
            $translator ?? $this->translators->current(),
            ($this->readPlan)($workshop, $jobs),
            $jobs,
            ($this->readJars)($workshop),
            ($this->readBaths)($workshop),
            ($this->readWear)($workshop),
            Inbox::waiting($workshop),
            $whose ?? Whose::all(),
        );
    }
}
