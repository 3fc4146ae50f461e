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
use App\Text\Names;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\Retirement;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarChoice;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Load;
use Dripel\Core\Strip\Protocol;
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

    /** Refused with NotPossible at `chains`, `protocol` or `sources.N`, with InvalidInput where the core refuses. */
    public function __invoke(Workshop $workshop, StripChoices $choices): StripDraft
    {
        $choices->chains !== [] || throw new NotPossible('chains', 'no_chains');
        $protocol = $this->protocol($workshop, $choices);
        $book = $this->readBook->withoutRides($workshop);
        $jobs = $this->openJobs->byChain($workshop);
        foreach ($choices->chains as $chain) {
            $this->expectStrippable($book, $chain, $protocol, isset($jobs[$chain->id]));
        }
        [$jars, $busy] = [($this->readJars)($workshop), $this->readJars->busy($workshop)];
        $sources =
            $choices->sources === null
                ? JarChoice::propose($protocol, $jars, $busy)
                : $this->sources($choices->sources, $protocol, $jars, $busy);
        $startG =
            $choices->startG ?? max([0.0, ...array_map(fn(Chain $chain) => self::load($book, $chain->id)->grams(), $choices->chains)]);

        return new StripDraft(
            $protocol,
            $sources,
            StripPlan::of($protocol, $sources, count($choices->chains), $startG),
            $startG,
            $jars,
            $busy,
        );
    }

    /** What is on a chain when it is stripped: what it came with, or oil once it was ridden. */
    public static function load(Book $book, int $chainId): Load
    {
        $state = $book->chain($chainId, PHP_INT_MAX);
        if ($state->status === ChainStatus::Oiled) {
            return Load::Oiled;
        }

        return Load::tryFrom($book->settings->text(SettingKey::ChainLoad, $chainId)) ??
            ($state->opening === null ? Load::Greased : Load::Oiled);
    }

    private function protocol(Workshop $workshop, StripChoices $choices): Protocol
    {
        $protocol = $this->protocols->find($workshop, $choices->protocol) ?? throw new NotPossible('protocol', 'no_protocol');
        $protocol = $choices->withoutPetrol ? $protocol->withoutPetrol() : $protocol;

        return $choices->split === null ? $protocol : $protocol->split($choices->split, $choices->totalMl, $choices->targetFraction);
    }

    private function expectStrippable(Book $book, Chain $chain, Protocol $protocol, bool $inJob): void
    {
        $name = ['chain' => (new Names($book->settings))->fullChain($chain->id)];
        $onBike = $book->fittings->bikeOf($chain->id, $this->clock->unixS()) !== null;
        $reason = match (true) {
            $book->history($chain->id)->last(Retirement::class) !== null => 'strip_retired',
            $inJob => 'chain_in_job',
            self::load($book, $chain->id) === Load::FactoryWaxed => 'strip_factory_waxed',
            $onBike && !$protocol->dripOnly => 'strip_on_bike',
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
