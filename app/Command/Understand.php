<?php

declare(strict_types=1);

namespace App\Command;

use App\Actions\CatchUp\EstimateDistance;
use App\Actions\Chains\RecordReading;
use App\Actions\Chains\ReportNoise;
use App\Actions\Chains\TopUpChain;
use App\Actions\Fittings\FitChain;
use App\Actions\History\UndoActions;
use App\Actions\Rides\LogRide;
use App\Actions\Rides\RideFacts;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
use App\Text\Units;
use App\Text\Voice;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Interval\WaxTopUp;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Estimate;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\Rail;

/** Reads the command line: a verb, a bike or a chain, figures, a condition, a day, in any order. */
final readonly class Understand
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
    ) {}

    /** @throws NotUnderstood */
    public function __invoke(string $text): Command
    {
        $book = ($this->readBook)($this->current->workshop());
        $voice = $this->speaker->voice();
        $lexicon = new Lexicon($book, $voice);
        $phrase = new Phrase($text);
        $phrase->left() === [] && throw $this->problem('empty');

        $bikeId = $phrase->takeOneOf($lexicon->bikes);
        $verb = $phrase->takeOneOf($lexicon->verbs);
        $loud = $verb === 'ride' && $phrase->takeOneOf([$lexicon->verbs['loud']]) !== null;
        if ($verb === 'undo') {
            $this->nothingLeft($phrase, $lexicon, $text);

            return $this->undo();
        }
        $verb === 'dip' && throw $this->problem('dip_in_the_shed');
        $since = $this->since($phrase, $lexicon, $voice);
        $when = When::takenFrom($phrase, $lexicon, $voice, $this->moments);
        $condition = $phrase->takeOneOf($lexicon->conditions);
        $units = Units::of($voice->settings);
        $number = $this->number($phrase, $lexicon);
        $bikeId ??= count($book->bikeIds) === 1 ? $book->bikeIds[0] : null;
        $letters = $bikeId === null ? [] : $this->letters($book, $voice, (int) $bikeId);
        $chainId = $phrase->takeOneOf($letters);
        $phrase->takeOneOf([$lexicon->fillers]);
        while ($phrase->takeOneOf([$lexicon->fillers]) !== null);
        $this->nothingLeft($phrase, $lexicon, $text);
        $bikeId === null && throw $this->problem('which_bike', ['bikes' => implode(', ', array_map($voice->names->bike(...), $book->bikeIds))]);

        $bike = Bike::query()->in($this->current->workshop())->live()->findOrFail((int) $bikeId);
        $km = $number === null ? null : $this->km($number, $units);
        $how = Condition::from((string) ($condition ?? Condition::Dry->value));
        $verb ??= match (true) {
            $since !== null => 'catch_up',
            $number !== null => 'ride',
            default => throw $this->problem('empty'),
        };

        return match (true) {
            $verb === 'catch_up' || ($verb === 'ride' && $since !== null) => $this->catchUp($book, $voice, $bike, $km ?? throw $this->problem('how_far', ['bike' => $voice->names->bike($bike->id)]), $since ?? LocalDay::of($voice->nowS, $voice->zone()), $how),
            $verb === 'ride' => $this->ride($voice, $bike, $km ?? throw $this->problem('how_far', ['bike' => $voice->names->bike($bike->id)]), $how, $when, $loud),
            $verb === 'swap' => $this->swap($book, $voice, $bike, $chainId === null ? null : (int) $chainId, $when, $letters),
            $verb === 'loud' => new Command(
                $this->say('loud', ['bike' => $voice->names->bike($bike->id), 'at' => $when->words()]),
                fn(ActionContext $by): Action => ($this->reportNoise)($by, $bike, $when->moment()),
            ),
            $verb === 'drip' => $this->drip($voice, $this->chain($book, $voice, $bike, $chainId, $when->moment()->unixS), $km ?? WaxTopUp::KM, $when),
            default => $this->measure($voice, $this->chain($book, $voice, $bike, $chainId, $when->moment()->unixS), $number === null ? null : (float) $number[0], $when, $bike),
        };
    }

    private function ride(Voice $voice, Bike $bike, float $km, Condition $condition, When $when, bool $loud): Command
    {
        return new Command(
            $this->say('ride', [
                'km' => $voice->quantities->distance($km, fmod($km, 1.0) > 0.05 ? 1 : 0), 'condition' => $voice->say("chain.condition.{$condition->value}"),
                'bike' => $voice->names->bike($bike->id), 'day' => $when->words(), 'loud' => $loud ? $this->say('and_loud') : '',
            ]),
            fn(ActionContext $by): Action => ($this->logRide)($by, new RideFacts($bike, $when->ofRide(), $km, null, $condition), loud: $loud),
            $condition->soaks() ? $voice->say('ui.ride.wet_note') : null,
        );
    }

    private function catchUp(Book $book, Voice $voice, Bike $bike, float $km, LocalDay $since, Condition $condition): Command
    {
        $today = LocalDay::of($voice->nowS, $voice->zone());
        $estimate = new Estimate(0, new Moment($voice->nowS, sequence: PHP_INT_MAX), $bike->id, $since->startS(), $since->date, $today->date, $km, $condition);

        return new Command(
            $voice->names->bike($bike->id).': '.$this->speaker->catchUp()->spread($estimate, $book->reckon($estimate)),
            fn(ActionContext $by): Action => ($this->estimateDistance)($by, $estimate),
        );
    }

    /** @param array<int, string> $letters */
    private function swap(Book $book, Voice $voice, Bike $bike, ?int $chainId, When $when, array $letters): Command
    {
        if ($chainId === null) {
            $rails = array_filter(Rail::all($book, $voice->nowS, $voice->zone()), fn(Rail $rail) => $rail->bikeId === $bike->id);
            $chainId = array_values($rails)[0]->bestHanging()->chainId ?? throw $this->problem('nothing_to_swap_to', ['bike' => $voice->names->bike($bike->id)]);
        }
        $chain = Chain::query()->in($this->current->workshop())->live()->findOrFail($chainId);

        return new Command(
            $this->say('swap', ['bike' => $voice->names->bike($bike->id), 'letter' => $voice->names->chain($chainId), 'at' => $when->words()]),
            fn(ActionContext $by): Action => ($this->fitChain)($by, $bike, $chain, $when->moment()),
            $voice->say('ui.swap.caution'),
        );
    }

    private function drip(Voice $voice, Chain $chain, float $km, When $when): Command
    {
        return new Command(
            $this->say('drip', ['chain' => $voice->names->fullChain($chain->id), 'km' => $voice->quantities->distance($km), 'at' => $when->words()]),
            fn(ActionContext $by): Action => ($this->topUpChain)($by, $chain, $km, $when->moment()),
            $voice->say('ui.topup.hint'),
        );
    }

    private function measure(Voice $voice, Chain $chain, ?float $percent, When $when, Bike $bike): Command
    {
        $percent === null && throw $this->problem('how_worn', ['bike' => $voice->names->bike($bike->id)]);

        return new Command(
            $this->say('measure', ['chain' => $voice->names->fullChain($chain->id), 'wear' => $voice->quantities->percent($percent), 'at' => $when->words()]),
            fn(ActionContext $by): Action => ($this->recordReading)($by, $chain, ['kind' => 'digital', 'value_pct' => $percent], $when->moment()),
        );
    }

    /** The last thing that this person did and that still holds. */
    private function undo(): Command
    {
        $last = Action::query()->in($this->current->workshop())->where('user_id', $this->current->user()->id)->whereNull('reverted_by')
            ->where('kind', '!=', ActionKind::Undo)->orderByDesc('revision')->first() ?? throw $this->problem('nothing_to_undo');

        return new Command(
            $this->say('undo', ['what' => lcfirst($this->speaker->history()->sentence($last))]),
            fn(ActionContext $by): Action => ($this->undoActions)($by, $last),
        );
    }

    /** The chain that was named, else the one on the bike at that time. */
    private function chain(Book $book, Voice $voice, Bike $bike, int|string|null $chainId, int $atS): Chain
    {
        $id = $chainId ?? $book->fittings->chainOn($bike->id, $atS) ?? throw $this->problem('no_chain_on', ['bike' => $voice->names->bike($bike->id)]);

        return Chain::query()->in($this->current->workshop())->live()->findOrFail((int) $id);
    }

    /** @return array<int, string> the letters of a bike's chains in use */
    private function letters(Book $book, Voice $voice, int $bikeId): array
    {
        $letters = [];
        foreach ($book->chainIds as $id) {
            if ($book->settings->home($id, $voice->nowS) === $bikeId && $book->history($id)->last(Retirement::class) === null) {
                $letters[$id] = $voice->names->chain($id);
            }
        }

        return $letters;
    }

    private function since(Phrase $phrase, Lexicon $lexicon, Voice $voice): ?LocalDay
    {
        $since = preg_quote((string) __('command.since'), '/');

        return $phrase->take("/ {$since}(?= )/u") === null ? null : When::day($phrase, $lexicon, $voice, LocalDay::of($voice->nowS, $voice->zone()));
    }

    /** @return array{string, string}|null a figure and its unit, '' if none was said */
    private function number(Phrase $phrase, Lexicon $lexicon): ?array
    {
        $units = implode('|', array_map(fn(string $unit) => preg_quote($unit, '/'), ['%', ...array_merge(...array_values($lexicon->units))]));
        $found = $phrase->take("/ (\\d+(?:\\.\\d+)?) ?({$units})?(?= )/u");

        return $found === null ? null : [$found[1], $found[2] ?? ''];
    }

    /** @param array{string, string} $number */
    private function km(array $number, Units $units): float
    {
        /** @var array<string, list<string>> $words */
        $words = __('command.units');
        foreach ($words as $unit => $all) {
            if (in_array($number[1], $all, true)) {
                return (new Units($unit))->toKm((float) $number[0]);
            }
        }

        return $units->toKm((float) $number[0]);
    }

    private function nothingLeft(Phrase $phrase, Lexicon $lexicon, string $text): void
    {
        $left = $phrase->left();
        if ($left === []) {
            return;
        }
        $near = $lexicon->near($left[0]);
        throw new NotUnderstood(
            (string) __('command.problems.unknown', ['word' => $left[0]]),
            $near === null ? null : (string) preg_replace('/(?<![\p{L}\p{N}])'.preg_quote($left[0], '/').'(?![\p{L}\p{N}])/iu', $near, trim($text), 1),
        );
    }

    /** @param array<string, string> $parameters */
    private function say(string $code, array $parameters = []): string
    {
        return (string) __("command.preview.{$code}", $parameters);
    }

    /** @param array<string, string> $parameters */
    private function problem(string $code, array $parameters = []): NotUnderstood
    {
        return new NotUnderstood((string) __("command.problems.{$code}", $parameters));
    }
}
