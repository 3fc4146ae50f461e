<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Exceptions\NotPossible;
use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Models\Workshop;
use App\Strip\Protocols;
use App\Strip\ReadJars;
use App\Support\AppClock;
use App\Text\Translator;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Drivetrain;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarChoice;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Load;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\StripFacts;
use Dripel\Core\Strip\StripPlan;

/** Makes choices into a plan, with the jars and chains as they are; nothing is stored. */
final readonly class PlanStrip
{
    public function __construct(
        private ReadBook $readBook,
        private ReadJars $readJars,
        private Protocols $protocols,
        private OpenJobs $openJobs,
        private AppClock $clock,
    ) {}

    /**
     * Refused with NotPossible at `chains`, `protocol` or `sources.N`, with InvalidInput where the core refuses. What has to be asked
     * before
     * it begins stands in the draft.
     */
    public function __invoke(Workshop $workshop, StripChoices $choices): StripDraft
    {
        $choices->chains !== [] || throw new NotPossible('chains', 'no_chains');
        $book = ($this->readBook)($workshop);
        $nowS = $this->clock->unixS();
        $states = array_map(fn(Chain $chain) => $book->chain($chain->id, $nowS), $choices->chains);
        $loads = array_map(fn(ChainState $state) => Load::on($state, $book->settings), $states);
        $startG = $choices->startG ?? max(array_map(fn(Load $load) => $load->grams(), $loads));
        $school = $this->school($workshop, $choices);
        $protocol = self::laidOut($school, $choices, Load::hardest($loads), $startG);
        $jobs = $this->openJobs->byChain($workshop);
        foreach ($states as $n => $state) {
            $this->expectStrippable($book, $state, $loads[$n], $protocol, isset($jobs[$state->chainId]));
        }
        [$jars, $busy] = [($this->readJars)($workshop), $this->openJobs->busyJars($workshop)];
        $sources =
            $choices->sources === null
                ? JarChoice::propose($protocol, $jars, $busy)
                : $this->sources($choices->sources, $protocol, $jars, $busy);

        return new StripDraft(
            $school,
            $protocol,
            $sources,
            StripPlan::of($protocol, $sources, count($states), $startG, facts: $this->facts($book, $states)),
            $startG,
            $jars,
            $busy,
            $loads,
            self::asks($states, $loads),
        );
    }

    /**
     * What somebody has to say first: that a ridden chain is stripped unmeasured, that a fresh coat is meant to come off.
     *
     * @param list<ChainState> $states
     * @param list<Load> $loads
     *
     * @return array<'unmeasured'|'fresh_wax', list<int>> chains
     */
    private static function asks(array $states, array $loads): array
    {
        $ids = fn(array $chosen): array => array_values(array_map(fn(ChainState $state) => $state->chainId, $chosen));

        return array_filter([
            'unmeasured' => $ids(array_filter($states, PotRefusal::unmeasured(...))),
            'fresh_wax' => $ids(array_filter($states, fn(int $n) => $loads[$n] === Load::FreshWax, ARRAY_FILTER_USE_KEY)),
        ]);
    }

    /** @param non-empty-list<ChainState> $states */
    private function facts(Book $book, array $states): StripFacts
    {
        $nowS = $this->clock->unixS();
        $onBike = array_filter($states, fn(ChainState $state) => $book->fittings()->bikeOf($state->chainId, $nowS) !== null);
        $first = (reset($onBike) ?: $states[0])->chainId;
        // One quick link among them is enough to mind it.
        $linked = array_filter(
            $states,
            fn(ChainState $state) => Drivetrain::of($book->settings, null, $state->chainId)->joint === Joint::QuickLink,
        );
        $bikeId = $book->fittings()->bikeOf($first, $nowS) ?? ($book->settings->whole(SettingKey::ChainHome, $first) ?: null);

        return new StripFacts(
            Drivetrain::of($book->settings, $bikeId, $onBike === [] && $linked !== [] ? reset($linked)->chainId : $first),
            $onBike !== [],
        );
    }

    private function school(Workshop $workshop, StripChoices $choices): Protocol
    {
        $protocol = $this->protocols->find($workshop, $choices->protocol) ?? throw new NotPossible('protocol', 'no_protocol');

        return $choices->withoutPetrol ? $protocol->withoutPetrol() : $protocol;
    }

    private static function laidOut(Protocol $school, StripChoices $choices, Load $load, float $startG): Protocol
    {
        $chains = count($choices->chains);
        $laidOut = $school->forLoad($load, $startG)->forChains($chains);

        return $choices->split === null
            ? $laidOut
            : $laidOut->split($choices->split, $choices->totalMl, $choices->targetFraction, chains: $chains);
    }

    private function expectStrippable(Book $book, ChainState $state, Load $load, Protocol $protocol, bool $inJob): void
    {
        $translator = new Translator($book->settings, $this->clock->unixS());
        $worn = $state->wear->result;
        $name = [
            'chain' => $translator->names->fullChain($state->chainId),
            'worn' => $translator->quantities->percent($worn->valuePct ?? ($worn->lowerPct ?? 0.0)),
            'limit' => $translator->quantities->mark($state->terms->limitPct),
        ];
        $onBike = $book->fittings()->bikeOf($state->chainId, $this->clock->unixS()) !== null;
        $reason = match (true) {
            $state->retired() => 'strip_retired',
            $inJob => 'chain_in_job',
            // A worn one is not worth stripping: common practice.
            $state->wear->pastLimit => 'strip_worn',
            $load === Load::FactoryWaxed => 'strip_factory_waxed',
            !$onBike && $protocol->dripOnly => 'strip_off_bike',
            default => null,
        };
        $reason === null || throw new NotPossible('chains', $reason, $name);
    }

    /**
     * @param list<array{jar: int|null, into: int|null}> $wanted
     * @param array<int, JarState> $jars
     * @param list<int> $busy
     *
     * @return list<BathSource>
     */
    private function sources(array $wanted, Protocol $protocol, array $jars, array $busy): array
    {
        $baths = $protocol->baths();
        count($wanted) === count($baths) || throw new InvalidInput('sources', 'must be one for each of the ' . count($baths) . ' baths');
        $sources = $poured = [];
        foreach ($wanted as $n => ['jar' => $jarId, 'into' => $intoId]) {
            $where = "sources.{$n}";
            $bath = $baths[$n];
            foreach (array_filter([$jarId, $intoId]) as $id) {
                in_array($id, $busy, true) && throw new NotPossible($where, 'jar_in_job');
            }
            if ($jarId === null) {
                $into = $intoId === null ? null : $jars[$intoId] ?? throw new NotPossible($where, 'no_jar');
                $held = $into->solvent ?? ($poured[(int) $intoId] ?? $bath->solvent);
                $held === $bath->solvent || throw new NotPossible($where, 'jar_other_solvent');
                $poured[(int) $intoId] = $intoId === null ? null : $bath->solvent;
                $sources[] = BathSource::fresh($intoId);
                continue;
            }
            $jar = $jars[$jarId] ?? throw new NotPossible($where, 'no_jar');
            $jar->solvent === $bath->solvent || throw new NotPossible($where, 'jar_other_solvent');
            $jar->volumeMl + Check::EPSILON >= (float) $bath->volumeMl ||
                throw new NotPossible($where, 'jar_too_little', [
                    'has' => (string) round($jar->volumeMl),
                    'needs' => (string) round((float) $bath->volumeMl),
                ]);
            $sources[] = BathSource::jar($jarId, $jar->volumeMl, $jar->greaseG, $jar->flashC, $jar->boilingC);
        }

        return $sources;
    }
}
