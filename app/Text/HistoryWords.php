<?php

declare(strict_types=1);

namespace App\Text;

use App\Logbook\ActionKind;
use App\Models\Action;
use Dripel\Core\Logbook\SettingKey;
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
            in_array($action->kind, [ActionKind::DeleteEntry, ActionKind::MoveEntry], true) => "{$action->kind->value}.{$about['type']}",
            default => $action->kind->value,
        };

        return $this->voice->say("history.{$code}", $this->parameters($about));
    }

    /** The same in short, for the one who just did it. */
    public function done(Action $action): string
    {
        $code = $action->kind === ActionKind::FitChain && ($action->about['chain'] ?? null) === null ? 'fit_none' : $action->kind->value;

        return $this->voice->say("done.{$code}", $this->parameters($action->about));
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
            'bike' => $names->bike($about['bike'] ?? null),
            'chain' => is_int($about['chain'] ?? null) ? $names->fullChain($about['chain']) : '',
            'letter' => is_int($about['chain'] ?? null) ? $names->chain($about['chain']) : '',
            'off' => is_int($about['off'] ?? null) ? $names->chain($about['off']) : '',
            'chains' => $names->chains($about['chains'] ?? []),
            'km' => is_numeric($about['km'] ?? null) ? $q->distance((float) $about['km'], $about['km'] < 100 && fmod((float) $about['km'], 1.0) > 0.05 ? 1 : 0) : '',
            'was' => is_numeric($about['was']['km'] ?? null) ? $q->distance((float) $about['was']['km']) : '',
            'condition' => isset($about['condition']) ? $this->voice->say("chain.condition.{$about['condition']}") : '',
            'loud' => ($about['loud'] ?? false) === true ? $this->voice->say('history.loud') : '',
            'wear' => $this->wear($about),
            'at' => $at('at'),
            'to' => $at('to'),
            'changed' => $this->changed($about['changed'] ?? []),
            'past' => ($about['past'] ?? false) === true ? $this->voice->say('history.past') : '',
        ];
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

    private function setting(SettingKey $key, mixed $value): string
    {
        $q = $this->voice->quantities;

        return match (true) {
            $value === null || ! is_scalar($value) => $this->voice->say('words.none'),
            $key === SettingKey::IntervalKm => $q->distance((float) $value),
            $key === SettingKey::IntervalHours => $q->hours((float) $value),
            $key === SettingKey::LimitSchool => $this->voice->say("schools.{$value}.name"),
            $key === SettingKey::ChainHome => $this->voice->names->bike((int) $value),
            str_starts_with($key->value, 'factor.') => $q->number((float) $value, 1),
            default => (string) $value,
        };
    }
}
