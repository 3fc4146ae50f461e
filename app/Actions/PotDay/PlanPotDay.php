<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Exceptions\NotPossible;
use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\PotPower;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Support\AppClock;
use App\Text\Names;
use App\Text\Translator;
use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\FitNote;
use Dripel\Core\Logbook\KeptFor;
use Dripel\Core\Logbook\LinkState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotFacts;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PowerKnown;
use Dripel\Core\Pot\WaxProperties;
use Dripel\Core\PotDay\JarRinse;
use Dripel\Core\PotDay\PotDayChain;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\PotDay\PotDayTerms;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\PotDay\PowerProgram;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\Strip\BareState;
use Dripel\Core\Strip\BathSource;

/** Makes choices into a plan, with pot, wax and chains as they are; nothing is stored. */
final readonly class PlanPotDay
{
    public function __construct(
        private ReadBook $readBook,
        private ReadBaths $readBaths,
        private ReadJars $readJars,
        private OpenJobs $openJobs,
        private AppClock $clock,
    ) {}

    /** Refused with NotPossible at `chains`, `pot` or `target`, with InvalidInput where the core refuses. */
    public function __invoke(Workshop $workshop, PotDayChoices $choices): PotDayProposal
    {
        $choices->chainIds !== [] || throw new NotPossible('chains', 'pot_day.no_chains');
        $book = ($this->readBook)($workshop);
        $jobs = $this->openJobs->byChain($workshop);
        $nowS = $this->clock->unixS();
        $states = array_map(fn(int $id) => $book->chain($id, $nowS), [
            ...array_intersect($choices->order, $choices->chainIds),
            ...array_diff($choices->chainIds, $choices->order),
        ]);
        foreach ($states as $state) {
            $name = ['chain' => (new Names($book->settings))->fullChain($state->chainId)];
            isset($jobs[$state->chainId]) && throw new NotPossible('chains', 'chain_in_job', $name);
            $refusal = PotRefusal::of($state, $book->settings);
            $refusal === null || throw new NotPossible('chains', "pot_day.{$refusal->value}", $name);
        }
        $baths = ($this->readBaths)($workshop);
        $bath = $baths[$choices->potId] ?? throw new NotPossible('pot', 'pot_empty');
        $chains = array_map(fn(ChainState $state) => self::chain($book, $state, $choices, $nowS), $states);
        $jars = JarRinse::sources(($this->readJars)($workshop), $this->openJobs->busyJars($workshop));
        $plan = PotDayPlan::of($this->terms($workshop, array_keys($baths), $book, $bath, $choices, $jars), $chains, $choices->order !== []);
        $unmeasured = array_values(array_map(fn(ChainState $state) => $state->chainId, array_filter($states, PotRefusal::unmeasured(...))));

        return new PotDayProposal($plan, $chains, $unmeasured, $choices->byS === null ? $nowS : $choices->byS - $plan->seconds());
    }

    /**
     * @param list<BathSource> $jars
     * @param list<int> $potIds those in use
     */
    private function terms(Workshop $workshop, array $potIds, Book $book, BathState $bath, PotDayChoices $choices, array $jars): PotDayTerms
    {
        $ledger = $bath->ledger;
        ($ledger !== null && $ledger->waxG > 0.0) || throw new NotPossible('pot', 'pot_empty');
        $facts = PotFacts::of($book->settings, $bath->potId);
        $roomC = $choices->roomC ?? PotHeatInput::AMBIENT_C;
        $targetC = $choices->targetC ?? PotDayTerms::usualTargetC($facts->limitC);
        $meltC = (new WaxProperties())->meltToC;
        $quantities = (new Translator($book->settings, $this->clock->unixS()))->quantities;
        $targetC <= $facts->limitC ||
            throw new NotPossible('target', 'pot_day.too_hot', ['limit' => $quantities->temperature($facts->limitC)]);
        $targetC >= $meltC || throw new NotPossible('target', 'pot_day.too_cold', ['melt' => $quantities->temperature($meltC)]);

        $cold = new PotHeatInput($ledger->waxG, $roomC, $roomC, 0.0, $facts->lossWPerK, $targetC, $facts->efficiency);
        $power = fn(bool $high): PotPower => PotPower::of($workshop, $bath->potId, $facts, $high, $cold);
        $heat = $power($choices->program !== PowerProgram::Low);
        $hold = $choices->program === PowerProgram::HighThenLow ? $power(false) : $heat;
        $races = fn(int $potId): bool => $book->settings->whole(SettingKey::PotForRaces, $potId) === 1;

        return new PotDayTerms(
            $cold->on($heat->watts),
            $facts->vessel(),
            $facts->kind,
            $facts->wax,
            $facts->limitC,
            $choices->program,
            $hold->watts,
            $ledger->oilFraction,
            $ledger->grit,
            $ledger->overheated,
            $choices->firstSoak,
            $choices->rewaxSoak,
            $choices->drain,
            $choices->dryBy,
            $choices->linkIn,
            $choices->weigh,
            $jars,
            $facts->atOnce,
            $facts->lay,
            $facts->forRaces,
            array_filter($potIds, fn(int $id) => $id !== $bath->potId && $races($id)) !== [],
            $hold->known === PowerKnown::Said ? $heat->known : $hold->known,
            $choices->meltIn,
        );
    }

    private static function chain(Book $book, ChainState $state, PotDayChoices $choices, int $nowS): PotDayChain
    {
        $first = $choices->first[$state->chainId] ?? $state->wax->life === null;

        return new PotDayChain(
            $state->chainId,
            $first,
            $state->wax->life === null ? RinseSchool::Straight : $choices->rinse[$state->chainId] ?? RinseSchool::usual($state),
            $book->settings->number(SettingKey::ChainMassG, $state->chainId) ?? BathDip::CHAIN_G,
            $state->dryness->bare?->state === BareState::Late,
            in_array($state->chainId, $choices->powder, true),
            $state->wax->worstCondition(),
            KeptFor::of($book->settings, $state->chainId, $nowS) !== null,
            $book->inventory()->linkStateOf($state->chainId, $nowS) !== LinkState::Greased,
            !FitNote::pinned($book, $state->chainId),
        );
    }
}
