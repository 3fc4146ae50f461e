<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Guided\GuidedKind;
use App\Text\ChainWords;
use App\Text\FitWords;
use App\Text\NextWords;
use App\Text\Translator;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\FitNote;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\Ride;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Next\NextInput;
use Dripel\Core\Next\NextItem;
use Dripel\Core\Next\NextList;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Riders\Riders;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Wear\WorkshopWear;

/**
 * The wall: a rail for each bike, what to do next, and what the pot could take.
 *
 * @phpstan-import-type ChainView from ChainProps
 * @phpstan-import-type PotChain from ChainProps
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type NextLine from NextProps
 * @phpstan-import-type PotView from PotProps
 *
 * @phpstan-type PotWall array{
 *     chains: list<PotChain>,
 *     solventOut: bool,
 *     pots: list<PotView>,
 * }
 * @phpstan-type RailView array{
 *     id: int,
 *     name: string,
 *     rider: string|null,
 *     about: string,
 *     fitted: ChainView|null,
 *     leftNumber: string|null,
 *     leftWords: string,
 *     alsoLeft: string,
 *     until: array{before: string, stressed: string, after: string, due: bool},
 *     hanging: list<ChainView>,
 *     offNote: string|null,
 *     geared: bool,
 *     best: int|null,
 *     today: bool,
 * }
 * @phpstan-type SpareLink array{id: int, title: string}
 * @phpstan-type ShedPage array{
 *     spares: list<SpareLink>,
 *     rails: list<RailView>,
 *     next: list<NextLine>,
 *     pot: PotWall,
 *     forms: FormDefaults,
 * }
 */
final readonly class ShedProps
{
    private ChainProps $chains;

    private ChainWords $words;

    private WorkshopWear $wear;

    private Whose $whose;

    /**
     * @param list<OpenJob> $jobs
     * @param array<int, JarState> $jars
     * @param array<int, BathState> $baths
     */
    public function __construct(
        private Book $book,
        private Translator $translator,
        public WorkshopPlan $plan,
        public array $jobs = [],
        public array $jars = [],
        private array $baths = [],
        ?WorkshopWear $wear = null,
        private int $ridesIn = 0,
        ?Whose $whose = null,
    ) {
        $this->whose = $whose ?? Whose::all();
        $this->wear = $wear ?? new WorkshopWear($book, $translator->nowS);
        $this->chains = new ChainProps($translator, $jobs);
        $this->words = new ChainWords($translator);
    }

    /** @return ShedPage */
    public function all(): array
    {
        $rails = $this->rails();
        $next = $this->items();
        $today = $this->plan->todaysBike($this->whose);
        $riders = Riders::of($this->book);

        return [
            'spares' => array_map(
                fn(Part $link) => [
                    'id' => $link->id,
                    'title' =>
                        $this->translator->settings->text(SettingKey::PartName, $link->id) .
                        ', ' .
                        BooksProps::closings($link, $this->translator),
                ],
                $this->book->inventory()->spareLinks(),
            ),
            'rails' => array_map(fn(Rail $rail) => $this->rail($rail, $today, $riders), $rails),
            'next' => array_map((new NextProps($this->translator, $this->words))->line(...), $next),
            'pot' => $this->pot(),
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return list<array{tag: string, title: string, text: string}> what is for today; the tag is the same as long as it is the same thing on the same day */
    public function reminders(): array
    {
        $today = LocalDay::of($this->translator->nowS, $this->translator->zone())->date;
        $words = new NextWords($this->translator, $this->words);

        return array_values(
            array_map(function (NextItem $item) use ($words, $today): array {
                [$title, $reason] = $words->sentences($item);

                return [
                    'tag' => implode('-', [$item->kind->value, $item->bikeId ?? 0, ($item->chains[0] ?? null)->chainId ?? 0, $today]),
                    'title' => $title,
                    'text' => $reason,
                ];
            }, array_filter($this->items(), fn(NextItem $item) => $item->reminds($today))),
        );
    }

    /** @return list<array{title: string, text: string}> what is next, in the words of the Shed; where nothing is, that */
    public function told(): array
    {
        $words = new NextWords($this->translator, $this->words);

        return array_map(function (NextItem $item) use ($words): array {
            [$title, $text] = $words->sentences($item);

            return ['title' => $title, 'text' => $text];
        }, $this->items()) ?: [['title' => $this->translator->say('ui.shed.next_empty'), 'text' => '']];
    }

    /** @return list<NextLine> what of Next is done at the bench */
    public function benchWork(): array
    {
        $props = new NextProps($this->translator, $this->words);

        return array_map($props->line(...), array_merge(...array_map(fn(NextItem $item) => $item->benchWork(), $this->items())));
    }

    /** @return list<Rail> */
    public function rails(): array
    {
        return $this->whose->rails($this->plan->rails);
    }

    /** @return list<NextItem> */
    public function items(): array
    {
        $rails = $this->plan->rails;

        return NextList::of(
            new NextInput(
                $this->book,
                $rails,
                $this->translator->nowS,
                $this->translator->zone(),
                $this->plan,
                $this->jobs,
                $this->jars,
                $this->baths,
                $this->wear->results(array_merge(...array_map(fn(Rail $rail) => $rail->chains(), $rails))),
                $this->ridesIn,
                $this->whose,
            ),
        );
    }

    /** @return RailView */
    private function rail(Rail $rail, ?int $today, Riders $riders): array
    {
        $q = $this->translator->quantities;
        $fit = new FitWords($this->book, $this->translator);
        $fitted = $rail->fitted;
        [$before, $stressed, $after] =
            $fitted === null ? [$this->translator->say('ui.shed.no_chain'), '', ''] : $this->words->outlook($fitted, $rail);
        $settings = $this->book->settings;
        $terms = $this->book->terms()->ofBike($rail->bikeId, $this->translator->nowS);

        return [
            'id' => $rail->bikeId,
            'name' => $this->translator->names->bike($rail->bikeId),
            'rider' => $riders->several() ? $riders->ofBike($rail->bikeId) : null,
            'about' => $this->translator->say(
                match (true) {
                    $terms->dripOnly => 'ui.shed.about_drip',
                    $terms->learned => 'ui.shed.about_ear',
                    default => 'ui.shed.about',
                },
                [
                    'kind' => $this->translator->say('ui.kinds.' . $settings->text(SettingKey::BikeKind, $rail->bikeId, 'road')),
                    'speeds' => trans_choice('ui.speeds', $settings->whole(SettingKey::BikeSpeeds, $rail->bikeId, 1)),
                    'interval' => $this->translator->wax->interval($terms),
                ],
            ),
            'fitted' => $fitted === null ? null : $this->chains->of($fitted, $this->wear->of($fitted)?->result),
            'leftNumber' => match (true) {
                $fitted?->wax->life === null || !$fitted->wax->known => null,
                $fitted->left()->byHours => $this->translator->wax->left($fitted->left()),
                default => $q->number(floor($q->units->fromKm($fitted->leftKm()) + 1e-9)),
            },
            'leftWords' =>
                $fitted?->wax->life === null || !$fitted->wax->known
                    ? ''
                    : $this->translator->say($fitted->left()->byHours ? 'ui.shed.left_of' : 'ui.shed.left_on', [
                            'unit' => $q->units->distance,
                            'interval' => $q->hours($fitted->terms->intervalHours ?? 0.0),
                            'chain' => $this->translator->names->chainOn($rail->bikeId, $fitted->chainId),
                        ]) .
                        (array_filter($fitted->wax->rides, fn(Ride $ride) => $ride->guess !== null) === []
                            ? ''
                            : $this->translator->say('ui.shed.in_part_estimated')),
            'alsoLeft' => $fitted === null ? '' : $this->words->alsoLeft($fitted),
            'until' => ['before' => $before, 'stressed' => $stressed, 'after' => $after, 'due' => $fitted?->wax->life?->due() ?? false],
            'hanging' => array_map(
                fn(ChainState $chain) => $this->chains->of(
                    $chain,
                    $this->wear->of($chain)?->result,
                    $fit->all($chain, $rail->bikeId),
                    $this->linksFor($chain),
                ),
                $rail->hanging,
            ),
            'geared' => $this->translator->settings->whole(SettingKey::BikeSpeeds, $rail->bikeId, 12) !== 1,
            'offNote' =>
                $fitted !== null && FitNote::pinned($this->book, $fitted->chainId) ? $this->translator->say('chain.fit.pin_off') : null,
            'best' => $rail->bestHanging()?->chainId,
            'today' => $rail->bikeId === $today,
        ];
    }

    /** @return list<int> the spare quick links that suit a chain */
    private function linksFor(ChainState $chain): array
    {
        $speeds = $this->book->settings->whole(SettingKey::ChainSpeeds, $chain->chainId);

        return array_values(
            array_map(
                fn(Part $link) => $link->id,
                array_filter($this->book->inventory()->spareLinks(), fn(Part $link) => $link->closes($speeds)),
            ),
        );
    }

    /** @return PotWall */
    public function pot(): array
    {
        $chains = [];
        $next = $this->plan->nextPot();
        $inJob = array_merge(...array_map(fn(OpenJob $job) => $job->planned ? [] : $job->chainIds, $this->jobs));
        foreach ($this->plan->rails as $rail) {
            foreach ([...$rail->hanging, ...$rail->fitted === null ? [] : [$rail->fitted]] as $chain) {
                if (!$chain->wear->pastLimit && !$chain->terms->dripOnly && !in_array($chain->chainId, $inJob, true)) {
                    $chains[] = $this->chains->forPot($chain, in_array($chain->chainId, $next, true));
                }
            }
        }

        // No pot is plugged in while a jar of solvent is open or a chain wet with it hangs about.
        return [
            'chains' => $chains,
            'solventOut' => array_filter($this->jobs, fn(OpenJob $job) => $job->kind === GuidedKind::Strip->value) !== [],
            'pots' => array_values(array_map((new PotProps($this->translator))->of(...), $this->baths)),
        ];
    }
}
