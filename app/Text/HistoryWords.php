<?php

declare(strict_types=1);

namespace App\Text;

use App\Logbook\About;
use App\Logbook\ActionKind;
use App\Models\Action;
use Closure;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\SupplyUnit;
use Dripel\Core\Interval\DeclinedFactors;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;

/** What somebody did, in one sentence. */
final readonly class HistoryWords
{
    public function __construct(private Translator $translator, private ChainWords $chainWords) {}

    public function sentence(Action $action): string
    {
        // Each is read from the row once: a model makes it anew whenever it is asked.
        [$kind, $about] = [$action->kind, $action->about];
        if ($kind === ActionKind::Undo) {
            $undone = Action::query()->where('workshop_id', $action->workshop_id)->whereKey($about->undid)->orderByDesc('revision')->get();

            return $this->translator->say('history.undo', [
                'what' => $undone->map(fn(Action $a) => lcfirst($this->sentence($a)))->implode('; '),
            ]);
        }
        $code = match (true) {
            $kind === ActionKind::FitChain && $about->chain === null => 'fit_none',
            $kind === ActionKind::FitChain && $about->off === null => 'fit_first',
            $kind === ActionKind::CorrectFitting && $about->off === null => 'correct_fitting_bare',
            in_array($kind, [ActionKind::DeleteEntry, ActionKind::MoveEntry], true) => "{$kind->value}.{$about->type}",
            default => $this->plainCode($kind, $about),
        };

        return $this->translator->say("history.{$code}", $this->parameters($about));
    }

    /** The same in short, for the one who just did it. */
    public function done(Action $action): string
    {
        [$kind, $about] = [$action->kind, $action->about];
        $code = $kind === ActionKind::FitChain && $about->chain === null ? 'fit_none' : $this->plainCode($kind, $about);

        return $this->translator->say(
            "done.{$code}",
            ['early' => $about->early ? $this->translator->say('done.early') : ''] + $this->parameters($about),
        );
    }

    private function plainCode(ActionKind $kind, About $about): string
    {
        return match (true) {
            $kind === ActionKind::EstimateDistance && (float) $about->km <= 0.0 => 'estimate_noted',
            $kind === ActionKind::KeepInstrument && $about->gone => 'put_instrument_away',
            $about->opensWorkshop() => 'open_workshop',
            $kind === ActionKind::PlanRide && $about->holiday => 'plan_holiday',
            $kind === ActionKind::KeepPlan && !$about->byHand => 'plan_best',
            $kind === ActionKind::ChangePot && $about->gone => 'pot_gone',
            $kind === ActionKind::ChangeJar && $about->gone => 'jar_gone',
            $kind === ActionKind::SetPrice && $about->replaces => 'change_price',
            $kind === ActionKind::KeepBottle && $about->gone => 'bottle_gone',
            $kind === ActionKind::PotDay && ($about->chains ?? []) === [] => 'pot_day_none',
            $kind === ActionKind::TopUpChain && $about->km === null => 'drip_chain',
            default => $kind->value,
        };
    }

    /** @return array<string, Closure(): string> what the sentences speak of: made by the one that says it */
    private function parameters(About $about): array
    {
        return $this->things($about) + $this->quantities($about) + $this->days($about) + $this->asides($about) + $this->onTheBench($about);
    }

    /** @return array<string, Closure(): string> bikes, chains, parts, pots by their names */
    private function things(About $about): array
    {
        $names = $this->translator->names;
        $called = fn(?int $id): string => $id === null ? '' : $this->translator->settings->text(SettingKey::PartName, $id);

        return [
            'bike' => fn(): string => $about->bike === null ? $this->translator->say('history.unnamed_bike') : $names->bike($about->bike),
            'chain' => fn(): string => $about->chain === null ? '' : $names->fullChain($about->chain),
            'letter' => fn(): string => $about->chain === null ? '' : $names->chain($about->chain),
            'off' => fn(): string => $about->off === null ? '' : $names->chain($about->off),
            'chains' => fn(): string => $names->chains($about->chains ?? []),
            'part' => fn(): string => $about->part === null ? '' : ($called($about->part) ?: $this->translator->say('ui.parts.quick_link')),
            'before' => fn(): string => $about->before === null
                ? ''
                : $this->translator->say($about->replaces ? 'history.part_replaced' : 'history.part_before', [
                    'name' => $called($about->before),
                ]),
            'jar' => fn(): string => $names->jar($about->jar),
            'pot' => fn(): string => $names->pot($about->pot),
            'name' => fn(): string => (string) $about->name,
            'what' => fn(): string => $this->arrived($about),
            'from_bikes' => fn(): string => $about->bikes === []
                ? ''
                : $this->translator->say('history.from_bikes', ['bikes' => implode(', ', array_map($names->bike(...), $about->bikes))]),
        ];
    }

    /** @return array<string, Closure(): string> */
    private function quantities(About $about): array
    {
        $q = $this->translator->quantities;
        $km = fn(?float $km, int $decimals = 0): string => $km === null ? '' : $q->distance($km, $decimals);
        $count = fn(string $of, ?int $count, array $with = []): string => $count === null
            ? ''
            : trans_choice("history.{$of}", $count, $with);

        return [
            'km' => fn(): string => $km($about->km, $about->km !== null && $about->km < 100.0 && fmod($about->km, 1.0) > 0.05 ? 1 : 0),
            'was' => fn(): string => $km($about->was['km'] ?? null),
            'each' => fn(): string => $km($about->each, 1),
            'first' => fn(): string => $km($about->first),
            'odometer' => fn(): string => $km($about->odometer),
            'wear' => fn(): string => $this->wear($about),
            'measured' => fn(): string => $about->measured && $about->off !== null
                ? $this->translator->say('history.measured_off', [
                    'off' => $this->translator->names->chain($about->off),
                    'wear' => $this->wear($about),
                ])
                : '',
            'left_ml' => fn(): string => $about->leftMl === null
                ? ''
                : $this->translator->say('history.left_ml', ['ml' => $q->volume($about->leftMl)]),
            'days' => fn(): string => $count('days', $about->days),
            'rides' => fn(): string => $count('rides', $about->rides),
            'baths' => fn(): string => $count('baths', $about->baths),
            'links' => fn(): string => $count('links', $about->count, ['name' => (string) $about->name]),
            'changed' => fn(): string => $this->changed($about->changed ?? []),
        ];
    }

    /** @return array<string, Closure(): string> */
    private function days(About $about): array
    {
        $q = $this->translator->quantities;

        return [
            'at' => fn(): string => match (true) {
                $about->at === null => '',
                $about->day === Precision::Day->value => $q->day($about->at),
                default => $q->day($about->at) . ', ' . $q->time($about->at),
            },
            'from' => fn(): string => $about->from === null ? '' : $this->day($about->from),
            'until' => fn(): string => $about->until === null
                ? ''
                : $this->translator->say('history.until_date', ['date' => $this->day($about->until)]),
            'to' => fn(): string => match (true) {
                $about->to === null => '',
                is_string($about->to) => $this->day($about->to),
                default => $q->day($about->to) . ', ' . $q->time($about->to),
            },
            'pot_days' => fn(): string => implode(', ', array_map($this->day(...), $about->potDays)),
            'weekdays' => fn(): string => implode(', ', array_map($this->translator->weekday(...), $about->weekdays)),
        ];
    }

    /** @return array<string, Closure(): string> what is said besides, if it was so */
    private function asides(About $about): array
    {
        $note = $about->note === null ? '' : $this->translator->say('history.note', ['note' => $about->note]);
        $if = fn(bool $so, string $says): string => $so ? $this->translator->say("history.{$says}") : '';

        return [
            'loud' => fn(): string => $if($about->loud, 'loud'),
            'early' => fn(): string => $if($about->early, 'early'),
            'past' => fn(): string => $if($about->past, 'past'),
            'exchange' => fn(): string => $if($about->exchange, 'exchange'),
            'terms' => fn(): string => $if($about->newLink, 'new_link') . $note,
            'receipt' => fn(): string => $about->jar === null ? '' : $note,
            'condition' => fn(): string => $about->condition === null ? '' : $this->translator->say("chain.condition.{$about->condition}"),
            'cared' => fn(): string => $about->care === null
                ? ''
                : $this->translator->say("history.cared.{$about->care}", [
                    'chain' => $about->chain === null ? '' : $this->translator->names->fullChain($about->chain),
                ]),
        ];
    }

    /** @return array<string, Closure(): string> */
    private function onTheBench(About $about): array
    {
        $q = $this->translator->quantities;
        $supply = Supply::tryFrom((string) $about->supply);

        return [
            'school' => fn(): string => $about->school === null ? '' : (new StripWords($this->translator))->school($about->school),
            'supply' => fn(): string => $supply === null ? '' : $this->translator->say("strip.supply.{$supply->value}"),
            'priced' => fn(): string => $supply === null || $about->amountMinor === null || $about->quantity === null
                ? ''
                : $this->translator->say('strip.priced', [
                    'supply' => $this->translator->say("strip.supply.{$supply->value}"),
                    'amount' => $q->money((float) $about->amountMinor),
                    'quantity' => match ($supply->unit()) {
                        SupplyUnit::Piece => $q->number($about->quantity),
                        SupplyUnit::Gram => $q->mass($about->quantity),
                        default => $q->volume($about->quantity),
                    },
                ]),
            'acted' => fn(): string => $about->act === null
                ? ''
                : $this->translator->say("strip.acted.{$about->act}", [
                        'jar' => $this->translator->names->jar($about->jar),
                        'ml' => $q->volume((float) $about->ml),
                        'solvent' => $about->solvent === null ? '' : $this->translator->say("strip.solvent.{$about->solvent}"),
                    ]) . ($about->name === null ? '' : $this->translator->say('strip.acted.turn', ['jar' => $about->name])),
            'bathed' => fn(): string => $about->bath === null
                ? ''
                : $this->translator->say("pot.done.{$about->bath}", [
                    'pot' => $this->translator->names->pot($about->pot),
                    'grams' => $about->grams === null ? '' : $q->mass($about->grams),
                    'celsius' => $about->celsius === null ? '' : $q->temperature($about->celsius),
                ]),
        ];
    }

    private function arrived(About $about): string
    {
        $names = $this->translator->names;
        $chains = $names->chains($about->chains ?? []);
        $parts = (int) $about->parts > 0 ? trans_choice('history.parts', (int) $about->parts) : '';

        return implode(', ', array_filter([$chains === '' ? implode(', ', array_map($names->bike(...), $about->bikes)) : $chains, $parts]));
    }

    private function day(string $date): string
    {
        return $this->translator->quantities->day(LocalDay::named($date, $this->translator->zone())->startS());
    }

    private function wear(About $about): string
    {
        $reading = $about->reading();

        return $reading === null ? '' : $this->chainWords->elongation($reading);
    }

    /** @param array<string, array{mixed, mixed}> $changed */
    private function changed(array $changed): string
    {
        return implode(
            ', ',
            array_map(
                fn(string $key, array $values) => $this->translator->say($values[0] === null ? 'history.setting' : 'history.setting_was', [
                    'name' => $this->translator->say('settings.' . SettingKey::from($key)->value),
                    'value' => $this->setting(SettingKey::from($key), $values[1]),
                    'was' => $this->setting(SettingKey::from($key), $values[0]),
                ]),
                array_keys($changed),
                $changed,
            ),
        );
    }

    /** One of a list. */
    private function entry(SettingKey $key, mixed $one): string
    {
        $q = $this->translator->quantities;

        return match (true) {
            is_array($one) => implode(': ', array_map(fn(mixed $km) => $q->distance(is_numeric($km) ? (float) $km : 0.0), $one)),
            is_string($one) => $this->day($one),
            in_array($key, [SettingKey::WeekSummer, SettingKey::WeekWinter], true) && is_numeric($one) => $q->distance(
                (float) $one,
                fmod((float) $one, 1.0) > 0.05 ? 1 : 0,
            ),
            $key === SettingKey::PlanWeekdays && is_int($one) => $this->translator->weekday($one),
            default => is_numeric($one) ? $q->number((float) $one) : '',
        };
    }

    private function factors(DeclinedFactors $declined): string
    {
        $one = fn(string $condition, float $factor): string => $this->translator->say("chain.condition.{$condition}") .
            ' ' .
            $this->translator->quantities->number($factor, 1);

        return implode(', ', array_map($one, array_keys($declined->factors), $declined->factors)) ?: $this->translator->say('words.none');
    }

    private function setting(SettingKey $key, mixed $value): string
    {
        $q = $this->translator->quantities;

        return match (true) {
            $key === SettingKey::FactorsDeclined && is_array($value) => $this->factors(DeclinedFactors::ofPairs($value)),
            is_array($value) => implode(', ', array_map(fn(mixed $one) => $this->entry($key, $one), $value)) ?:
            $this->translator->say('words.none'),
            $value === null || !is_scalar($value) => $this->translator->say('words.none'),
            in_array(
                $key,
                [
                    SettingKey::IntervalKm,
                    SettingKey::UsualIntervalKm,
                    SettingKey::TargetLifeKm,
                    SettingKey::DeclinedKm,
                    SettingKey::ChainDripKm,
                    SettingKey::PlainDripEveryKm,
                    SettingKey::PlainDripLifeKm,
                ],
                true,
            )
                => $q->distance((float) $value),
            $key === SettingKey::IntervalHours => $q->hours((float) $value),
            in_array($key, [SettingKey::LimitSchool, SettingKey::UsualLimitSchool], true) => $this->translator->say(
                "schools.{$value}.name",
            ),
            $key === SettingKey::Weather => $this->translator->say("ui.weather.kind.{$value}"),
            $key === SettingKey::Clock => $this->translator->say("ui.settings.clocks.{$value}"),
            $key === SettingKey::FirstDay => $this->translator->weekday((int) $value, 'EEEE'),
            $key === SettingKey::ReadySchool => $this->translator->say("schools.ready.{$value}"),
            $key === SettingKey::ChainHome => $this->translator->names->bike((int) $value),
            in_array($key, [SettingKey::ChainPrice, SettingKey::LinkPrice, SettingKey::PartPrice, SettingKey::HourPrice], true)
                => $q->money((float) $value),
            $key === SettingKey::ChainMassG => $q->mass((float) $value),
            $key === SettingKey::ChainLoad => $this->translator->say("strip.load.{$value}"),
            $key === SettingKey::ChainJoint => $this->translator->say("ui.size.{$value}"),
            $key === SettingKey::DripCleanSchool => $this->translator->say("drip.clean.{$value}"),
            $key === SettingKey::ExcessSchool => $this->translator->say("drip.excess.{$value}"),
            in_array($key, [SettingKey::ByEar, SettingKey::DripOnly, SettingKey::OnTrainer], true) => $this->translator->say(
                $value ? 'ui.device.yes' : 'ui.device.no',
            ),
            $key === SettingKey::ChainDirectional => $this->translator->say($value ? 'ui.device.yes' : 'ui.device.no'),
            str_starts_with($key->value, 'factor.') => $q->number((float) $value, 1),
            default => (string) $value,
        };
    }
}
