<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Exceptions\NotPossible;
use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\PotFacts;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Support\AppClock;
use App\Text\Names;
use App\Text\Translator;
use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotHeatInput;
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

    /** Refused with NotPossible at `chains`, `pot`, `program` or `target`, with InvalidInput where the core refuses. */
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
        $bath = ($this->readBaths)($workshop)[$choices->potId] ?? throw new NotPossible('pot', 'pot_empty');
        $chains = array_map(fn(ChainState $state) => self::chain($book, $state, $choices), $states);
        $jars = JarRinse::sources(($this->readJars)($workshop), $this->readJars->busy($workshop));
        $plan = PotDayPlan::of($this->terms($book, $bath, $choices, $jars), $chains, $choices->order !== []);
        $unmeasured = array_values(array_map(fn(ChainState $state) => $state->chainId, array_filter($states, PotRefusal::unmeasured(...))));

        return new PotDayProposal($plan, $chains, $unmeasured, $choices->byS === null ? $nowS : $choices->byS - $plan->seconds());
    }

    /** @param list<BathSource> $jars */
    private function terms(Book $book, BathState $bath, PotDayChoices $choices, array $jars): PotDayTerms
    {
        $ledger = $bath->ledger;
        ($ledger !== null && $ledger->waxG > 0.0) || throw new NotPossible('pot', 'pot_empty');
        $facts = PotFacts::of($book->settings, $bath->potId);
        [$low, $high] = [$facts->lowW, $facts->highW];
        [$heatW, $holdW] = match ($choices->program) {
            PowerProgram::Low => [$low, $low],
            PowerProgram::High => [$high, $high],
            PowerProgram::HighThenLow => [$high, $low],
        };
        ($heatW !== null && $holdW !== null) || throw new NotPossible('program', 'pot_no_power');
        $roomC = $choices->roomC ?? PotHeatInput::AMBIENT_C;
        $targetC = $choices->targetC ?? PotDayTerms::usualTargetC($facts->limitC);
        $meltC = (new WaxProperties())->meltToC;
        $quantities = (new Translator($book->settings, $this->clock->unixS()))->quantities;
        $targetC <= $facts->limitC ||
            throw new NotPossible('target', 'pot_day.too_hot', ['limit' => $quantities->temperature($facts->limitC)]);
        $targetC >= $meltC || throw new NotPossible('target', 'pot_day.too_cold', ['melt' => $quantities->temperature($meltC)]);

        return new PotDayTerms(
            new PotHeatInput($ledger->waxG, $roomC, $roomC, $heatW, $facts->lossWPerK, $targetC, $facts->efficiency),
            $facts->vessel(),
            $facts->kind,
            $facts->wax,
            $facts->limitC,
            $choices->program,
            $holdW,
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
        );
    }

    private static function chain(Book $book, ChainState $state, PotDayChoices $choices): PotDayChain
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
        );
    }
}
