<?php

declare(strict_types=1);

namespace App\Command;

use App\Actions\CatchUp\EstimateDistance;
use App\Actions\Chain\RecordReading;
use App\Actions\Chain\ReportNoise;
use App\Actions\Drip\DripFacts;
use App\Actions\Drip\TopUpChain;
use App\Actions\Fitting\FitChain;
use App\Actions\History\UndoActions;
use App\Actions\Ride\LogRide;
use App\Actions\Ride\RideFacts;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Plan\ReadPlan;
use App\Ride\AtPace;
use App\Support\CurrentWorkshop;
use App\Text\FitWords;
use App\Text\MeaningWords;
use App\Text\Translator;
use App\Text\Translators;
use App\Wear\ReadWear;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Plan\LocalDay;

/** Reads the command line: a verb, a bike or a chain, figures, a condition, a day, in any order. */
final readonly class CommandParser
{
    public function __construct(
        private CurrentWorkshop $current,
        private ReadBook $readBook,
        private ReadPlan $readPlan,
        private Translators $translators,
        private Moments $moments,
        private LogRide $logRide,
        private EstimateDistance $estimateDistance,
        private FitChain $fitChain,
        private ReportNoise $reportNoise,
        private TopUpChain $topUpChain,
        private RecordReading $recordReading,
        private UndoActions $undoActions,
        private PlanAhead $planAhead,
        private ReadWear $readWear,
        private AtPace $atPace,
    ) {}

    /** @throws NotUnderstood */
    public function __invoke(string $text): Command
    {
        $book = ($this->readBook)($this->current->workshop());
        $translator = $this->translators->current();
        $lexicon = new Lexicon($book, $translator);
        $ahead = ($this->planAhead)($text, $lexicon, $translator);
        if ($ahead !== null) {
            return $ahead;
        }
        $phrase = ParsedPhrase::of($text, $lexicon, $translator, $this->moments);
        $verb = $phrase->verb ?? ($phrase->since === null ? ($phrase->figure === null ? null : 'ride') : 'catch_up');
        if ($verb === 'undo') {
            return $this->undo();
        }
        $phrase->hours !== null && $verb !== 'ride' && throw NotUnderstood::because('only_rides_last');
        $verb === 'dip' && throw NotUnderstood::because('dip_in_the_shed');
        $verb === null && throw NotUnderstood::because('empty');
        $bike =
            $phrase->bikeId === null
                ? throw NotUnderstood::because('which_bike', [
                    'bikes' => implode(', ', array_map($translator->names->bike(...), $book->bikeIds)),
                ])
                : Bike::query()->in($this->current->workshop())->live()->findOrFail($phrase->bikeId);

        return match (true) {
            $verb === 'catch_up', $verb === 'ride' && $phrase->since !== null => $this->catchUp($book, $translator, $bike, $phrase),
            $verb === 'ride' => $this->ride($translator, $bike, $phrase),
            $verb === 'swap' => $this->swap($book, $translator, $bike, $phrase),
            $verb === 'loud' => $this->loud($translator, $bike, $phrase),
            $verb === 'drip' => $this->drip($translator, $this->chain($book, $translator, $bike, $phrase), $phrase),
            default => $this->measure($book, $translator, $bike, $this->chain($book, $translator, $bike, $phrase), $phrase),
        };
    }

    private function ride(Translator $translator, Bike $bike, ParsedPhrase $phrase): Command
    {
        $km =
            $phrase->km ??
            ($phrase->hours === null
                ? throw NotUnderstood::because('how_far', ['bike' => $translator->names->bike($bike->id)])
                : $this->atPace->km($bike, $phrase->hours) ??
                    throw NotUnderstood::because('no_pace', ['bike' => $translator->names->bike($bike->id)]));
        $condition = $phrase->condition ?? Condition::Dry;

        return new Command(
            $this->say('ride', [
                'km' => $this->say($phrase->km === null ? 'about_km' : 'km', [
                    'km' => $translator->quantities->distance($km, fmod($km, 1.0) > 0.05 ? 1 : 0),
                ]),
                'condition' => $translator->say("chain.condition.{$condition->value}"),
                'hours' =>
                    $phrase->hours === null ? '' : $this->say('in_hours', ['hours' => $translator->quantities->hours($phrase->hours)]),
                'bike' => $translator->names->bike($bike->id),
                'day' => $phrase->when->words(),
                'loud' => $phrase->loud ? $this->say('and_loud') : '',
            ]),
            fn(ActionContext $by): Action => ($this->logRide)(
                $by,
                new RideFacts($bike, $phrase->when->ofRide(), $km, $phrase->hours, $condition),
                loud: $phrase->loud,
            ),
            $condition->soaks() ? [$translator->say('ui.ride.wet_note')] : [],
        );
    }

    private function catchUp(Book $book, Translator $translator, Bike $bike, ParsedPhrase $phrase): Command
    {
        $km = $phrase->km ?? throw NotUnderstood::because('how_far', ['bike' => $translator->names->bike($bike->id)]);
        $today = LocalDay::of($translator->nowS, $translator->zone());
        $since = $phrase->since ?? $today;
        $estimate = new Estimate(
            0,
            new Moment($translator->nowS, sequence: PHP_INT_MAX),
            $bike->id,
            $since->startS(),
            $since->date,
            $today->date,
            $km,
            $phrase->condition ?? Condition::Dry,
        );

        return new Command(
            $translator->names->bike($bike->id) . ': ' . $this->translators->catchUp()->spread($estimate, $book->shareOf($estimate)),
            fn(ActionContext $by): Action => ($this->estimateDistance)($by, $estimate),
        );
    }

    private function loud(Translator $translator, Bike $bike, ParsedPhrase $phrase): Command
    {
        return new Command(
            $this->say('loud', ['bike' => $translator->names->bike($bike->id), 'at' => $phrase->when->words()]),
            fn(ActionContext $by): Action => ($this->reportNoise)($by, $bike, $phrase->when->moment()),
        );
    }

    private function swap(Book $book, Translator $translator, Bike $bike, ParsedPhrase $phrase): Command
    {
        $chainId =
            $phrase->chainId ??
            ($this->bestFor($bike) ?? throw NotUnderstood::because('nothing_to_swap_to', ['bike' => $translator->names->bike($bike->id)]));
        $chain = Chain::query()->in($this->current->workshop())->live()->findOrFail($chainId);

        return new Command(
            $this->say('swap', [
                'bike' => $translator->names->bike($bike->id),
                'letter' => $translator->names->chain($chainId),
                'at' => $phrase->when->words(),
            ]),
            fn(ActionContext $by): Action => ($this->fitChain)($by, $bike, $chain, $phrase->when->moment()),
            [
                ...array_column(
                    (new FitWords($book, $translator))->all($book->chain($chainId, $phrase->when->moment()->unixS), $bike->id),
                    'text',
                ),
                $translator->say('ui.swap.caution'),
            ],
        );
    }

    private function drip(Translator $translator, Chain $chain, ParsedPhrase $phrase): Command
    {
        $km = $phrase->km ?? WaxTopUp::KM;

        return new Command(
            $this->say('drip', [
                'chain' => $translator->names->fullChain($chain->id),
                'km' => $translator->quantities->distance($km),
                'at' => $phrase->when->words(),
            ]),
            fn(ActionContext $by): Action => ($this->topUpChain)($by, $chain, new DripFacts($km), $phrase->when->moment()),
            [$translator->say('ui.topup.hint')],
        );
    }

    private function measure(Book $book, Translator $translator, Bike $bike, Chain $chain, ParsedPhrase $phrase): Command
    {
        $at = $phrase->when->moment();
        $percent = $phrase->figure ?? throw NotUnderstood::because('how_worn', ['bike' => $translator->names->bike($bike->id)]);

        $input = ['kind' => 'digital', 'value_pct' => $percent];
        $meaning = (new MeaningWords($book, $translator, $this->readWear->of($book, $at->unixS), $at->unixS))->of($chain->id, $input);

        return new Command(
            $this->say('measure', [
                'chain' => $translator->names->fullChain($chain->id),
                'wear' => $translator->quantities->percent($percent),
                'at' => $phrase->when->words(),
            ]),
            fn(ActionContext $by): Action => ($this->recordReading)($by, $chain, $input, $at),
            [...$meaning['sentences'], ...array_filter([$meaning['unlikely']])],
        );
    }

    /** The last thing that this person did and that still holds. */
    private function undo(): Command
    {
        $last =
            Action::query()
                ->in($this->current->workshop())
                ->where('user_id', $this->current->user()->id)
                ->whereNull('reverted_by')
                ->where('kind', '!=', ActionKind::Undo)
                ->orderByDesc('revision')
                ->first() ?? throw NotUnderstood::because('nothing_to_undo');

        return new Command(
            $this->say('undo', ['what' => lcfirst($this->translators->history()->sentence($last))]),
            fn(ActionContext $by): Action => ($this->undoActions)($by, $last),
        );
    }

    /** The chain that was named, else the one on the bike at that time. */
    private function chain(Book $book, Translator $translator, Bike $bike, ParsedPhrase $phrase): Chain
    {
        $id =
            $phrase->chainId ??
            ($book->fittings()->componentOn($bike->id, $phrase->when->moment()->unixS) ??
                throw NotUnderstood::because('no_chain_on', ['bike' => $translator->names->bike($bike->id)]));

        return Chain::query()->in($this->current->workshop())->live()->findOrFail($id);
    }

    private function bestFor(Bike $bike): ?int
    {
        return $this->readPlan->rail($this->current->workshop(), $bike->id)->bestHanging()?->chainId;
    }

    /** @param array<string, string> $parameters */
    private function say(string $code, array $parameters = []): string
    {
        return (string) __("command.preview.{$code}", $parameters);
    }
}
