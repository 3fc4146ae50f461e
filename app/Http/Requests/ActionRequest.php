<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Logbook\ActionContext;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use App\Text\Duration;
use App\Text\Shown;
use App\Text\Translator;
use App\Text\Units;
use Dripel\Core\Logbook\Moment;
use Illuminate\Foundation\Http\FormRequest;

/** A form that does something: it brings the id of its action, ids of this workshop only, and values in its units. */
abstract class ActionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['action_id' => ['required', 'uuid']] + $this->fields();
    }

    /** @return array<string, mixed> */
    abstract protected function fields(): array;

    /** Another workshop's ids are not found, whatever else is wrong with the form. */
    protected function prepareForValidation(): void
    {
        $named = fn(string $field) => array_filter((array) $this->input($field), is_scalar(...));
        array_map($this->find()->bike(...), $named('bike_id'));
        array_map($this->find()->chain(...), [...$named('chain_id'), ...$named('chains')]);
        $this->tidyNumbers();
    }

    /** "1,5" and "25 000" are numbers wherever one is asked for: by the rule of the field. */
    protected function tidyNumbers(): void
    {
        $this->replace(self::withDecimalPoints($this->all(), array_keys(array_filter($this->fields(), self::isNumber(...)))));
    }

    /** Whether a field takes a number, by its own rule. */
    public static function isNumber(mixed $rules): bool
    {
        return array_intersect(
            ['numeric', 'integer'],
            is_string($rules) ? explode('|', $rules) : (is_array($rules) ? array_filter($rules, is_string(...)) : []),
        ) !== [];
    }

    /**
     * @param array<array-key, mixed> $input
     * @param list<string> $fields those that take numbers, dotted, with stars for any key
     *
     * @return array<array-key, mixed> "1,5" there as "1.5"
     */
    private static function withDecimalPoints(array $input, array $fields): array
    {
        foreach ($fields as $field) {
            [$key, $rest] = [...explode('.', $field, 2), null];
            foreach ($key === '*' ? array_keys($input) : array_intersect(array_keys($input), [$key]) as $one) {
                $input[$one] = match (true) {
                    $rest !== null => is_array($input[$one]) ? self::withDecimalPoints($input[$one], [$rest]) : $input[$one],
                    is_string($input[$one]) => preg_match('/^\s*[+-]?[\d\s]*([.,]\d+)?\s*$/u', $input[$one]) === 1
                        ? str_replace(',', '.', (string) preg_replace('/\s+/u', '', $input[$one]))
                        : $input[$one],
                    default => $input[$one],
                };
            }
        }

        return $input;
    }

    protected function find(): Find
    {
        return app(Find::class);
    }

    public function context(): ActionContext
    {
        return new ActionContext(
            $this->workshop(),
            app(CurrentWorkshop::class)->user(),
            $this->string('action_id')->lower()->toString(),
            $this->sent(),
        );
    }

    private function sent(): string
    {
        $content = $this->except(['action_id', '_token', '_method', 'preview', ...array_keys($this->allFiles())]);

        return sha1($this->path() . json_encode(self::sorted($content)));
    }

    private static function sorted(mixed $content): mixed
    {
        if (!is_array($content)) {
            return is_scalar($content) ? (string) $content : $content;
        }
        array_is_list($content) || ksort($content);

        return array_map(self::sorted(...), $content);
    }

    public function workshop(): Workshop
    {
        return app(CurrentWorkshop::class)->workshop();
    }

    public function translator(): Translator
    {
        return Translator::of($this->workshop(), app(ReadBook::class), app(AppClock::class)->unixS());
    }

    public function bike(): Bike
    {
        return $this->find()->bike($this->integer('bike_id'));
    }

    public function bikeIfNamed(): ?Bike
    {
        return $this->find()->bikeIfNamed($this->input('bike_id'));
    }

    public function chain(): ?Chain
    {
        return $this->find()->chainIfNamed($this->input('chain_id'));
    }

    public function km(string $field = 'distance'): float
    {
        return Units::of($this->translator()->settings)->toKm($this->float($field));
    }

    /**
     * What may be left out: null is unknown.
     *
     * @param float|null $storedKm what the field showed, rounded to so many decimals: it stays as it is while it reads the same
     */
    public function kmIfNamed(string $field, ?float $storedKm = null, int $decimals = 1): ?float
    {
        $km = $this->filled($field) ? $this->km($field) : null;

        return $km !== null &&
            $storedKm !== null &&
            (new Shown(Units::of($this->translator()->settings)))->sameKm($storedKm, $km, $decimals)
            ? $storedKm
            : $km;
    }

    /** Hours as a person writes them; to the minute what is stored stays. */
    public function hoursIfNamed(string $field, ?float $stored = null): ?float
    {
        $hours = $this->filled($field) ? Duration::hours($this->string($field)->toString()) : null;

        return $hours !== null && $stored !== null && round(60 * $stored) === round(60 * $hours) ? $stored : $hours;
    }

    public function moment(): Moment
    {
        $time = $this->input('time');

        return app(Moments::class)->local(
            $this->string('date')->toString(),
            is_string($time) && $time !== '' ? $time : null,
            $this->translator()->zone(),
        );
    }

    /** @return array<string, mixed> a day and a time, both known */
    protected static function dayAndTime(): array
    {
        return ['date' => ['required', 'date_format:Y-m-d'], 'time' => ['required', 'date_format:H:i']];
    }
}
