<?php

declare(strict_types=1);

namespace App\Ride;

use App\Models\RideImport;
use App\Models\Workshop;
use DateTimeZone;
use Dripel\Core\Input\CsvText;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Ride\RideColumns;
use Dripel\Core\Ride\RideRow;

/** A table of rides that was dropped: its columns, as they were said last time for such a table or as they seem, and its rows. */
final readonly class RideTable
{
    public const MOST_ROWS = 5000;

    private const SAMPLE = 20;

    private function __construct(private CsvText $csv) {}

    /** @throws InvalidInput at `file` */
    public static function of(RideImport $import): self
    {
        return new self(CsvText::of((string) file_get_contents($import->path())));
    }

    /** @return list<string> */
    public function header(): array
    {
        return $this->csv->header();
    }

    /** @return list<list<string>> the first rows */
    public function sample(int $most = self::SAMPLE): array
    {
        $rows = [];
        foreach ($this->csv->rows() as [, $cells]) {
            if (count($rows) >= $most) {
                break;
            }
            $rows[] = $cells;
        }

        return $rows;
    }

    /** @return array{at: array<string, int>, distance: string, duration: string, dayFirst: bool, remembered: bool} */
    public function proposed(Workshop $workshop): array
    {
        $kept = $workshop->ride_columns[$this->signature()] ?? null;

        return $kept === null
            ? RideColumns::guess($this->header(), $this->sample()) + ['remembered' => false]
            : $kept + ['remembered' => true];
    }

    public function remember(Workshop $workshop, RideColumns $columns): void
    {
        $workshop->update([
            'ride_columns' =>
                [
                    $this->signature() => [
                        'at' => $columns->at,
                        'distance' => $columns->distance,
                        'duration' => $columns->duration,
                        'dayFirst' => $columns->dayFirst,
                    ],
                ] +
                ($workshop->ride_columns ?? []),
        ]);
    }

    /**
     * @return array{rides: list<RideRow>, faults: list<array{line: int, column: string, why: string}>}
     *
     * @throws InvalidInput at `file` for more rows than are taken at once
     */
    public function read(RideColumns $columns, DateTimeZone $zone): array
    {
        [$rides, $faults] = [[], []];
        foreach ($this->csv->rows() as [$line, $cells]) {
            count($rides) + count($faults) < self::MOST_ROWS ||
                throw new InvalidInput('file', 'has more than ' . self::MOST_ROWS . ' rides: take the table in parts');
            try {
                $rides[] = RideRow::read($line, $cells, $columns, $zone);
            } catch (InvalidInput $e) {
                $faults[] = ['line' => $line, 'column' => $e->path, 'why' => $e->getMessage()];
            }
        }

        return ['rides' => $rides, 'faults' => $faults];
    }

    private function signature(): string
    {
        return substr(hash('sha256', implode("\n", $this->header())), 0, 16);
    }
}
