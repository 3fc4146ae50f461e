<?php

declare(strict_types=1);

namespace App\Arriving;

use App\Actions\Arriving\ArrivingBike;
use App\Models\Bike;
use App\Models\Workshop;
use App\Text\Names;
use App\Text\Units;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;

/**
 * Many used parts at once, one a row of a CSV table: comma, semicolon or tab; point or decimal comma; empty is unknown.
 * Bikes that are not in the workshop yet come along.
 */
final readonly class PartsTable
{
    public const COLUMNS = [
        'bike',
        'part',
        'letter',
        'speeds',
        'pitches',
        'distance',
        'since_wax',
        'wear_pct',
        'closings',
        'closings_allowed',
        'on_bike',
    ];

    /** More than anybody hangs in a shed. */
    private const MAX_ROWS = 500;

    /**
     * @param list<PartsRow> $rows
     * @param string|null $problem what is wrong with the table as a whole
     */
    private function __construct(public array $rows, public ?string $problem) {}

    public static function template(): string
    {
        return implode("\n", [
            implode(',', self::COLUMNS),
            'Heron,chain,A,12,116,2100,120,0.21,2,5,yes',
            'Heron,chain,B,12,116,1800,unknown,,,,no',
            'Heron,chain,C,12,116,,none,,,,no',
            'Heron,cassette,,,,8400,,,,,yes',
            'Heron,ring,,,,,,,,,yes',
        ]) . "\n";
    }

    public static function read(string $text, Units $units): self
    {
        $text =
            preg_replace(
                '/^\x{FEFF}/u',
                '',
                mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252'),
            ) ?? '';
        $lines = array_values(array_filter(preg_split('/\R/', $text) ?: [], fn(string $line) => trim($line, " \t,;") !== ''));
        if ($lines === []) {
            return new self([], 'empty');
        }
        $separator = self::separator($lines[0]);
        $header = array_map(fn(?string $name) => mb_strtolower(trim((string) $name)), str_getcsv($lines[0], $separator, '"', ''));
        if (array_diff(['bike', 'part'], $header) !== []) {
            return new self([], 'header');
        }
        if (array_diff($header, self::COLUMNS) !== []) {
            return new self([], 'unknown_columns');
        }
        if (count($lines) - 1 > self::MAX_ROWS) {
            return new self([], 'too_long');
        }
        $rows = [];
        foreach (array_slice($lines, 1) as $i => $line) {
            $cells = array_map(fn(?string $cell) => trim((string) $cell), str_getcsv($line, $separator, '"', ''));
            $rows[] = PartsRow::read(
                $i + 2,
                array_combine($header, array_slice(array_pad($cells, count($header), ''), 0, count($header))),
                count($cells) > count($header),
                $units,
            );
        }

        return new self($rows, $rows === [] ? 'empty' : null);
    }

    public function faultless(): bool
    {
        return $this->problem === null && array_filter($this->rows, fn(PartsRow $row) => $row->errors !== []) === [];
    }

    /** @return list<ArrivingBike> bikes known by name, else new ones with the usual settings */
    public function arrivals(Workshop $workshop, Book $book): array
    {
        $names = new Names($book->settings);
        $known = [];
        foreach ($book->bikeIds as $id) {
            $known[mb_strtolower($names->bike($id))] = $id;
        }
        $byBike = [];
        foreach ($this->rows as $row) {
            $byBike[mb_strtolower($row->bike)][] = $row;
        }

        return array_map(
            fn(array $rows, string $name) => new ArrivingBike(
                isset($known[$name])
                    ? Bike::query()->in($workshop)->findOrFail($known[$name])
                    : [
                        SettingKey::BikeName->value => $rows[0]->bike,
                        SettingKey::BikeKind->value => 'road',
                        SettingKey::BikeSpeeds->value => max(array_map(fn(PartsRow $row) => $row->speeds ?? 1, $rows)),
                        SettingKey::IntervalKm->value => $book->settings->usualIntervalKm(),
                        SettingKey::LimitSchool->value => $book->settings->usualLimitSchool()->value,
                    ],
                array_map(fn(PartsRow $row) => $row->part(), $rows),
            ),
            $byBike,
            array_map(strval(...), array_keys($byBike)),
        );
    }

    private static function separator(string $line): string
    {
        $counts = array_map(fn(string $separator) => substr_count($line, $separator), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
