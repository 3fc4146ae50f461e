<?php

declare(strict_types=1);

namespace App\Text;

/**
 * A chart as one component draws it: axes with units, lines, what they are held against, and all of it as a table, whose rows are read
 * under pointer and key.
 *
 * @phpstan-import-type ChartAxisView from ChartAxis
 *
 * @phpstan-type ChartMark array{at: float, text: string}
 * @phpstan-type ChartLineView array{
 *     name: string,
 *     kind: 'line'|'step'|'dots'|'bars',
 *     points: list<array{x: float, y: float, low: float|null, high: float|null, text: string|null}>,
 * }
 * @phpstan-type ChartView array{
 *     title: string,
 *     x: ChartAxisView,
 *     y: ChartAxisView,
 *     lines: list<ChartLineView>,
 *     levels: list<ChartMark>,
 *     moments: list<ChartMark>,
 *     zone: array{from: float, to: float, text: string}|null,
 *     stretch: array{y: float, from: float, to: float}|null,
 *     span: array{from: float, to: float, text: string}|null,
 *     columns: list<string>,
 *     rows: list<array{x: float, cells: list<string>}>,
 * }
 */
final readonly class Chart
{
    /**
     * @param list<ChartLine> $lines
     * @param list<ChartMark> $levels lines straight across
     * @param list<ChartMark> $moments lines straight up
     * @param array{from: float, to: float, text: string}|null $zone a band straight across
     * @param array{y: float, from: float, to: float}|null $stretch a thick line along a level
     * @param array{from: float, to: float, text: string}|null $span a band straight up
     *
     * @return ChartView
     */
    public static function of(
        string $title,
        ChartAxis $x,
        ChartAxis $y,
        array $lines,
        array $levels = [],
        array $moments = [],
        ?array $zone = null,
        ?array $stretch = null,
        ?array $span = null,
    ): array {
        $drawn = array_map(
            fn(ChartLine $line) => [
                'name' => $line->name,
                'kind' => $line->kind,
                'points' => array_map(fn(array $point) => $point + ['low' => null, 'high' => null, 'text' => null], $line->points),
            ],
            $lines,
        );

        return [
            'title' => $title,
            'x' => ($axis = $x->view()),
            'y' => $y->view(),
            'lines' => $drawn,
            'levels' => $levels,
            'moments' => $moments,
            'zone' => $zone,
            'stretch' => $stretch,
            'span' => $span,
            'columns' => [$axis['title'], ...array_column($drawn, 'name')],
            'rows' => self::rows($x, $y, $drawn),
        ];
    }

    /**
     * @param list<ChartLineView> $lines
     *
     * @return list<array{x: float, cells: list<string>}>
     */
    private static function rows(ChartAxis $x, ChartAxis $y, array $lines): array
    {
        $cells = [];
        $at = [];
        foreach ($lines as $n => $line) {
            foreach ($line['points'] as $point) {
                $key = sprintf('%.9e', $point['x']);
                $at[$key] = $point['x'];
                $around =
                    $point['low'] === null || $point['high'] === null ? '' : " ({$y->text($point['low'])} – {$y->text($point['high'])})";
                $cells[$key][$n] = $point['text'] ?? $y->text($point['y']) . $around;
            }
        }
        asort($at);

        return array_map(
            fn(float $value, string $key) => [
                'x' => $value,
                'cells' => [$x->text($value), ...array_map(fn(int $n) => $cells[$key][$n] ?? '', array_keys($lines))],
            ],
            array_values($at),
            array_map(strval(...), array_keys($at)),
        );
    }
}
