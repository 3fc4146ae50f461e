<?php

declare(strict_types=1);

namespace Dripel\Core\Weather;

use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Input\CsvText;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Input\IsoTime;

/**
 * Rain from a table as weather stations and archives write it: a column of times and one of mm, an hour a row or less. Times have an
 * offset, or are those of the workshop. What falls within one hour is added up; a time that comes twice counts once, as it was said last.
 */
final readonly class RainTable
{
    public const MOST_ROWS = 100_000;

    /** More than any hour has ever been known to bring, in mm (from memory: Holt, Missouri, 1947, 305 mm in 42 minutes). */
    public const MOST_MM = 400.0;

    /** The end of the year 9999: later than any table writes. */
    private const LAST_S = 253_402_300_799;

    private const TIMES = ['time', 'datetime', 'date', 'hour', 'utc'];

    private const AMOUNTS = ['rain', 'precipitation', 'rainfall', 'mm'];

    /** Year, month, day, hour and minute, by the clock on the wall. */
    private const LOCAL = '/^(\d{4}-\d\d-\d\d)[ T](\d\d):(\d\d)(?::\d\d)?$/D';

    /** @param array<int, float> $mm by the beginning of the hour, Unix seconds, in order of time */
    public function __construct(public array $mm) {}

    /** @throws InvalidInput at `file`, with the line and how to mend it */
    public static function of(string $bytes, DateTimeZone $zone): self
    {
        $csv = CsvText::of($bytes);
        $header = $csv->header();
        [$time, $amount] = [self::column($header, self::TIMES), self::column($header, self::AMOUNTS)];
        if ($time === null || $amount === null || $time === $amount) {
            throw new InvalidInput('file', 'needs a column named time and one named mm in its first row');
        }
        $byTime = [];
        foreach ($csv->rows() as [$line, $cells]) {
            if (count($byTime) >= self::MOST_ROWS) {
                throw new InvalidInput('file', 'has more than ' . self::MOST_ROWS . ' rows: take it in parts');
            }
            if (($cells[$amount] ?? '') !== '') {
                $byTime[self::instantS($cells[$time] ?? '', $zone, $line)] = self::mm($cells[$amount], $line);
            }
        }
        $mm = [];
        foreach ($byTime as $atS => $one) {
            $hourS = $atS - ($atS % Rain::HOUR_S);
            $mm[$hourS] = ($mm[$hourS] ?? 0.0) + $one;
            $mm[$hourS] <= self::MOST_MM || throw new InvalidInput('file', 'has more than 400 mm in one hour: is its column in mm?');
        }
        ksort($mm);

        return $mm === [] ? throw new InvalidInput('file', 'has no row with a time and an amount') : new self($mm);
    }

    /**
     * From runs of hours that follow one another, each with the beginning of its first: `rain` of a workshop's file.
     *
     * @throws InvalidInput at `rain.N.at` unless it is the beginning of an hour from 1970 to 9999, at `rain.N.mm.N` unless 0 to 400 mm
     */
    public static function from(Fields $in): self
    {
        $mm = [];
        $in->list('rain', function (Fields $run) use (&$mm): void {
            $hourS = $run->only('at', 'mm')->whole('at');
            ($hourS >= 0 && $hourS <= self::LAST_S && $hourS % Rain::HOUR_S === 0) ||
                throw new InvalidInput('at', 'must be the beginning of an hour of the years 1970 to 9999');
            foreach ($run->numbers('mm') as $n => $one) {
                ($one >= 0.0 && $one <= self::MOST_MM) || throw new InvalidInput("mm.{$n}", 'must be from 0 to 400 mm');
                $mm[$hourS + $n * Rain::HOUR_S] = $one;
            }
        });
        ksort($mm);

        return new self($mm);
    }

    /** @return list<array{at: int, mm: list<float>}> the first hour of each run, and what fell in it and in those after it */
    public function runs(): array
    {
        $runs = [];
        foreach ($this->mm as $atS => $one) {
            $last = array_key_last($runs);
            if ($last !== null && $runs[$last]['at'] + count($runs[$last]['mm']) * Rain::HOUR_S === $atS) {
                $runs[$last]['mm'][] = $one;
            } else {
                $runs[] = ['at' => $atS, 'mm' => [$one]];
            }
        }

        return $runs;
    }

    /**
     * @param list<string> $header
     * @param list<string> $names the likeliest first
     */
    private static function column(array $header, array $names): ?int
    {
        foreach ($names as $name) {
            foreach ($header as $index => $title) {
                if (preg_match("/(^|[^a-z]){$name}([^a-z]|$)/", $title) === 1) {
                    return $index;
                }
            }
        }

        return null;
    }

    private static function instantS(string $text, DateTimeZone $zone, int $line): int
    {
        if (preg_match(self::LOCAL, $text, $m) === 1) {
            [$year, $month, $day] = array_map(intval(...), explode('-', $m[1]));
            if (checkdate($month, $day, $year) && $m[2] < '24' && $m[3] < '60') {
                return (new DateTimeImmutable("{$m[1]} {$m[2]}:{$m[3]}", $zone))->getTimestamp();
            }
        }
        try {
            return (int) IsoTime::parse('file', $text)->unixSeconds;
        } catch (InvalidInput) {
            throw new InvalidInput('file', "line {$line}: write the time as 2026-11-25 18:00, or as 2026-11-25T18:00:00Z");
        }
    }

    private static function mm(string $text, int $line): float
    {
        $number = str_replace(',', '.', $text);
        if (!is_numeric($number) || $number < 0.0 || $number > self::MOST_MM) {
            throw new InvalidInput('file', "line {$line}: write the rain as mm from 0 to 400, not as \"" . mb_substr($text, 0, 20) . '"');
        }

        return (float) $number;
    }
}
