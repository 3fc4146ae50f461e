<?php

declare(strict_types=1);

namespace App\Text;

use DateTimeZone;
use Dripel\Core\Logbook\Distance;
use NumberFormatter;

/** Figures as a person writes them: 254 km, 0.21 %, 1 h 20, Sun 29 Nov. In the workshop's units, zone and language. */
final class Quantities
{
    /** Less than this no scale of the bench senses. */
    private const LEAST_MASS = ['g' => 0.01, 'oz' => 0.001];

    private const MM_PER_INCH = 25.4;

    /** @var array<string, NumberFormatter> by language and decimals: one takes longer to make than a hundred figures */
    private static array $formatters = [];

    private ?NumberFormatter $moneyFormatter = null;

    public readonly Dates $dates;

    public function __construct(public readonly Units $units, public readonly DateTimeZone $zone, private readonly string $language = 'en')
    {
        $this->dates = new Dates($zone, $language);
    }

    public function number(float $value, int $decimals = 0): string
    {
        $formatter = self::$formatters["{$this->language} {$decimals}"] ??= $this->formatter($decimals);
        // No "-0".
        $rounded = round($value, $decimals) + 0.0;

        return str_replace('-', '−', (string) $formatter->format($rounded));
    }

    public function distance(float $km, int $decimals = 0): string
    {
        return $this->number($this->units->fromKm($km), $decimals) . "\u{a0}" . $this->units->distance;
    }

    /** A round figure of the trade, in another unit to three digits. */
    public function about(float $km): string
    {
        $shown = $this->units->fromKm($km);
        $step = $shown === $km || $shown <= 0.0 ? 1.0 : 10 ** max(0, (int) floor(log10($shown)) - 2);

        return $this->number($step * round($shown / $step)) . "\u{a0}" . $this->units->distance;
    }

    /** Of something in the hand: mm, or inches where roads are measured in miles. */
    public function length(float $mm): string
    {
        return $this->units->distance === 'mi' ? $this->number($mm / self::MM_PER_INCH, 1) . "\u{a0}in" : $this->number($mm) . "\u{a0}mm";
    }

    /** What has been ridden, or "at least" so much where nobody knows the whole. */
    public function ridden(Distance $distance, int $decimals = 0): string
    {
        $figure = $this->distance($distance->km, $decimals);

        return $distance->whole ? $figure : (string) __('words.at_least', ['figure' => $figure]);
    }

    /** Wax that is left is never rounded up. */
    public function left(float $km): string
    {
        return $this->number(floor($this->units->fromKm($km) + 1e-9)) . "\u{a0}" . $this->units->distance;
    }

    public function percent(float $percent): string
    {
        return $this->number($percent, 2) . "\u{a0}%";
    }

    /** A mark or limit, as it is printed on a gauge: 0.5 %, 0.75 %. */
    public function mark(float $percent): string
    {
        return $this->number($percent, abs(10 * $percent - round(10 * $percent)) < 1e-6 ? 1 : 2) . "\u{a0}%";
    }

    public function hours(float $hours): string
    {
        $minutes = (int) round(60 * abs($hours));
        [$whole, $rest] = [intdiv($minutes, 60), $minutes % 60];

        return match (true) {
            $whole === 0 => "{$rest}\u{a0}min",
            $rest === 0 => "{$whole}\u{a0}h",
            default => sprintf("%d\u{a0}h\u{a0}%02d", $whole, $rest),
        };
    }

    public function volume(float $ml, int $decimals = 0): string
    {
        return $ml < 1000
            ? $this->number($ml, $decimals) . "\u{a0}ml"
            : $this->number($ml / 1000, fmod($ml, 1000.0) < 0.5 ? 0 : (fmod($ml, 100.0) < 0.5 ? 1 : 2)) . "\u{a0}l";
    }

    /** Residues span many orders of magnitude: two figures that count, in grams or ounces. */
    public function mass(float $grams): string
    {
        $amount = $this->units->fromGrams($grams);
        $least = self::LEAST_MASS[$this->units->mass];
        if ($amount > 0.0 && $amount < $least) {
            return (string) __('words.less_than', [
                'figure' => $this->number($least, $this->units->mass === 'g' ? 2 : 3) . "\u{a0}{$this->units->mass}",
            ]);
        }
        $decimals = $amount <= 0.0 ? 0 : max(0, min(3, 1 - (int) floor(log10($amount))));

        return $this->number($amount, $decimals) . "\u{a0}{$this->units->mass}";
    }

    public function temperature(float $celsius, int $decimals = 0): string
    {
        return $this->number($this->units->fromCelsius($celsius), $decimals) . "\u{a0}°{$this->units->temperature}";
    }

    /** @param float $minor in minor units of the workshop's currency */
    public function money(float $minor): string
    {
        return (string) $this->moneyFormatter()->formatCurrency($minor / 10 ** $this->exponent(), $this->units->currency);
    }

    /** An amount as it stands in a field: empty for nothing. */
    public function amount(?float $minor): string
    {
        return $minor === null || $minor === 0.0 ? '' : (string) ($minor / 10 ** $this->exponent());
    }

    /** An amount as a person writes it, in minor units. */
    public function toMinor(float $amount): int
    {
        return (int) round($amount * 10 ** $this->exponent());
    }

    /** How many decimals the workshop's currency has: 2 for most, 0 for some. */
    public function exponent(): int
    {
        return (int) $this->moneyFormatter()->getAttribute(NumberFormatter::FRACTION_DIGITS);
    }

    /** Seconds on a timer: 13 min, 1 min 30, 10 h. */
    public function seconds(int $seconds): string
    {
        return match (true) {
            $seconds >= 3600 => $this->hours($seconds / 3600),
            $seconds % 60 === 0 => intdiv($seconds, 60) . "\u{a0}min",
            $seconds < 60 => "{$seconds}\u{a0}s",
            default => sprintf("%d\u{a0}min\u{a0}%02d", intdiv($seconds, 60), $seconds % 60),
        };
    }

    public function day(int $unixS): string
    {
        return $this->date($unixS, 'EEE d MMM');
    }

    /** "Wed 25 Nov 2026, 12:20" */
    public function dayAndTime(int $unixS): string
    {
        return $this->date($unixS, 'EEE d MMM y') . ', ' . $this->time($unixS);
    }

    public function time(int $unixS): string
    {
        return $this->date($unixS, $this->units->clock === '12' ? 'h:mm a' : 'HH:mm');
    }

    /** @param string $pattern of Unicode's symbols (Dates) */
    public function date(int $unixS, string $pattern): string
    {
        return $this->dates->write($unixS, $pattern);
    }

    private function moneyFormatter(): NumberFormatter
    {
        if ($this->moneyFormatter === null) {
            $this->moneyFormatter = new NumberFormatter($this->language, NumberFormatter::CURRENCY);
            $this->moneyFormatter->setTextAttribute(NumberFormatter::CURRENCY_CODE, $this->units->currency);
        }

        return $this->moneyFormatter;
    }

    private function formatter(int $decimals): NumberFormatter
    {
        $formatter = new NumberFormatter($this->language, NumberFormatter::DECIMAL);
        $formatter->setAttribute(NumberFormatter::FRACTION_DIGITS, $decimals);

        return $formatter;
    }
}
