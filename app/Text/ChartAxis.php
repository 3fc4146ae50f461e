<?php

declare(strict_types=1);

namespace App\Text;

use Closure;
use DateTimeZone;
use Dripel\Core\Maths\Ticks;

/**
 * One axis of a chart: what it measures, from where to where, in the unit that is read on it.
 *
 * @phpstan-type ChartAxisView array{title: string, from: float, to: float, ticks: list<array{at: float, text: string}>}
 */
final readonly class ChartAxis
{
    /**
     * @param Closure(float): string $text a value of it in words, with its unit
     * @param DateTimeZone|null $zone of an axis of instants in Unix seconds
     */
    public function __construct(
        private string $title,
        private float $from,
        private float $to,
        private Closure $text,
        private int $ticks = 5,
        private ?DateTimeZone $zone = null,
    ) {}

    public function text(float $value): string
    {
        return ($this->text)($value);
    }

    /** @return ChartAxisView */
    public function view(): array
    {
        $ticks = [];
        $places =
            $this->zone === null
                ? Ticks::along($this->from, $this->to, $this->ticks)
                : Ticks::instants($this->from, $this->to, $this->zone, $this->ticks);
        foreach ($places as $at) {
            // Closer together than its words tell: days of one month, parts of a cent.
            $ticks[$this->text($at)] ??= ['at' => $at, 'text' => $this->text($at)];
        }

        return ['title' => $this->title, 'from' => $this->from, 'to' => $this->to, 'ticks' => array_values($ticks)];
    }
}
