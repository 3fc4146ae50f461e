<?php

declare(strict_types=1);

namespace App\Archive;

use App\Logbook\About;
use App\Logbook\EntryType;
use Dripel\Core\Logbook\SettingKey;

/** The ids of a file become ids of this installation, wherever one of them stands. */
final class Renumber
{
    /** What a table's row names by id: column => table. */
    private const REFERENCES = [
        'bike_id' => 'bikes',
        'component_id' => 'components',
        'into_id' => 'components',
        'pot_id' => 'components',
        'instrument_id' => 'components',
        'bottle_id' => 'components',
        'action_id' => 'actions',
        'voided_by' => 'actions',
        'reverted_by' => 'actions',
    ];

    /** @var array<string, array<int|string, int|string>> by table, then by id in the file */
    private array $ids = [];

    public function learn(string $table, int|string $inFile, int|string $here): void
    {
        $this->ids[$table][$inFile] = $here;
    }

    /** @throws NotRestored if the file speaks of a row that it does not hold */
    public function id(string $table, mixed $inFile): int|string
    {
        return (is_int($inFile) || is_string($inFile) ? $this->ids[$table][$inFile] ?? null : null) ??
            throw new NotRestored('dangling', ['table' => $table]);
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    public function row(string $table, array $row): array
    {
        foreach (self::REFERENCES as $column => $of) {
            if (isset($row[$column])) {
                $row[$column] = $this->id($of, $row[$column]);
            }
        }
        if (isset($row['replaces_id'])) {
            $row['replaces_id'] = $this->id($table, $row['replaces_id']);
        }
        if ($table === EntryType::Setting->value && isset($row['value'])) {
            $row['value'] = $this->setting((string) $row['key'], $row['value']);
        }

        return $row;
    }

    /**
     * @param array<string, mixed> $about of an action
     *
     * @return array<string, mixed>
     */
    public function about(array $about): array
    {
        foreach (About::REFERENCES as $key => $table) {
            if (isset($about[$key])) {
                $about[$key] = is_array($about[$key])
                    ? array_map(fn(mixed $id) => $this->id($table, $id), $about[$key])
                    : $this->id($table, $about[$key]);
            }
        }
        if (isset($about['was']['bike'])) {
            $about['was']['bike'] = $this->id('bikes', $about['was']['bike']);
        }
        foreach ((array) ($about['changed'] ?? []) as $key => $values) {
            $about['changed'][$key] = array_map(
                fn(mixed $value) => $value === null ? null : $this->setting((string) $key, $value),
                (array) $values,
            );
        }

        return $about;
    }

    /**
     * @param list<mixed> $effects of an action
     *
     * @return list<array{string, int|string, int|string|null, int|string|null}>
     */
    public function effects(array $effects): array
    {
        return array_map(function (mixed $effect): array {
            if (!is_array($effect) || count($effect) !== 4) {
                throw new NotRestored('malformed', ['table' => 'actions', 'row' => '?']);
            }
            [$table, $id, $before, $after] = array_values($effect);

            return [
                (string) $table,
                $this->id((string) $table, $id),
                $before === null ? null : $this->id('actions', $before),
                $after === null ? null : $this->id('actions', $after),
            ];
        }, $effects);
    }

    /**
     * @param array<string, mixed> $job that was led
     *
     * @return array<string, mixed>
     */
    public function ledWork(array $job): array
    {
        $part = fn(mixed $id): int|string => $this->id('components', $id);
        $each = fn(array $ids): array => array_map($part, $ids);
        $byPart = fn(array $of): array => array_combine($each(array_keys($of)), $of);
        $in = function (array $of, array $keys, callable $as): array {
            foreach ($keys as $key) {
                isset($of[$key]) && ($of[$key] = $as($of[$key]));
            }

            return $of;
        };
        $terms = $job['terms'];
        if (isset($terms['wish'])) {
            $terms['wish'] = $in($terms['wish'], ['pot'], $part);
            $terms['wish'] = $in($terms['wish'], ['chains', 'powder', 'order'], $each);
            $terms['wish'] = $in($terms['wish'], ['rinse', 'first'], $byPart);
        }
        if (isset($terms['fit'])) {
            $terms['fit'] = $in($terms['fit'], ['spare'], $part);
            isset($terms['fit']['measured']) && ($terms['fit']['measured'] = $in($terms['fit']['measured'], ['instrumentId'], $part));
        }

        return [
            'steps' => array_map(
                fn(array $step) => ['about' => $in($step['about'], ['jar', 'into'], $part), 'chains' => $each($step['chains'] ?? [])] +
                    $step,
                $job['steps'],
            ),
            'chains' => $each($job['chains']),
            'terms' => $in(
                $in($in($terms, ['masses'], $byPart), ['chain'], $part),
                ['bike'],
                fn(mixed $id): int|string => $this->id('bikes', $id),
            ),
            'action_id' => $job['action_id'] === null ? null : $this->id(WorkshopFile::ACTIONS, $job['action_id']),
            'taps' => array_map(
                fn(array $tap) => ['about' => $tap['about'] === null ? null : $in($tap['about'], ['chain'], $part)] + $tap,
                $job['taps'],
            ),
        ] + $job;
    }

    private function setting(string $key, mixed $value): mixed
    {
        return match ($key) {
            SettingKey::ChainHome->value => $this->id('bikes', $value),
            SettingKey::LinkChain->value => $this->id('components', $value),
            default => $value,
        };
    }
}
