<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Membership;
use App\Models\PlannedRide;
use App\Text\PlanWords;
use App\Text\Translator;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\Deadline;
use Dripel\Core\Plan\DipReason;
use Dripel\Core\Plan\LaneDay;
use Dripel\Core\Plan\LearnedMinutes;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\MeasuringDays;
use Dripel\Core\Plan\OftenDone;
use Dripel\Core\Plan\PassedPot;
use Dripel\Core\Plan\PlanCheck;
use Dripel\Core\Plan\PlanDoubt;
use Dripel\Core\Plan\PlannedBike;
use Dripel\Core\Plan\PlannedPotDay;
use Dripel\Core\Plan\PlanRemedy;
use Dripel\Core\Plan\PlanRiskInput;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Plan\WorkshopPlan;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Wear\WorkshopWear;
use Dripel\Core\Weather\WetDay;

/**
 * The weeks ahead as lanes, what breaks and what mends it.
 *
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type OddWeekView from ExpectedRidesProps
 * @phpstan-import-type PlannedRideView from ExpectedRidesProps
 * @phpstan-import-type WetDayView from ExpectedRidesProps
 * @phpstan-import-type ToBuy from ShoppingProps
 *
 * @phpstan-type PlanPotChain array{id: int, name: string, why: string}
 * @phpstan-type PlanPot array{
 *     date: string,
 *     label: string,
 *     text: string,
 *     chains: list<PlanPotChain>,
 *     pinned: bool,
 *     accepted: bool,
 *     minutes: int,
 *     week: list<string>,
 * }
 * @phpstan-type PlanChange array{kind: 'pinned'|'forbidden'|'not_on', date: string, chain: int|null, text: string}
 * @phpstan-type PlanWanted array{
 *     pinned: list<string>,
 *     forbidden: list<string>,
 *     not_on: list<array{chain_id: int, date: string}>,
 * }
 * @phpstan-type LaneDayView array{
 *     before: float,
 *     after: float,
 *     ride: float,
 *     swap: string|null,
 *     drip: string|null,
 *     pot: bool,
 *     kept: string|null,
 *     measure: string|null,
 *     broken: bool,
 *     text: string,
 * }
 * @phpstan-type PlanLane array{
 *     bike: int,
 *     name: string,
 *     about: string,
 *     days: list<LaneDayView>,
 * }
 * @phpstan-type PlanDay array{date: string, potDate: string, label: string, weekend: bool, allowed: bool}
 * @phpstan-type PlanView array{
 *     headline: string,
 *     about: string,
 *     whole: bool,
 *     change: string,
 *     sure: string,
 *     broken: list<string>,
 *     doubts: list<string>,
 *     pots: list<PlanPot>,
 *     days: list<PlanDay>,
 *     lanes: list<PlanLane>,
 *     wanted: PlanWanted,
 * }
 * @phpstan-type PlanTermsView array{
 *     weekdays: list<int>,
 *     pot_time: 'evening'|'morning',
 *     fixed: string,
 *     dip: string,
 *     batch: string,
 *     swap: string,
 *     topup: string,
 *     strip: string,
 *     margin: string,
 *     hours: string,
 *     pots: list<array{pot_id: int, name: string, at_once: string}>,
 * }
 * @phpstan-type LearnedMinutesView array{texts: list<string>, fixed: string, dip: string, batch: string, swap: string, strip: string}
 * @phpstan-type PlanPage array{
 *     weeks: int,
 *     mostWeeks: int,
 *     plan: PlanView,
 *     changes: list<PlanChange>,
 *     remedies: list<array{title: string, does: string, good: bool, dates: list<string>}>,
 *     terms: PlanTermsView,
 *     weekdays: list<array{value: int, title: string}>,
 *     rides: list<PlannedRideView>,
 *     oddWeeks: list<OddWeekView>,
 *     wetDays: list<WetDayView>,
 *     calendar: bool,
 *     forms: FormDefaults,
 *     shopping?: list<ToBuy>,
 *     sure?: string,
 *     learned?: LearnedMinutesView|null,
 *     passed?: string,
 * }
 */
final readonly class PlanProps
{
    /** So many doubts are told. */
    private const DOUBTS = 3;

    /** While a day is dragged it is told at once, a little less surely. */
    private const TRIED_RUNS = 500;

    private PlanWords $words;

    public function __construct(
        private Book $book,
        private Translator $translator,
        private WorkshopPlan $plan,
        private WorkshopWear $wear,
        private Whose $whose,
    ) {
        $this->words = new PlanWords($translator, $plan);
    }

    /**
     * @param list<PlannedRide> $rides
     * @param list<int> $pots
     * @param list<WetDay> $wetDays
     *
     * @return PlanPage
     */
    public function page(Membership $mine, array $rides, array $pots, array $wetDays): array
    {
        $terms = $this->plan->terms;
        $expected = new ExpectedRidesProps($this->book, $this->translator, $this->plan, $this->whose);

        return [
            'weeks' => intdiv($terms->days, 7),
            'mostWeeks' => PlanTerms::MOST_WEEKS,
            'plan' => $this->plan(),
            'changes' => $this->changes(),
            'remedies' => array_map(
                fn(PlanRemedy $remedy) => [
                    'title' => $this->words->remedy($remedy),
                    'does' => $this->words->remedyDoes($remedy),
                    'good' => $remedy->helps(),
                    'dates' => $remedy->dates,
                ],
                $this->plan->remedies(),
            ),
            'terms' => [
                'weekdays' => $terms->weekdays,
                'pot_time' => $terms->evening ? 'evening' : 'morning',
                'fixed' => (string) $terms->fixedMinutes,
                'dip' => (string) $terms->dipMinutes,
                'batch' => (string) $terms->batchMinutes,
                'swap' => (string) $terms->swapMinutes,
                'topup' => (string) $terms->topUpMinutes,
                'strip' => (string) $terms->stripMinutes,
                'margin' => (string) $terms->marginPct,
                'hours' => (string) ($terms->hoursWeekly ?? ''),
                'pots' => array_map(
                    fn(int $potId) => [
                        'pot_id' => $potId,
                        'name' => $this->translator->names->pot($potId),
                        'at_once' => (string) ($this->translator->settings->whole(SettingKey::PotAtOnce, $potId) ?: ''),
                    ],
                    $pots,
                ),
            ],
            'weekdays' => $this->translator->weekdays(),
            'rides' => $expected->rides($rides),
            'oddWeeks' => $expected->oddWeeks(),
            'wetDays' => $expected->wetDays($wetDays),
            'calendar' => $mine->calendar_hash !== null,
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return LearnedMinutesView|null what taps say that everything takes; null where it is not known better than it stands */
    public function learned(LearnedMinutes $learned): ?array
    {
        if (!$learned->news($this->plan->terms)) {
            return null;
        }
        $n = fn(float $minutes): string => $this->translator->quantities->number($minutes);
        $terms = $learned->applied($this->plan->terms);
        $fields = array_map(fn(float $minutes): string => (string) round($minutes), [
            'fixed' => $terms->fixedMinutes,
            'dip' => $terms->dipMinutes,
            'batch' => $terms->batchMinutes,
            'swap' => $terms->swapMinutes,
            'strip' => $terms->stripMinutes,
        ]);
        $said = fn(string $what, ?OftenDone $often, array $more = []): string => $often === null
            ? ''
            : $this->translator->say("ahead.learned.{$what}", [
                'times' => (string) $often->times,
                'least' => $n($often->leastMinutes),
                'most' => $n($often->mostMinutes),
                ...$more,
            ]);

        return $fields + [
            'texts' => array_values(
                array_filter([
                    $said('pot', $learned->days, ['dips' => (string) $learned->dips]),
                    $said('swap', $learned->swaps),
                    $said('strip', $learned->strips),
                    $this->translator->say('ahead.learned.values', $fields),
                ]),
            ),
        ];
    }

    /** That yesterday's pot day was not held; empty where it was, or none was planned. */
    public function passed(?PassedPot $pot): string
    {
        return $pot === null
            ? ''
            : $this->translator->say('ahead.passed', [
                'day' => $this->words->day($pot->date),
                'chains' => $this->translator->names->chains($pot->chainIds),
            ]);
    }

    /**
     * @param list<string> $dates
     *
     * @return list<string> those that are still to come
     */
    private function ahead(array $dates): array
    {
        return array_values(array_filter($dates, fn(string $date) => $date >= $this->plan->days->today->date));
    }

    /** @return PlanWanted what somebody wants otherwise, as a form sends it */
    private function wanted(): array
    {
        $terms = $this->plan->terms;
        $notOn = [];
        foreach ($terms->notOn as $chain => $dates) {
            foreach ($this->ahead($dates) as $date) {
                $notOn[] = ['chain_id' => $chain, 'date' => $date];
            }
        }

        return ['pinned' => $this->ahead($terms->pinned), 'forbidden' => $this->ahead($terms->forbidden), 'not_on' => $notOn];
    }

    /** @return list<PlanChange> what somebody wants otherwise, by its day */
    private function changes(): array
    {
        $wanted = $this->wanted();
        $changes = [
            ...array_map(fn(string $date) => $this->change('pinned', $date), $wanted['pinned']),
            ...array_map(fn(string $date) => $this->change('forbidden', $date), $wanted['forbidden']),
            ...array_map(fn(array $one) => $this->change('not_on', $one['date'], $one['chain_id']), $wanted['not_on']),
        ];
        usort($changes, fn(array $a, array $b) => $a['date'] <=> $b['date']);

        return $changes;
    }

    /**
     * @param 'pinned'|'forbidden'|'not_on' $kind
     *
     * @return PlanChange
     */
    private function change(string $kind, string $date, ?int $chain = null): array
    {
        return [
            'kind' => $kind,
            'date' => $date,
            'chain' => $chain,
            'text' => $this->translator->say("ahead.changed.{$kind}", [
                'day' => $this->words->day($date),
                'chain' => $chain === null ? '' : $this->translator->names->fullChain($chain),
            ]),
        ];
    }

    /** How sure the plan is, in a sentence. */
    public function sure(int $runs = PlanRiskInput::RUNS): string
    {
        return $this->plan->bikes === [] ? '' : $this->words->sure($this->plan->risk($runs));
    }

    /**
     * The plan as it is drawn: the lanes, and what breaks.
     *
     * @param WorkshopPlan|null $held the one that holds, where this one is only tried
     *
     * @return PlanView
     */
    public function plan(?WorkshopPlan $held = null): array
    {
        $lanes = array_filter($this->plan->walk()->lanes, $this->whose->bike(...), ARRAY_FILTER_USE_KEY);
        $measuring = MeasuringDays::of($lanes, $this->plan->chainIds(), $this->book, $this->wear, $this->translator->nowS);
        $doubts = array_values(
            array_filter(
                PlanCheck::of($this->book, $this->plan, $this->translator->nowS),
                fn(PlanDoubt $doubt) => $this->whose->bike($doubt->bikeId),
            ),
        );
        $missed = array_filter(
            $this->plan->missed(),
            fn(Deadline $deadline) => $this->whose->chain($deadline->chainId, $this->translator->nowS),
        );
        $q = $this->translator->quantities;
        $broken = [];
        foreach ($lanes as $bikeId => $days) {
            foreach ($days as $day) {
                if ($day->broken) {
                    $broken[] = [
                        $day->day,
                        $this->translator->say($day->due() ? 'ahead.broken_due' : 'ahead.broken', [
                            'bike' => $this->translator->names->bike($bikeId),
                            'km' => $q->distance($day->riddenKm),
                            'takes' => $this->words->takes($day),
                            'day' => $this->words->dayOf($day->day),
                            'left' => $this->translator->wax->has($day->afterKm, $day->afterHours),
                            'chain' => $this->translator->names->chainOn($bikeId, $day->chainId),
                        ]),
                    ];
                }
            }
        }
        usort($broken, fn(array $a, array $b) => $a[0] <=> $b[0]);

        return [
            'headline' => $this->words->headline(),
            'about' => $this->words->about(),
            'whole' => $this->plan->whole(),
            'change' => $held === null ? '' : $this->words->change($this->plan->minutesMore($held)),
            'sure' => $held === null ? '' : $this->sure(self::TRIED_RUNS),
            'broken' => [...array_map($this->words->missed(...), array_values($missed)), ...array_column($broken, 1)],
            'doubts' => array_map(
                fn(PlanDoubt $doubt) => $this->translator->say($doubt->notReady ? 'ahead.doubt.ready' : 'ahead.doubt.short', [
                    'day' => $this->words->dayOf($doubt->day),
                    'bike' => $this->translator->names->bike($doubt->bikeId),
                    'chain' => $this->translator->names->chainOn($doubt->bikeId, $doubt->chainId),
                    'left' => $doubt->leftHours === null ? $q->left($doubt->leftKm) : $q->hours($doubt->leftHours),
                    'km' => $doubt->needsHours === null ? $q->distance($doubt->needsKm) : $q->hours($doubt->needsHours),
                ]),
                array_slice($doubts, 0, self::DOUBTS),
            ),
            'pots' => array_map($this->pot(...), $this->plan->result()->potDays),
            'days' => array_map(
                fn(int $day) => [
                    'date' => $this->plan->days->date($day),
                    'potDate' => $this->plan->days->potOn($day),
                    'label' =>
                        LocalDay::named($this->plan->days->date($day), $this->translator->zone())->weekday() === 6 || $day === 0
                            ? $q->date((int) strtotime("{$this->plan->days->date($day)} 12:00 UTC"), 'd MMM')
                            : '',
                    'weekend' => LocalDay::named($this->plan->days->date($day), $this->translator->zone())->weekday() >= 6,
                    'allowed' => $this->plan->input->allowedDays[$day],
                ],
                range(0, $this->plan->terms->days - 1),
            ),
            'lanes' => array_map(fn(int $bikeId, array $days) => $this->lane($bikeId, $days, $measuring), array_keys($lanes), $lanes),
            'wanted' => $this->wanted(),
        ];
    }

    /** @return PlanPot */
    private function pot(PlannedPotDay $pot): array
    {
        $date = $this->plan->days->potOn($pot->day);

        return [
            'date' => $date,
            'label' => $this->words->day($date),
            'text' => $this->words->pot($pot),
            'chains' => array_map(
                fn(DipReason $reason) => [
                    'id' => $reason->chainId,
                    'name' => $this->translator->names->fullChain($reason->chainId),
                    'why' => $this->words->why($reason),
                ],
                $this->plan->walk()->reasons[$pot->day] ?? [],
            ),
            'pinned' => in_array($date, $this->plan->terms->pinned, true),
            'accepted' => in_array($pot->day, $this->plan->days->accepted, true),
            'minutes' => (int) round($this->words->potMinutes($pot)),
            'week' => $this->plan->days->weekOf($date),
        ];
    }

    /**
     * @param array<int, int> $measuring day by chain
     *
     * @return list<string> the chains of a bike that are due to be measured on a day
     */
    private function toMeasure(PlannedBike $bike, int $day, array $measuring): array
    {
        return array_values(
            array_map(
                fn(string|int $id) => $this->translator->names->chain((int) $id),
                array_filter($bike->ids(), fn(string|int $id) => ($measuring[(int) $id] ?? null) === $day),
            ),
        );
    }

    /**
     * @param list<LaneDay> $days
     * @param array<int, int> $measuring day by chain
     *
     * @return PlanLane
     */
    private function lane(int $bikeId, array $days, array $measuring): array
    {
        $bike = $this->plan->bikes[$bikeId] ?? $this->plan->dripBikes[$bikeId];
        $riding = $this->plan->riding[$bikeId];
        $longest = max(1.0, ...array_map(fn(LaneDay $day) => $day->riddenKm, $days));

        return [
            'bike' => $bikeId,
            'name' => $this->translator->names->bike($bikeId),
            'about' =>
                $this->translator->say(isset($this->plan->dripBikes[$bikeId]) ? 'ahead.lane.drip' : 'ahead.lane.interval', [
                    'interval' => $this->translator->wax->interval($this->book->terms()->ofBike($bikeId, $this->translator->nowS)),
                ]) .
                ', ' .
                $this->translator->say(
                    'ahead.lane.' .
                        match (true) {
                            $riding->idle() => 'idle',
                            $riding->byHabit() => 'habit',
                            default => 'planned',
                        },
                ),
            'days' => array_map(
                fn(LaneDay $day) => [
                    'before' => $day->coatBefore,
                    'after' => $day->coatAfter,
                    'ride' => $day->riddenKm / $longest,
                    'swap' => $day->offId === null ? null : $this->translator->names->chain($day->chainId),
                    'drip' =>
                        $day->dripped === []
                            ? null
                            : implode(' ', array_map($this->translator->names->chain(...), array_unique($day->dripped))),
                    'pot' => $day->dipped !== [],
                    'kept' => isset($riding->kept[$day->day]) ? $this->translator->names->chain($riding->kept[$day->day]->chainId) : null,
                    'measure' => implode(' ', $this->toMeasure($bike, $day->day, $measuring)) ?: null,
                    'broken' => $day->broken,
                    'text' => $this->words->laneDay($bikeId, $day, $riding, $this->toMeasure($bike, $day->day, $measuring)),
                ],
                $days,
            ),
        ];
    }
}
