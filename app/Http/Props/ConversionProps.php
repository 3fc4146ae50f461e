<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\Translator;
use Dripel\Core\Care\Conversion;
use Dripel\Core\Care\ConversionStep;
use Dripel\Core\Care\ConversionWay;
use Dripel\Core\Logbook\Book;

/**
 * The way of a bike from oil to wax: its steps, what is done, and the way on.
 *
 * @phpstan-import-type FormDefaults from FormProps
 *
 * @phpstan-type ConversionLine array{
 *     step: value-of<ConversionStep>,
 *     title: string,
 *     text: string,
 *     done: bool,
 *     now: bool,
 *     href: string|null,
 *     verb: string|null,
 * }
 * @phpstan-type ConversionPage array{
 *     bike: int,
 *     title: string,
 *     lead: string,
 *     over: bool,
 *     steps: list<ConversionLine>,
 *     ways: list<array{way: value-of<ConversionWay>, title: string, text: string, proposed: bool, chosen: bool}>,
 *     chain: int|null,
 *     forms: FormDefaults,
 * }
 */
final readonly class ConversionProps
{
    public function __construct(private Book $book, private Translator $translator) {}

    /** @return ConversionPage */
    public function of(int $bikeId): array
    {
        $conversion = Conversion::of($this->book, $bikeId, $this->translator->nowS);
        $bike = ['bike' => $this->translator->names->bike($bikeId)];

        return [
            'bike' => $bikeId,
            'title' => $this->translator->say('convert.title', $bike),
            'lead' => $this->translator->say($conversion === null ? 'convert.over' : 'convert.lead', $bike),
            'over' => $conversion === null,
            'steps' => $conversion === null ? [] : $this->steps($conversion),
            'ways' => $conversion === null ? [] : $this->ways($conversion),
            'chain' => $conversion?->chain?->chainId,
            'forms' => (new FormProps($this->book, $this->translator))->all(),
        ];
    }

    /** @return list<ConversionLine> */
    private function steps(Conversion $conversion): array
    {
        $lines = [];
        foreach ($conversion->steps as $name => $done) {
            $step = ConversionStep::from($name);
            $href = $this->href($step, $conversion);
            $lines[] = [
                'step' => $step->value,
                'title' => $this->translator->say("convert.step.{$name}.title", $this->names($conversion)),
                'text' => $this->text($step, $conversion),
                'done' => $done,
                'now' => $step === $conversion->current(),
                'href' => $href,
                'verb' => $href === null ? null : $this->translator->say("convert.step.{$name}.verb"),
            ];
        }

        return $lines;
    }

    private function text(ConversionStep $step, Conversion $conversion): string
    {
        $drips = $step === ConversionStep::Wax && $conversion->old->terms->dripOnly;

        return $this->translator->say(
            $drips ? 'convert.step.wax.text_drip' : "convert.step.{$step->value}.text",
            $this->names($conversion),
        );
    }

    /** Where the step is done; null: on this very page, or by the guided swap. */
    private function href(ConversionStep $step, Conversion $conversion): ?string
    {
        $chain = $conversion->chain?->chainId;

        return match (true) {
            $chain === null && in_array($step, [ConversionStep::Strip, ConversionStep::Wax], true) => null,
            default => $this->place($step, $conversion, (int) $chain),
        };
    }

    private function place(ConversionStep $step, Conversion $conversion, int $chain): ?string
    {
        return match ($step) {
            ConversionStep::Measure => "/chains/{$conversion->old->chainId}?do=measure",
            ConversionStep::Buy => "/chains/new?bike={$conversion->bikeId}",
            ConversionStep::Strip => "/strip?chains[]={$chain}",
            ConversionStep::Wax => $conversion->old->terms->dripOnly ? "/chains/{$chain}/drip" : "/pot-day?chains[]={$chain}",
            ConversionStep::Decide, ConversionStep::Clean, ConversionStep::Fit => null,
        };
    }

    /** @return list<array{way: value-of<ConversionWay>, title: string, text: string, proposed: bool, chosen: bool}> */
    private function ways(Conversion $conversion): array
    {
        return array_map(
            fn(ConversionWay $way) => [
                'way' => $way->value,
                'title' => $this->translator->say("convert.way.{$way->value}.title", $this->names($conversion)),
                'text' => $this->translator->say("convert.way.{$way->value}.text", $this->names($conversion)),
                'proposed' => $way === $conversion->proposed,
                'chosen' => $way === $conversion->way,
            ],
            ConversionWay::cases(),
        );
    }

    /** @return array<string, string> */
    private function names(Conversion $conversion): array
    {
        $q = $this->translator->quantities;
        $worn = $conversion->old->wear->result;

        return [
            'bike' => $this->translator->names->bike($conversion->bikeId),
            'old' => $this->translator->names->fullChain($conversion->old->chainId),
            'chain' => match (true) {
                $conversion->chain !== null => $this->translator->names->fullChain($conversion->chain->chainId),
                $conversion->way === null => $this->translator->say('convert.the_chain'),
                default => $this->translator->say('convert.new_chain'),
            },
            'worn' => $worn === null ? $this->translator->say('words.unknown') : $q->percent($worn->valuePct ?? ($worn->lowerPct ?? 0.0)),
            'limit' => $q->mark($conversion->old->terms->limitPct),
        ];
    }
}
