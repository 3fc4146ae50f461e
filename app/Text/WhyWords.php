<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Explain\Why;
use Dripel\Core\Explain\WhyLine;

/**
 * The explanation of a figure, ready to be read; the bare numbers stay beside the sentences.
 *
 * @phpstan-type WhyLineView array{code: string, text: string, value: string, number: float|null, left: string|null, origin: string}
 * @phpstan-type WhyView array{
 *     figure: string,
 *     title: string,
 *     formula: string,
 *     source: string,
 *     value: float|null,
 *     unit: string,
 *     lines: list<WhyLineView>,
 * }
 */
final readonly class WhyWords
{
    public function __construct(private Translator $translator) {}

    /** @return WhyView */
    public function of(Why $why): array
    {
        $words = $why->figure === 'left' && $why->unit === 'h' ? 'left_hours' : $why->figure;

        return [
            'figure' => $why->figure,
            'title' => $this->translator->say("why.title.{$words}", [
                'value' => $this->value($why->value, $why->unit, $why->figure === 'left'),
            ]),
            'formula' => $this->translator->say("why.formula.{$words}"),
            'source' => $this->translator->say("why.source.{$words}"),
            'value' => $why->value,
            'unit' => $why->unit,
            'lines' => array_map($this->line(...), $why->lines),
        ];
    }

    /** @return WhyLineView */
    private function line(WhyLine $line): array
    {
        $q = $this->translator->quantities;
        $p = $line->parameters;
        $left = is_numeric($p['left'] ?? null) ? (float) $p['left'] : null;

        return [
            'code' => $line->code,
            'text' => $this->translator->say("why.line.{$line->code}", [
                'at' => is_numeric($p['at'] ?? null) ? $q->day((int) $p['at']) : '',
                'km' => is_numeric($p['km'] ?? null) ? $q->distance((float) $p['km'], 1) : '',
                'factor' => is_numeric($p['factor'] ?? null) ? $q->number((float) $p['factor'], 1) : '',
                'condition' => is_string($p['condition'] ?? null) ? $this->translator->say("chain.condition.{$p['condition']}") : '',
                'limit' => is_numeric($p['limit'] ?? null) ? $q->hours((float) $p['limit']) : '',
                'pitches' => (string) ($p['pitches'] ?? ''),
                'zero' => is_numeric($p['zero'] ?? null) ? $q->percent((float) $p['zero']) : '',
                'date' => is_string($p['date'] ?? null) ? $this->translator->dayWord($p['date']) : '',
            ]),
            'value' => $this->value($line->value, $line->unit, false),
            'number' => $line->value,
            'left' => $left === null ? null : $this->translator->say('why.left_after', ['left' => $q->distance($left, 1)]),
            'origin' => $this->translator->say("why.origin.{$line->origin->value}"),
        ];
    }

    private function value(?float $value, string $unit, bool $floor): string
    {
        $q = $this->translator->quantities;

        return match (true) {
            $value === null => '—',
            $unit === 'km' => $floor ? $q->left($value) : $q->distance($value, 1),
            $unit === 'h' => ($value < 0 ? '−' : '') . $q->hours($value),
            $unit === '%' => $q->percent($value),
            $unit === 'mm' => $q->number($value, 2) . "\u{a0}mm",
            default => $q->number($value),
        };
    }
}
