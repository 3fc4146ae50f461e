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
use App\Support\CurrentWorkshop;
use App\Text\FitWords;
use App\Text\MeaningWords;
use App\Text\Speaker;
use App\Text\Voice;
use App\Wear\ReadWear;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;

/** Reads the command line: a verb, a bike or a chain, figures, a condition, a day, in any order. */
final readonly class CommandParser
{
    public function __construct(
        private CurrentWorkshop $current,
        private ReadBook $readBook,
        private Speaker $speaker,
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
    ) {}

    /** @throws NotUnderstood */
    public function __invoke(string $text): Command
    {
        $book = ($this->readBook)($this->current->workshop());
        $voice = $this->speaker->voice();
        $lexicon = new Lexicon($book, $voice);
        $ahead = ($this->planAhead)($text, $lexicon, $voice);
        if ($ahead !== null) {
            return $ahead;
        }
        $phrase = ParsedPhrase::of($text, $lexicon, $voice, $this->moments);
        $verb = $phrase->verb ?? ($phrase->since === null ? ($phrase->figure === null ? null : 'ride') : 'catch_up');
        if ($verb === 'undo') {
            return $this->undo();
        }
        $phrase->hours !== null && $verb !== 'ride' && throw NotUnderstood::because('only_rides_last');
        $verb === 'dip' && throw NotUnderstood::because('dip_in_the_shed');
        $verb === null && throw NotUnderstood::because('empty');
        $bike = $phrase->bikeId === null
            ? throw NotUnderstood::because('which_bike', ['bikes' => implode(', ', array_map($voice->names->bike(...), $book->bikeIds))])
            : Bike::query()->in($this->current->workshop())->live()->findOrFail($phrase->bikeId);

        return match (true) {
            $verb === 'catch_up', $verb === 'ride' && $phrase->since !== null => $this->catchUp($book, $voice, $bike, $phrase),
            $verb === 'ride' => $this->ride($voice, $bike, $phrase),
            $verb === 'swap' => $this->swap($book, $voice, $bike, $phrase),
            $verb === 'loud' => $this->loud($voice, $bike, $phrase),
            $verb === 'drip' => $this->drip($voice, $this->chain($book, $voice, $bike, $phrase), $phrase),
            default => $this->measure($book, $voice, $bike, $this->chain($book, $voice, $bike, $phrase), $phrase),
        };
    }

    private function ride(Voice $voice, Bike $bike, ParsedPhrase $phrase): Command
    {
        $km = $phrase->km ?? throw NotUnderstood::because('how_far', ['bike' => $voice->names->bike($bike->id)]);
        $condition = $phrase->condition ?? Condition::Dry;

        return new Command(
            $this->say('ride', [
                'km' => $voice->quantities->distance($km, fmod($km, 1.0) > 0.05 ? 1 : 0), 'condition' => $voice->say("chain.condition.{$condition->value}"),
                'hours' => $phrase->hours === null ? '' : $this->say('in_hours', ['hours' => $voice->quantities->hours($phrase->hours)]),
                'bike' => $voice->names->bike($bike->id), 'day' => $phrase->when->words(), 'loud' => $phrase->loud ? $this->say('and_loud') : '',
            ]),
            fn(ActionContext $by): Action => ($this->logRide)($by, new RideFacts($bike, $phrase->when->ofRide(), $km, $phrase->hours, $condition), loud: $phrase->loud),
            $condition->soaks() ? [$voice->say('ui.ride.wet_note')] : [],
        );
    }

    private function catchUp(Book $book, Voice $voice, Bike $bike, ParsedPhrase $phrase): Command
    {
        $km = $phrase->km ?? throw NotUnderstood::because('how_far', ['bike' => $voice->names->bike($bike->id)]);
        $today = LocalDay::of($voice->nowS, $voice->zone());
        $since = $phrase->since ?? $today;
        $estimate = new Estimate(0, new Moment($voice->nowS, sequence: PHP_INT_MAX), $bike->id, $since->startS(), $since->date, $today->date, $km, $phrase->condition ?? Condition::Dry);

        return new Command(
            $voice->names->bike($bike->id).': '.$this->speaker->catchUp()->spread($estimate, $book->shareOf($estimate)),
            fn(ActionContext $by): Action => ($this->estimateDistance)($by, $estimate),
        );
    }

    private function loud(Voice $voice, Bike $bike, ParsedPhrase $phrase): Command
    {
        return new Command(
            $this->say('loud', ['bike' => $voice->names->bike($bike->id), 'at' => $phrase->when->words()]),
            fn(ActionContext $by): Action => ($this->reportNoise)($by, $bike, $phrase->when->moment()),
        );
    }

    private function swap(Book $book, Voice $voice, Bike $bike, ParsedPhrase $phrase): Command
    {
        $chainId = $phrase->chainId ?? $this->bestFor($book, $voice, $bike) ?? throw NotUnderstood::because('nothing_to_swap_to', ['bike' => $voice->names->bike($bike->id)]);
        $chain = Chain::query()->in($this->current->workshop())->live()->findOrFail($chainId);

        return new Command(
            $this->say('swap', ['bike' => $voice->names->bike($bike->id), 'letter' => $voice->names->chain($chainId), 'at' => $phrase->when->words()]),
            fn(ActionContext $by): Action => ($this->fitChain)($by, $bike, $chain, $phrase->when->moment()),
            [...array_column((new FitWords($book, $voice))->all($book->chain($chainId, $phrase->when->moment()->unixS), $bike->id), 'text'), $voice->say('ui.swap.caution')],
        );
    }

    private function drip(Voice $voice, Chain $chain, ParsedPhrase $phrase): Command
    {
        $km = $phrase->km ?? WaxTopUp::KM;

        return new Command(
            $this->say('drip', ['chain' => $voice->names->fullChain($chain->id), 'km' => $voice->quantities->distance($km), 'at' => $phrase->when->words()]),
            fn(ActionContext $by): Action => ($this->topUpChain)($by, $chain, new DripFacts($km), $phrase->when->moment()),
            [$voice->say('ui.topup.hint')],
        );
    }

    private function measure(Book $book, Voice $voice, Bike $bike, Chain $chain, ParsedPhrase $phrase): Command
    {
        $at = $phrase->when->moment();
        $percent = $phrase->figure ?? throw NotUnderstood::because('how_worn', ['bike' => $voice->names->bike($bike->id)]);

        $input = ['kind' => 'digital', 'value_pct' => $percent];
        $meaning = (new MeaningWords($book, $voice, $this->readWear->of($book, $at->unixS), $at->unixS))->of($chain->id, $input);

        return new Command(
            $this->say('measure', ['chain' => $voice->names->fullChain($chain->id), 'wear' => $voice->quantities->percent($percent), 'at' => $phrase->when->words()]),
            fn(ActionContext $by): Action => ($this->recordReading)($by, $chain, $input, $at),
            [...$meaning['sentences'], ...array_filter([$meaning['unlikely']])],
        );
    }

    /** The last thing that this person did and that still holds. */
    private function undo(): Command
    {
        $last = Action::query()->in($this->current->workshop())->where('user_id', $this->current->user()->id)->whereNull('reverted_by')
            ->where('kind', '!=', ActionKind::Undo)->orderByDesc('revision')->first() ?? throw NotUnderstood::because('nothing_to_undo');

        return new Command(
            $this->say('undo', ['what' => lcfirst($this->speaker->history()->sentence($last))]),
            fn(ActionContext $by): Action => ($this->undoActions)($by, $last),
        );
    }

    /** The chain that was named, else the one on the bike at that time. */
    private function chain(Book $book, Voice $voice, Bike $bike, ParsedPhrase $phrase): Chain
    {
        $id = $phrase->chainId ?? $book->fittings->componentOn($bike->id, $phrase->when->moment()->unixS) ?? throw NotUnderstood::because('no_chain_on', ['bike' => $voice->names->bike($bike->id)]);

        return Chain::query()->in($this->current->workshop())->live()->findOrFail($id);
    }

    private function bestFor(Book $book, Voice $voice, Bike $bike): ?int
    {
        foreach (Rail::all($book, $voice->nowS, $voice->zone()) as $rail) {
            if ($rail->bikeId === $bike->id) {
                return $rail->bestHanging()?->chainId;
            }
        }

        return null;
    }

    /** @param array<string, string> $parameters */
    private function say(string $code, array $parameters = []): string
    {
        return (string) __("command.preview.{$code}", $parameters);
    }
}
