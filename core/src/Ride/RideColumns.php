<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\InvalidInput;

/** Which column of a table holds what, in which units, and how its days are written. */
final readonly class RideColumns
{
    public const DISTANCES = ['km' => 1.0, 'mi' => 1.609344, 'm' => 0.001];

    /** To hours. */
    public const DURATIONS = ['h' => 1.0, 'min' => 1.0 / 60.0, 's' => 1.0 / 3600.0];

    /**
     * @param array<string, int> $at index by RideColumn
     *
     * @throws InvalidInput at `start` or `distance` where that column is not said, at the units
     */
    public function __construct(
        public array $at,
        public string $distance = 'km',
        public string $duration = 'h',
        /** 03/04 is the third of April. */
        public bool $dayFirst = true,
    ) {
        foreach ([RideColumn::Start, RideColumn::Distance] as $needed) {
            isset($at[$needed->value]) || throw new InvalidInput($needed->value, 'must be one of the columns: without it there is no ride');
        }
        isset(self::DISTANCES[$distance]) || throw new InvalidInput('distance_unit', 'must be km, mi or m');
        isset(self::DURATIONS[$duration]) || throw new InvalidInput('duration_unit', 'must be h, min or s');
    }

    /**
     * What the names of the columns say: a proposal.
     *
     * @param list<string> $header in small letters
     * @param list<list<string>> $sample rows
     *
     * @return array{at: array<string, int>, distance: string, duration: string, dayFirst: bool}
     */
    public static function guess(array $header, array $sample): array
    {
        $at = [];
        foreach (RideColumn::cases() as $column) {
            foreach ($column->words() as $word) {
                foreach ($header as $index => $name) {
                    if (
                        !isset($at[$column->value]) &&
                        !in_array($index, $at, true) &&
                        preg_match('/(^|[^\p{L}])' . preg_quote($word, '/') . '([^\p{L}]|$)/u', $name) === 1
                    ) {
                        $at[$column->value] = $index;
                    }
                }
            }
        }
        $called = fn(RideColumn $column): string => isset($at[$column->value]) ? $header[$at[$column->value]] : '';
        $days = isset($at['start']) ? array_map(fn(array $row) => $row[$at['start']] ?? '', $sample) : [];
        $monthFirst =
            array_filter($days, fn(string $day) => preg_match('~^\d{1,2}/(\d{1,2})/~', $day, $m) === 1 && (int) $m[1] > 12) !== [];

        return [
            'at' => $at,
            'distance' => self::unit($called(RideColumn::Distance), ['/\bmi(les)?\b/' => 'mi', '/[\(_ ]m(etres|eters)?\)?$/' => 'm'], 'km'),
            'duration' => self::unit(
                $called(RideColumn::Duration),
                ['/[\(_ ]s(ec(onds)?)?\)?$/' => 's', '/[\(_ ]min(utes)?\)?$/' => 'min'],
                'h',
            ),
            'dayFirst' => !$monthFirst,
        ];
    }

    /** @param array<string, string> $units by the pattern of a column's name */
    private static function unit(string $name, array $units, string $default): string
    {
        foreach ($units as $pattern => $unit) {
            if (preg_match($pattern, $name) === 1) {
                return $unit;
            }
        }

        return $default;
    }
}
