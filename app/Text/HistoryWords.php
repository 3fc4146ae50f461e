<?php

declare(strict_types=1);

namespace App\Text;

use App\Logbook\ActionKind;
use App\Models\Action;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Cost\SupplyUnit;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Wear\WearReadingResult;

/** What somebody did, in one sentence. */
final readonly class HistoryWords
{
    public function __construct(private Voice $voice, private ChainWords $chainWords) {}

    public function sentence(Action $action): string
    {
        $about = $action->about;
        if ($action->kind === ActionKind::Undo) {
            $undone = Action::query()->where('workshop_id', $action->workshop_id)->whereKey($about['undid'])->orderByDesc('revision')->get();

            return $this->voice->say('history.undo', ['what' => $undone->map(fn(Action $a) => lcfirst($this->sentence($a)))->implode('; ')]);
        }
        $code = match (true) {
            $action->kind === ActionKind::FitChain && ($about['chain'] ?? null) === null => 'fit_none',
            $action->kind === ActionKind::FitChain && ($about['off'] ?? null) === null => 'fit_first',
            $action->kind === ActionKind::CorrectFitting && ($about['off'] ?? null) === null => 'correct_fitting_bare',
            in_array($action->kind, [ActionKind::DeleteEntry, ActionKind::MoveEntry], true) => "{$action->kind->value}.{$about['type']}",
            default => $this->plainCode($action),
        };

        return $this->voice->say("history.{$code}", $this->parameters($about));
    }

    /** The same in short, for the one who just did it. */
    public function done(Action $action): string
    {
        $code = $action->kind === ActionKind::FitChain && ($action->about['chain'] ?? null) === null ? 'fit_none' : $this->plainCode($action);

        return $this->voice->say("done.{$code}", ['early' => ($action->about['early'] ?? false) === true ? $this->voice->say('done.early') : ''] + $this->parameters($action->about));
    }

    private function plainCode(Action $action): string
    {
        $firstReading = $action->kind === ActionKind::EstimateDistance && ($action->about['km'] ?? 0) <= 0;

        return match (true) {
            $firstReading => 'estimate_noted',
            $action->kind === ActionKind::KeepInstrument && ($action->about['gone'] ?? false) === true => 'put_instrument_away',
            $action->kind === ActionKind::PlanRide && ($action->about['holiday'] ?? false) === true => 'plan_holiday',
            $action->kind === ActionKind::KeepPlan && ($action->about['by_hand'] ?? false) !== true => 'plan_best',
            $action->kind === ActionKind::KeepBottle && ($action->about['gone'] ?? false) === true => 'bottle_gone',
            $action->kind === ActionKind::PotDay && ($action->about['chains'] ?? []) === [] => 'pot_day_none',
            default => $action->kind->value,
        };
    }

    /**
     * @param array<string, mixed> $about
     *
     * @return array<string, string>
     */
    private function parameters(array $about): array
    {
        $q = $this->voice->quantities;
        $names = $this->voice->names;
        $at = fn(string $key): string => is_int($about[$key] ?? null)
            ? (($about['day'] ?? '') === 'day' && $key === 'at' ? $q->day($about[$key]) : $q->day($about[$key]).', '.$q->time($about[$key]))
            : '';

        return [
            'bike' => array_key_exists('bike', $about) && $about['bike'] === null ? $this->voice->say('history.unnamed_bike') : $names->bike($about['bike'] ?? null),
            'chain' => is_int($about['chain'] ?? null) ? $names->fullChain($about['chain']) : '',
            'letter' => is_int($about['chain'] ?? null) ? $names->chain($about['chain']) : '',
            'off' => is_int($about['off'] ?? null) ? $names->chain($about['off']) : '',
            'chains' => $names->chains($about['chains'] ?? []),
            'km' => is_numeric($about['km'] ?? null) ? $q->distance((float) $about['km'], $about['km'] < 100 && fmod((float) $about['km'], 1.0) > 0.05 ? 1 : 0) : '',
            'was' => is_numeric($about['was']['km'] ?? null) ? $q->distance((float) $about['was']['km']) : '',
            'condition' => isset($about['condition']) ? $this->voice->say("chain.condition.{$about['condition']}") : '',
            'loud' => ($about['loud'] ?? false) === true ? $this->voice->say('history.loud') : '',
            'cared' => isset($about['care']) ? $this->voice->say("history.cared.{$about['care']}", ['chain' => is_int($about['chain'] ?? null) ? $names->fullChain($about['chain']) : '']) : '',
            'pot_days' => implode(', ', array_map($this->day(...), array_filter($about['pot_days'] ?? [], is_string(...)))),
            'early' => ($about['early'] ?? false) === true ? $this->voice->say('history.early') : '',
            'wear' => $this->wear($about),
            'at' => $at('at'),
            'left_ml' => is_numeric($about['left_ml'] ?? null) ? $this->voice->say('history.left_ml', ['ml' => $q->volume((float) $about['left_ml'])]) : '',
            'to' => is_string($about['to'] ?? null) ? $this->day($about['to']) : $at('to'),
            'changed' => $this->changed($about['changed'] ?? []),
            'past' => ($about['past'] ?? false) === true ? $this->voice->say('history.past') : '',
        ] + $this->arrivingAndCatchingUp($about) + $this->stripping($about);
    }

    /**
     * @param array<string, mixed> $about
     *
     * @return array<string, string>
     */
    private function arrivingAndCatchingUp(array $about): array
    {
        $q = $this->voice->quantities;
        $km = fn(string $key): string => is_numeric($about[$key] ?? null) ? $q->distance((float) $about[$key]) : '';
        $count = fn(string $key): string => is_int($about[$key] ?? null) ? trans_choice("history.{$key}", $about[$key]) : '';
        $fromBikes = array_map($this->voice->names->bike(...), $about['bikes'] ?? []);

        return [
            'what' => $this->arrived($about),
            'part' => is_int($about['part'] ?? null) ? ($this->voice->settings->text(SettingKey::PartName, $about['part']) ?: $this->voice->say('ui.parts.quick_link')) : '',
            'before' => is_int($about['before'] ?? null) ? $this->voice->say(($about['replaces'] ?? false) === true ? 'history.part_replaced' : 'history.part_before', ['name' => $this->voice->settings->text(SettingKey::PartName, $about['before'])]) : '',
            'measured' => array_key_exists('value_pct', $about) && is_int($about['off'] ?? null) ? $this->voice->say('history.measured_off', ['off' => $this->voice->names->chain($about['off']), 'wear' => $this->wear($about)]) : '',
            'from' => is_string($about['from'] ?? null) ? $this->day($about['from']) : '',
            'until' => is_string($about['until'] ?? null) ? $this->voice->say('history.until_date', ['date' => $this->day($about['until'])]) : '',
            'each' => is_numeric($about['each'] ?? null) ? $q->distance((float) $about['each'], 1) : '',
            'first' => $km('first'),
            'odometer' => $km('odometer'),
            'days' => $count('days'),
            'rides' => $count('rides'),
            'weekdays' => implode(', ', array_map($this->voice->weekday(...), $about['weekdays'] ?? [])),
            'from_bikes' => $fromBikes === [] ? '' : $this->voice->say('history.from_bikes', ['bikes' => implode(', ', $fromBikes)]),
            'terms' => (($about['new_link'] ?? false) === true ? $this->voice->say('history.new_link') : '')
                .(is_string($about['note'] ?? null) ? $this->voice->say('history.note', ['note' => $about['note']]) : ''),
            'exchange' => ($about['exchange'] ?? false) === true ? $this->voice->say('history.exchange') : '',
        ];
    }

    /**
     * @param array<string, mixed> $about
     *
     * @return array<string, string>
     */
    private function stripping(array $about): array
    {
        $q = $this->voice->quantities;
        $jar = $this->voice->names->jar(is_int($about['jar'] ?? null) ? $about['jar'] : null);
        $supply = Supply::tryFrom((string) ($about['supply'] ?? ''));
        $name = (string) ($about['name'] ?? '');

        return [
            'jar' => $jar,
            'pot' => $this->voice->names->pot(is_int($about['pot'] ?? null) ? $about['pot'] : null),
            'bathed' => $this->bathed($about),
            'name' => $name,
            'school' => isset($about['school']) ? (new StripWords($this->voice))->school((string) $about['school']) : '',
            'baths' => is_int($about['baths'] ?? null) ? trans_choice('history.baths', $about['baths']) : '',
            'links' => is_int($about['count'] ?? null) ? trans_choice('history.links', $about['count'], ['name' => $name]) : '',
            'supply' => $supply === null ? '' : $this->voice->say("strip.supply.{$supply->value}"),
            'priced' => $supply === null || ! isset($about['amount_minor'], $about['quantity']) ? '' : $this->voice->say('strip.priced', [
                'supply' => $this->voice->say("strip.supply.{$supply->value}"),
                'amount' => $q->money((float) $about['amount_minor']),
                'quantity' => $supply->unit() === SupplyUnit::Piece ? $q->number((float) $about['quantity']) : ($supply->unit() === SupplyUnit::Gram ? $q->mass((float) $about['quantity']) : $q->volume((float) $about['quantity'])),
            ]),
            'acted' => ! isset($about['act']) ? '' : $this->voice->say("strip.acted.{$about['act']}", [
                'jar' => $jar, 'ml' => $q->volume((float) ($about['ml'] ?? 0)), 'solvent' => isset($about['solvent']) ? $this->voice->say("strip.solvent.{$about['solvent']}") : '',
            ]),
            'receipt' => is_string($about['note'] ?? null) && isset($about['jar']) ? $this->voice->say('history.note', ['note' => $about['note']]) : '',
        ];
    }

    /** @param array<string, mixed> $about */
    private function bathed(array $about): string
    {
        return ! isset($about['bath']) ? '' : $this->voice->say("pot.done.{$about['bath']}", [
            'pot' => $this->voice->names->pot(is_int($about['pot'] ?? null) ? $about['pot'] : null),
            'grams' => is_numeric($about['grams'] ?? null) ? $this->voice->quantities->mass((float) $about['grams']) : '',
            'celsius' => is_numeric($about['celsius'] ?? null) ? $this->voice->quantities->temperature((float) $about['celsius']) : '',
        ]);
    }

    /** @param array<string, mixed> $about */
    private function arrived(array $about): string
    {
        $names = $this->voice->names;
        $chains = $names->chains($about['chains'] ?? []);
        $parts = is_int($about['parts'] ?? null) && $about['parts'] > 0 ? trans_choice('history.parts', $about['parts']) : '';

        return implode(', ', array_filter([$chains === '' ? implode(', ', array_map($names->bike(...), $about['bikes'] ?? [])) : $chains, $parts]));
    }

    private function day(string $date): string
    {
        return $this->voice->quantities->day(LocalDay::named($date, $this->voice->zone())->startS());
    }

    /** @param array<string, mixed> $about */
    private function wear(array $about): string
    {
        return array_key_exists('value_pct', $about)
            ? $this->chainWords->elongation(new WearReadingResult($about['value_pct'], $about['sigma_pct'], $about['lower_pct'], $about['upper_pct']))
            : '';
    }

    /** @param array<string, array{mixed, mixed}> $changed */
    private function changed(array $changed): string
    {
        return implode(', ', array_map(fn(string $key, array $values) => $this->voice->say('history.setting', [
            'name' => $this->voice->say('settings.'.SettingKey::from($key)->value),
            'value' => $this->setting(SettingKey::from($key), $values[1]),
        ]), array_keys($changed), $changed));
    }

    /** One of a list. */
    private function entry(SettingKey $key, mixed $one): string
    {
        $q = $this->voice->quantities;

        return match (true) {
            is_array($one) => implode(': ', array_map(fn(mixed $km) => $q->distance(is_numeric($km) ? (float) $km : 0.0), $one)),
            is_string($one) => $this->day($one),
            in_array($key, [SettingKey::WeekSummer, SettingKey::WeekWinter], true) && is_numeric($one) => $q->distance((float) $one, fmod((float) $one, 1.0) > 0.05 ? 1 : 0),
            $key === SettingKey::PlanWeekdays && is_int($one) => $this->voice->weekday($one),
            default => is_numeric($one) ? $q->number((float) $one) : '',
        };
    }

    private function setting(SettingKey $key, mixed $value): string
    {
        $q = $this->voice->quantities;

        return match (true) {
            is_array($value) => implode(', ', array_map(fn(mixed $one) => $this->entry($key, $one), $value)) ?: $this->voice->say('words.none'),
            $value === null || ! is_scalar($value) => $this->voice->say('words.none'),
            in_array($key, [SettingKey::IntervalKm, SettingKey::UsualIntervalKm, SettingKey::TargetLifeKm, SettingKey::DeclinedKm, SettingKey::ChainDripKm, SettingKey::PlainDripEveryKm, SettingKey::PlainDripLifeKm], true) => $q->distance((float) $value),
            $key === SettingKey::IntervalHours => $q->hours((float) $value),
            in_array($key, [SettingKey::LimitSchool, SettingKey::UsualLimitSchool], true) => $this->voice->say("schools.{$value}.name"),
            $key === SettingKey::ReadySchool => $this->voice->say("schools.ready.{$value}"),
            $key === SettingKey::ChainHome => $this->voice->names->bike((int) $value),
            in_array($key, [SettingKey::ChainPrice, SettingKey::LinkPrice, SettingKey::PartPrice, SettingKey::HourPrice], true) => $q->money((float) $value),
            $key === SettingKey::ChainMassG => $q->mass((float) $value),
            $key === SettingKey::ChainLoad => $this->voice->say("strip.load.{$value}"),
            $key === SettingKey::ChainJoint => $this->voice->say("ui.size.{$value}"),
            $key === SettingKey::ExcessSchool => $this->voice->say("drip.excess.{$value}"),
            in_array($key, [SettingKey::ByEar, SettingKey::DripOnly, SettingKey::OnTrainer], true) => $this->voice->say($value ? 'ui.device.yes' : 'ui.device.no'),
            $key === SettingKey::ChainDirectional => $this->voice->say($value ? 'ui.device.yes' : 'ui.device.no'),
            str_starts_with($key->value, 'factor.') => $q->number((float) $value, 1),
            default => (string) $value,
        };
    }
}
