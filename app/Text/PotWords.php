<?php

declare(strict_types=1);

namespace App\Text;

use DateTimeImmutable;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Pot\HeatPoint;
use Dripel\Core\Pot\PotHeatInput;
use Dripel\Core\Pot\PotHeatResult;

/**
 * How a pot heats up, in sentences: when it is liquid, when it is hot, when to plug it in, and what could go wrong.
 *
 * @phpstan-type HeatView array{
 *     lines: list<string>,
 *     warnings: list<string>,
 *     curve: list<array{float, float}>,
 *     limit: float,
 *     melts: array{float, float},
 * }
 */
final readonly class PotWords
{
    public function __construct(private Translator $translator) {}

    /** @return HeatView */
    public function heat(BathState $bath, PotHeatInput $in, PotHeatResult $heat, ?string $by): array
    {
        $q = $this->translator->quantities;
        $minutes = fn(?float $value): string => $value === null ? '' : $q->hours($value / 60);
        $figures = [
            'liquid' => $minutes($heat->minutesToLiquid),
            'hot' => $minutes($heat->minutesToTarget),
            'target' => $q->temperature($in->targetC),
            'limit' => $q->temperature($bath->limitC),
            'end' => $heat->equilibriumC === null ? '' : $q->temperature($heat->equilibriumC),
            'power' => $q->number($in->powerW),
        ];
        $say = fn(string $code, array $more = []): string => $this->translator->say("pot.heat.{$code}", $more + $figures);

        return [
            'lines' => array_values(
                array_filter([
                    $heat->minutesToLiquid === null ? null : $say($heat->minutesToLiquid > 0.0 ? 'liquid' : 'liquid_now'),
                    $heat->minutesToTarget === null ? null : $say('hot'),
                    $by === null || $heat->minutesToTarget === null
                        ? null
                        : $say('plug_in', ['by' => $by, 'at' => $q->time($this->byS($by) - (int) ceil(60 * $heat->minutesToTarget))]),
                    $say('worked_out', [
                        'wax' => $q->mass($in->waxG),
                        'room' => $q->temperature($in->ambientC),
                        'loss' => $q->number($in->lossWPerK, 1),
                    ]),
                ]),
            ),
            'warnings' => array_values(
                array_filter([
                    $heat->minutesToLiquid === null ? $say('never_melts') : ($heat->minutesToTarget === null ? $say('never_hot') : null),
                    $in->targetC > $bath->limitC ? $say('target_too_hot') : null,
                    $heat->equilibriumC !== null && $heat->equilibriumC > $bath->limitC ? $say('overheats') : null,
                ]),
            ),
            'curve' => array_map(fn(HeatPoint $point) => [$point->min, $point->tempC], $heat->curve),
            'limit' => $bath->limitC,
            'melts' => [$in->wax->meltFromC, $in->wax->meltToC],
        ];
    }

    /** The next time that the clock shows it. */
    private function byS(string $by): int
    {
        $today = LocalDay::of($this->translator->nowS, $this->translator->zone());
        $at = fn(LocalDay $day): int => (new DateTimeImmutable("{$day->date} {$by}", $this->translator->zone()))->getTimestamp();

        return $at($today) > $this->translator->nowS ? $at($today) : $at($today->plus(1));
    }
}
