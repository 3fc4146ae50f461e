<?php

declare(strict_types=1);

namespace App\Text;

use App\Guided\GuidedKind;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Guided\LaidOut;
use Dripel\Core\Strip\Solvent;

/** What to lay out before a job, in words: tools, jars, how much of what, and what is missing. */
final readonly class LayoutWords
{
    public function __construct(private Translator $translator) {}

    /**
     * @param list<JobStep> $steps
     * @param list<string> $more said by the kind of the job itself
     *
     * @return list<string>
     */
    public function of(GuidedKind $kind, array $steps, array $more = []): array
    {
        $water = array_filter(Solvent::cases(), fn(Solvent $solvent) => !$solvent->isStocked());
        $laidOut = LaidOut::of($kind->value, $steps, array_values(array_map(fn(Solvent $solvent) => $solvent->value, $water)));
        $strip = new StripWords($this->translator);

        return [
            ...array_map(fn(string $tool) => $this->translator->say("layout.tool.{$tool}"), $laidOut->tools),
            ...array_map(
                fn(int $jar) => $this->translator->say('layout.jar', ['jar' => $this->translator->names->jar($jar)]),
                $laidOut->jars,
            ),
            ...$laidOut->liquidsMl === []
                ? []
                : [$this->translator->say('layout.fresh', ['volumes' => $strip->volumes($laidOut->liquidsMl)])],
            ...$laidOut->waste ? [$this->translator->say('layout.waste')] : [],
            ...$more,
        ];
    }
}
