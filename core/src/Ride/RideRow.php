<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Input\IsoTime;
use Dripel\Core\Interval\Condition;

/** One ride of a table: the day (local, YYYY-MM-DD), the start where its time is known (Unix seconds), km, hours moving. */
final readonly class RideRow
{
    /** Nobody rides further in one go; it would be two rides, or metres. */
    public const MOST_KM = 2000.0;

    private const MOST_HOURS = 240.0;

    private function __construct(
        public int $line,
        public string $date,
        public ?int $startS,
        public float $km,
        public ?float $hours,
        public string $bike,
        public ?Condition $condition,
        public string $name,
    ) {}

    /**
     * @param list<string> $cells
     *
     * @throws InvalidInput at the column, saying how to mend it
     */
    public static function read(int $line, array $cells, RideColumns $columns, DateTimeZone $zone): self
    {
        $cell = fn(RideColumn $column): string => $cells[$columns->at[$column->value] ?? -1] ?? '';
        [$date, $startS] = self::start($cell(RideColumn::Start), $cell(RideColumn::Time), $columns->dayFirst, $zone);
        $km = self::number('distance', $cell(RideColumn::Distance)) * RideColumns::DISTANCES[$columns->distance];
        if ($km <= 0.0 || $km > self::MOST_KM) {
            throw new InvalidInput('distance', 'must be above 0 and at most 2000 km; look at the unit of the column');
        }
        $condition = mb_strtolower($cell(RideColumn::Condition));

        return new self(
            $line,
            $date,
            $startS,
            $km,
            self::hours($cell(RideColumn::Duration), $columns->duration),
            $cell(RideColumn::Bike),
            Condition::tryFrom($condition) ?? self::said($condition),
            $cell(RideColumn::Name),
        );
    }

    /** The same row gives the same text, whatever else stands in its table. */
    public function fingerprint(): string
    {
        return hash('sha256', sprintf('row %s %s %.3f %.3f', $this->date, $this->startS ?? '-', $this->km, $this->hours ?? -1.0));
    }

    /** @return array{string, int|null} */
    private static function start(string $text, string $time, bool $dayFirst, DateTimeZone $zone): array
    {
        $text = trim($text);
        if (preg_match('/T\d\d:\d\d.*(Z|[+-]\d\d:?\d\d)$/', $text) === 1) {
            $startS = (int) IsoTime::parse('start', $text)->unixSeconds;

            return [(new DateTimeImmutable("@{$startS}"))->setTimezone($zone)->format('Y-m-d'), $startS];
        }
        $shapes = [
            '~^(?<y>\d{4})[-./](?<m>\d{1,2})[-./](?<d>\d{1,2})~' => true,
            '~^(?<a>\d{1,2})\.(?<b>\d{1,2})\.(?<y>\d{4})~' => true,
            '~^(?<a>\d{1,2})[/-](?<b>\d{1,2})[/-](?<y>\d{4})~' => $dayFirst,
        ];
        foreach ($shapes as $shape => $first) {
            if (preg_match($shape, $text, $m) === 1) {
                [$day, $month] = isset($m['d'])
                    ? [(int) $m['d'], (int) $m['m']]
                    : ($first
                        ? [(int) $m['a'], (int) $m['b']]
                        : [(int) $m['b'], (int) $m['a']]);
                $year = (int) $m['y'];
                if (!checkdate($month, $day, $year) || $year < 1970 || $year > 2200) {
                    throw new InvalidInput('start', "must be a day that exists, not “{$text}”; is the month first?");
                }
                $date = sprintf('%04d-%02d-%02d', $year, $month, $day);

                return [$date, self::clock($date, $time !== '' ? $time : trim(substr($text, strlen($m[0])), " T,\t"), $zone)];
            }
        }
        throw new InvalidInput('start', $text === '' ? 'must not be empty' : "must be a day like 2026-11-25 or 25.11.2026, not “{$text}”");
    }

    private static function clock(string $date, string $text, DateTimeZone $zone): ?int
    {
        if ($text === '') {
            return null;
        }
        if (preg_match('/^(\d{1,2})[:.h](\d\d)(?::\d\d)?\s*([ap]m)?$/i', $text, $m) !== 1 || (int) $m[1] > 23 || (int) $m[2] > 59) {
            throw new InvalidInput('time', "must be a time like 14:30, not “{$text}”");
        }
        $hour = isset($m[3]) ? ((int) $m[1] % 12) + (strtolower($m[3]) === 'pm' ? 12 : 0) : (int) $m[1];

        return (new DateTimeImmutable("{$date} {$hour}:{$m[2]}", $zone))->getTimestamp();
    }

    /** "1:23", "1:23:45" or a number in the unit of the column; null: unknown. */
    private static function hours(string $text, string $unit): ?float
    {
        if ($text === '') {
            return null;
        }
        $hours =
            preg_match('/^(\d+):([0-5]\d)(?::([0-5]\d))?$/', $text, $m) === 1
                ? (int) $m[1] + (int) $m[2] / 60 + (int) ($m[3] ?? 0) / 3600
                : self::number('duration', $text) * RideColumns::DURATIONS[$unit];

        return $hours >= 0.0 && $hours <= self::MOST_HOURS
            ? ($hours > 0.0
                ? $hours
                : null)
            : throw new InvalidInput('duration', 'must be from 0 to 240 h; look at the unit of the column');
    }

    /** "62.4", "62,4", "1,062.4", "1.062,4 km". */
    private static function number(string $field, string $text): float
    {
        $bare = (string) preg_replace('/[\s\x{00A0}\x{202F}’\']|[\p{L}]+$/u', '', trim($text));
        [$comma, $point] = [strrpos($bare, ','), strrpos($bare, '.')];
        $bare = match (true) {
            $comma !== false && $point !== false && $comma > $point => str_replace(['.', ','], ['', '.'], $bare),
            $comma !== false && $point !== false => str_replace(',', '', $bare),
            default => str_replace(',', '.', $bare),
        };

        return is_numeric($bare)
            ? (float) $bare
            : throw new InvalidInput($field, $text === '' ? 'must not be empty' : "must be a number, not “{$text}”");
    }

    /** Words that say what it was like. */
    private static function said(string $text): ?Condition
    {
        foreach (
            [
                'trainer' => Condition::Indoor,
                'virtual' => Condition::Indoor,
                'rain' => Condition::Wet,
                'mud' => Condition::Muddy,
                'dust' => Condition::Dusty,
            ]
            as $word => $condition
        ) {
            if (str_contains($text, $word)) {
                return $condition;
            }
        }

        return null;
    }
}
