<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Strip\StripChoices;
use App\Actions\Strip\StripDraft;
use App\Cost\ReadPrices;
use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Models\Workshop;
use App\Strip\Protocols;
use App\Text\StripWords;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\Strip\BareClock;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Load;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\ProtocolStep;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\SolventCost;
use Dripel\Core\Strip\StepKind;
use Dripel\Core\Strip\StripOrBuy;
use Dripel\Core\Strip\StripPlan;

/**
 * The plan of a strip before it begins: what can be chosen, and what follows from the choice.
 *
 * @phpstan-type StripChain array{id: int, name: string, load: string, onBike: bool}
 * @phpstan-type PlannedBath array{
 *     solvent: string,
 *     takes: string,
 *     untilClear: bool,
 *     left: string,
 *     jar: int|null,
 *     into: int|null,
 *     stocked: bool,
 *     from: list<array{value: int|null, title: string, disabled: bool}>,
 *     intoChoices: list<array{value: int|null, title: string}>,
 * }
 * @phpstan-type ProtocolChoice array{
 *     code: string,
 *     name: string,
 *     reason: string,
 *     takes: string,
 *     lines: list<string>,
 *     advised: bool,
 *     dripOnly: bool,
 *     own: int|null,
 *     solvents: list<array{
 *         value: value-of<Solvent>,
 *         title: string,
 *     }>,
 * }
 * @phpstan-type StripPlanPage array{
 *     chains: list<StripChain>,
 *     chosen: list<int>,
 *     usual: string,
 *     protocols: list<ProtocolChoice>,
 *     notAdvised: string,
 *     massUnit: string,
 * }
 * @phpstan-type StripPlanView array{
 *     start: string,
 *     baths: list<PlannedBath>,
 *     hazards: list<array{solvent: string, text: string}>,
 *     lines: list<string>,
 *     warnings: list<string>,
 *     advised: bool,
 *     asks: list<array{field: 'unmeasured'|'fresh_wax', text: string}>,
 *     offers: list<array{school: string|null, href: string|null, text: string}>,
 * }
 */
final readonly class StripProps
{
    public function __construct(
        private ReadBook $readBook,
        private Protocols $protocols,
        private ReadPrices $readPrices,
        private OpenJobs $openJobs,
        private Translators $translators,
    ) {}

    /**
     * @param list<Chain> $chosen
     *
     * @return StripPlanPage
     */
    public function create(Workshop $workshop, array $chosen): array
    {
        $translator = $this->translators->current();
        $words = new StripWords($translator);
        $ids = array_map(fn(Chain $chain) => $chain->id, $chosen);

        return [
            'chains' => $this->waiting($workshop, ($this->readBook)($workshop), $ids),
            'chosen' => $ids,
            'usual' => Protocols::DEFAULT,
            'protocols' => array_map(
                fn(string $code, Protocol $protocol) => [
                    'code' => $code,
                    'name' => $words->school(Protocols::nameOf($workshop, $code) ?? $code),
                    'reason' => $words->reason($code),
                    'takes' => $words->takes($protocol),
                    'lines' => $words->lines($protocol),
                    'advised' => $protocol->advised(),
                    'dripOnly' => $protocol->dripOnly,
                    'own' => Protocols::rowId($code),
                    'solvents' => array_values(
                        array_map(
                            fn(Solvent $solvent) => ['value' => $solvent->value, 'title' => ucfirst($words->solvent($solvent))],
                            array_filter($protocol->solvents(), fn(Solvent $solvent) => $solvent->isStocked()),
                        ),
                    ),
                ],
                array_keys($all = $this->protocols->all($workshop)),
                $all,
            ),
            'notAdvised' => $translator->say('strip.not_advised'),
            'massUnit' => $translator->quantities->units->mass,
        ];
    }

    /**
     * @param list<int> $chosen
     *
     * @return list<StripChain> what wants stripping: greased or oiled, or chosen by whoever came here
     */
    public function waiting(Workshop $workshop, Book $book, array $chosen = []): array
    {
        $translator = $this->translators->current();
        $jobs = $this->openJobs->byChain($workshop);
        $chains = [];
        foreach ($book->chainIds as $id) {
            $state = $book->chain($id, $translator->nowS);
            $load = Load::on($state, $book->settings);
            if (
                !$state->retired() &&
                !isset($jobs[$id]) &&
                (in_array($id, $chosen, true) || PotRefusal::greasy($state, $book->settings) !== null)
            ) {
                $chains[] = [
                    'id' => $id,
                    'name' => $translator->names->fullChain($id),
                    'load' => $translator->say("strip.load.{$load->value}"),
                    'onBike' => $book->fittings()->bikeOf($id, $translator->nowS) !== null,
                ];
            }
        }

        return $chains;
    }

    /** @return StripPlanView what follows from choices */
    public function plan(Workshop $workshop, StripChoices $choices, StripDraft $draft): array
    {
        $translator = $this->translators->current();
        $words = new StripWords($translator);
        $q = $translator->quantities;
        $plan = $draft->plan;
        $run = JobRun::of($plan->steps, $translator->nowS, []);
        [$bareS, $dryS] = [$run->aboutS($translator->nowS, $plan->bareStep + 1), $run->aboutS($translator->nowS)];
        $times = [
            'bare' => $q->time($bareS),
            'dry' => $this->at($translator, $dryS),
            'rust' => $this->at($translator, $bareS + 3600 * (int) BareClock::LIMIT_HOURS),
        ];
        $stocked = array_filter($draft->protocol->solvents(), fn(Solvent $solvent) => $solvent->isStocked());
        $noCan = $this->withoutCan($draft);

        return [
            'start' => (string) round($q->units->fromGrams($draft->startG), 2),
            'baths' => $this->baths($draft, $words, $translator),
            'hazards' => array_values(
                array_map(
                    fn(Solvent $solvent) => [
                        'solvent' => ucfirst($words->solvent($solvent)),
                        'text' => $words->hazard($solvent, $solvent->hazard()),
                    ],
                    $stocked,
                ),
            ),
            'lines' => array_values(
                array_filter([
                    $translator->say('strip.plan.residue', [
                        'start' => $q->mass($draft->startG),
                        'left' => $q->mass($plan->residuesG[count($plan->residuesG) - 1]),
                    ]),
                    $translator->say('strip.plan.done', $times),
                    $translator->say($draft->protocol->dripOnly ? 'strip.plan.drip' : 'strip.plan.pot', $times),
                    $this->cost($workshop, $plan, $words, $translator),
                    $this->ridden($workshop, $draft, $words, $translator),
                    $this->waxed($draft, $translator),
                    $draft->plan->steps[1]->code === 'take_off' ? $translator->say('strip.plan.on_again') : null,
                ]),
            ),
            'warnings' => array_values(
                array_filter([
                    $draft->protocol->endsWithAlcohol() ? null : $translator->say('strip.no_alcohol'),
                    $noCan === []
                        ? null
                        : $translator->say('strip.plan.no_waste', [
                            'solvents' => $translator->names->list(array_map($words->solvent(...), $noCan)),
                        ]),
                ]),
            ),
            'advised' => $draft->protocol->advised(),
            'asks' => $this->asks($draft, $translator),
            'offers' => $this->offers($choices, $draft, $translator),
        ];
    }

    /** @return list<Solvent> what is poured off and goes into no can of the books */
    private function withoutCan(StripDraft $draft): array
    {
        $solvents = [];
        foreach ($draft->protocol->baths() as $n => $bath) {
            $source = $draft->sources[$n];
            if (
                $source->jarId === null &&
                $source->intoId === null &&
                $bath->solvent?->isStocked() === true &&
                !in_array($bath->solvent, $solvents, true)
            ) {
                $solvents[] = $bath->solvent;
            }
        }

        return $solvents;
    }

    /** @return list<PlannedBath> */
    private function baths(StripDraft $draft, StripWords $words, Translator $translator): array
    {
        $q = $translator->quantities;

        return array_map(
            fn(ProtocolStep $bath, BathSource $source, float $leftG) => [
                'solvent' => ucfirst($words->solvent($bath->solvent ?? Solvent::Water)),
                'takes' => $q->volume((float) $bath->volumeMl),
                'untilClear' => $bath->untilClear,
                'left' => $q->mass($leftG),
                'jar' => $source->jarId,
                'into' => $source->intoId,
                'stocked' => $bath->solvent?->isStocked() ?? false,
                'from' => $this->from($bath, $draft, $translator),
                'intoChoices' => $this->into($bath, $draft, $translator),
            ],
            $draft->protocol->baths(),
            $draft->sources,
            $draft->plan->residuesG,
        );
    }

    /** @return list<array{value: int|null, title: string, disabled: bool}> */
    private function from(ProtocolStep $bath, StripDraft $draft, Translator $translator): array
    {
        $q = $translator->quantities;
        $choices = [['value' => null, 'title' => $translator->say('strip.source.fresh'), 'disabled' => false]];
        foreach ($bath->kind === StepKind::Scrub ? [] : $draft->jars as $jar) {
            if ($jar->solvent !== $bath->solvent || $jar->role === JarRole::Waste) {
                continue;
            }
            $parameters = [
                'jar' => $translator->names->jar($jar->jarId),
                'ml' => $q->volume($jar->volumeMl),
                'cleanings' => trans_choice('strip.source.cleanings', $jar->cleanings),
            ];
            $why = match (true) {
                in_array($jar->jarId, $draft->busy, true) => 'in_job',
                $jar->volumeMl < (float) $bath->volumeMl => 'too_little',
                default => $jar->spent() ? 'spent' : null,
            };
            // A spent jar may still be chosen: it is the rider's solvent.
            $choices[] = [
                'value' => $jar->jarId,
                'title' => $translator->say('strip.source.' . ($why ?? 'jar'), $parameters),
                'disabled' => $why === 'in_job' || $why === 'too_little',
            ];
        }

        return $choices;
    }

    /** @return list<array{value: int|null, title: string}> */
    private function into(ProtocolStep $bath, StripDraft $draft, Translator $translator): array
    {
        $jars = array_filter(
            $draft->jars,
            fn(JarState $jar) => !in_array($jar->jarId, $draft->busy, true) &&
                ($jar->solvent === $bath->solvent || $jar->solvent === null) &&
                $jar->role !== JarRole::Clean,
        );

        return [
            ['value' => null, 'title' => $translator->say('strip.into.none')],
            ...array_values(
                array_map(fn(JarState $jar) => ['value' => $jar->jarId, 'title' => $translator->names->jar($jar->jarId)], $jars),
            ),
        ];
    }

    private function cost(Workshop $workshop, StripPlan $plan, StripWords $words, Translator $translator): string
    {
        if ($plan->freshMl === []) {
            return $translator->say('strip.plan.no_fresh');
        }
        $cost = SolventCost::of($plan->freshMl, ($this->readPrices)($workshop), $translator->nowS);

        return $translator->say($cost->known() ? 'strip.plan.cost' : 'strip.plan.cost_unknown', [
            'volumes' => $words->volumes($plan->freshMl),
            'cost' => $translator->quantities->money($cost->minor),
            'solvents' => $translator->names->list(array_map($words->solvent(...), $cost->unpriced)),
        ]);
    }

    /** For a chain that was ridden on oil: what stripping it costs against a new one. */
    private function ridden(Workshop $workshop, StripDraft $draft, StripWords $words, Translator $translator): ?string
    {
        if (!in_array(Load::Oiled, $draft->loads, true)) {
            return null;
        }
        $q = $translator->quantities;
        $compared = StripOrBuy::of($draft->school, $draft->startG, ($this->readPrices)($workshop), $translator->nowS);

        return $translator->say(
            match ($compared->dearer()) {
                true => 'strip.plan.ridden_buy',
                false => 'strip.plan.ridden',
                null => 'strip.plan.ridden_unknown',
            },
            [
                'baths' => (string) $compared->baths,
                'new' => (string) $compared->bathsOfNew,
                'solvent' => $words->solvent($draft->protocol->solvents()[0]),
                'volume' => $q->volume($compared->freshMl),
                'cost' => $q->money($compared->strip->minor),
                'chain' => $q->money($compared->newMinor ?? 0.0),
            ],
        );
    }

    /** Wax comes off with hot water before any solvent. */
    private function waxed(StripDraft $draft, Translator $translator): ?string
    {
        $waxed = array_filter($draft->loads, fn(Load $load) => $load->isWax()) !== [];

        return $waxed && !$draft->protocol->dripOnly ? $translator->say('strip.plan.wax') : null;
    }

    /** @return list<array{field: 'unmeasured'|'fresh_wax', text: string}> what is asked before it begins */
    private function asks(StripDraft $draft, Translator $translator): array
    {
        return array_map(
            fn(string $ask, array $ids) => [
                'field' => $ask,
                'text' => $translator->say("strip.ask.{$ask}", ['chains' => $translator->names->chains($ids)]),
            ],
            array_keys($draft->asks),
            array_values($draft->asks),
        );
    }

    /**
     * The other ways for a chain that was ridden on oil: an ultrasonic bath, or a new one.
     *
     * @return list<array{school: string|null, href: string|null, text: string}>
     */
    private function offers(StripChoices $choices, StripDraft $draft, Translator $translator): array
    {
        if (!in_array(Load::Oiled, $draft->loads, true)) {
            return [];
        }
        $home = $translator->settings->whole(SettingKey::ChainHome, $choices->chains[0]->id);
        $ultrasonic = array_filter($draft->protocol->baths(), fn(ProtocolStep $bath) => $bath->kind === StepKind::Ultrasonic) !== [];

        return [
            ...$ultrasonic || $draft->protocol->dripOnly
                ? []
                : [['school' => Protocols::ULTRASONIC, 'href' => null, 'text' => $translator->say('strip.offer.ultrasonic')]],
            ['school' => null, 'href' => '/chains/new' . ($home > 0 ? "?bike={$home}" : ''), 'text' => $translator->say('strip.offer.new')],
        ];
    }

    private function at(Translator $translator, int $unixS): string
    {
        $q = $translator->quantities;

        return $q->date($unixS, 'yyyy-MM-dd') === $q->date($translator->nowS, 'yyyy-MM-dd')
            ? $q->time($unixS)
            : $q->time($unixS) . ' ' . $translator->dayWord($q->date($unixS, 'yyyy-MM-dd'));
    }
}
