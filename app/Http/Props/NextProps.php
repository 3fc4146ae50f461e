<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\ChainWords;
use App\Text\NextWords;
use App\Text\Translator;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextKind;
use Dripel\Core\Next\NextPart;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Next\Verb;
use Dripel\Core\Strip\JarState;

/**
 * What to do next, line by line, with what a button needs to do it.
 *
 * @phpstan-type NextStep array{
 *     key: string,
 *     kind: value-of<NextKind>,
 *     day: string,
 *     hour: string,
 *     late: bool,
 *     title: string,
 *     reason: string,
 *     job: string|null,
 *     jar: int|null,
 *     urgent: bool,
 *     verb: value-of<Verb>|null,
 *     verbText: string|null,
 *     bike: int|null,
 *     chains: list<int>,
 *     subject: string,
 *     swapTo: int|null,
 *     date: string|null,
 *     time: string|null,
 *     rides: list<int>,
 *     days: list<array{commute: int|null, date: string|null}>,
 * }
 * @phpstan-type NextLine array{part: value-of<NextPart>, line: NextStep, steps: list<NextStep>}
 */
final readonly class NextProps
{
    public function __construct(private Translator $translator, private ChainWords $chainWords) {}

    /** @return NextLine */
    public function line(NextItem $item): array
    {
        return ['part' => $item->part()->value, 'line' => $this->step($item), 'steps' => array_map($this->step(...), $item->steps)];
    }

    /** @return NextStep */
    private function step(NextItem $item): array
    {
        $words = new NextWords($this->translator, $this->chainWords);
        [$day, $hour] = $words->when($item);
        [$title, $reason] = $words->sentences($item);
        $ids = array_map(fn(ChainState $chain) => $chain->chainId, $item->chains);
        $firstS = ($item->rides[0] ?? null)?->moment->unixS;

        return [
            'key' => implode('-', [
                $item->kind->value,
                $item->evening,
                $item->bikeId,
                ...$ids,
                $firstS,
                $item->about instanceof JarState ? $item->about->jarId : null,
            ]),
            'kind' => $item->kind->value,
            'day' => $day,
            'hour' => $hour,
            'late' => $item->late,
            'title' => $title,
            'reason' => $reason,
            'job' => $item->about instanceof OpenJob ? $item->about->id : null,
            'jar' => $item->about instanceof JarState ? $item->about->jarId : null,
            'urgent' => $item->urgent,
            'verb' => $item->verb?->value,
            'verbText' => $item->verb === null ? null : $this->translator->say("ui.verbs.{$item->verb->value}"),
            'bike' => $item->bikeId,
            'chains' => $ids,
            'subject' => $ids === [] ? '' : $this->translator->names->fullChain($ids[0]),
            'swapTo' => $item->swapTo?->chainId,
            'date' => $firstS === null ? null : $this->translator->quantities->date($firstS, 'yyyy-MM-dd'),
            // A ride known only by its day comes after all that is done on it: the chain was on from its beginning.
            'time' =>
                $firstS === null
                    ? null
                    : ($item->rides[0]->moment->precision === Precision::Day
                        ? '00:00'
                        : $this->translator->quantities->date($firstS, 'HH:mm')),
            'rides' => $item->kind === NextKind::NoBike ? array_map(fn(Ride $ride) => $ride->id, $item->rides) : [],
            'days' =>
                $item->kind === NextKind::Commute
                    ? array_map(fn(Ride $ride) => ['commute' => $ride->guess?->commuteId, 'date' => $ride->guess?->date], $item->rides)
                    : [],
        ];
    }
}
