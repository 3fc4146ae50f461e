<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Chain\Joint;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Strip\Move;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\ProtocolStep;
use Dripel\Core\Strip\Solvent;
use Dripel\Core\Strip\SolventHazardResult;
use Dripel\Core\Strip\StepKind;

/** Stripping in words: solvents with their dangers, schools, and the steps of a job. */
final readonly class StripWords
{
    /** Steps that read differently where nothing is lifted out of a jar. */
    private const ON_THE_BIKE = ['prepare', 'look', 'lift', 'rinse', 'wipe', 'hang', 'dry', 'check'];

    public function __construct(private Translator $translator) {}

    public function solvent(Solvent $solvent): string
    {
        return $this->translator->say("strip.solvent.{$solvent->value}");
    }

    /** The name of a school by its code; a protocol of one's own is its own name. */
    public function school(string $codeOrName): string
    {
        $known = $this->translator->say("strip.protocol.{$codeOrName}.name");

        return str_starts_with($known, 'strip.protocol.') ? $codeOrName : $known;
    }

    public function reason(string $code): string
    {
        $known = $this->translator->say("strip.protocol.{$code}.reason");

        return str_starts_with($known, 'strip.protocol.') ? '' : $known;
    }

    /** Flash point and class of a solvent, by its sheet or its kind. */
    public function hazard(Solvent $solvent, ?SolventHazardResult $hazard, ?float $flashC = null): string
    {
        $flash = $flashC ?? $solvent->flashC();
        if ($flash === null) {
            return $this->translator->say($solvent->flammable() || $solvent->isStocked() ? 'strip.hazard.sheet' : 'strip.hazard.water');
        }
        $class = $hazard?->class;

        return $this->translator->say($class === null ? 'strip.hazard.none' : 'strip.hazard.known', [
            'flash' => $this->translator->quantities->temperature($flash),
            'category' => (string) ($class->value ?? ''),
            'signal' => $class?->signal() ?? '',
            'statement' => lcfirst($class?->statement() ?? ''),
        ]);
    }

    /** @param array<string, float> $ml by solvent: "600 ml white spirit and 400 ml methylated spirit" */
    public function volumes(array $ml): string
    {
        return $this->translator->names->list(
            array_map(
                fn(string $solvent, float $volume) => $this->translator->quantities->volume($volume) .
                    ' ' .
                    $this->solvent(Solvent::from($solvent)),
                array_keys($ml),
                array_values($ml),
            ),
        );
    }

    /** What a protocol takes of each solvent, and how long its timers run. */
    public function takes(Protocol $protocol): string
    {
        $ml = [];
        foreach ($protocol->solvents() as $solvent) {
            $solvent->isStocked() && ($ml[$solvent->value] = $protocol->volumeMl($solvent));
        }

        return $this->translator->say('strip.takes', [
            'volumes' => $this->volumes($ml),
            'time' => $this->translator->quantities->seconds($protocol->timedS()),
        ]);
    }

    /** @return list<string> a protocol as it is written on paper, step by step */
    public function lines(Protocol $protocol): array
    {
        return array_map($this->line(...), $protocol->steps);
    }

    private function line(ProtocolStep $step): string
    {
        $q = $this->translator->quantities;
        if (!$step->kind->isBath()) {
            return ucfirst($this->translator->say("strip.card.{$step->kind->value}", ['time' => $q->seconds((int) $step->seconds)]));
        }
        assert($step->solvent !== null);

        return $this->translator->say('strip.card.bath', [
            'ml' => $q->volume((float) $step->volumeMl),
            'solvent' => $this->solvent($step->solvent) . $this->translator->say("strip.card.kind.{$step->kind->value}"),
            'moves' => implode(
                ', ',
                array_map(
                    fn(Move $move) => $this->translator->say("strip.card.{$move->kind->value}", ['time' => $q->seconds($move->seconds)]),
                    $step->moves,
                ),
            ),
        ]) . ($step->untilClear ? $this->translator->say('strip.card.until_clear') : '');
    }

    /**
     * A step of a job, as it fills the screen; `again` is how it reads when it comes round again.
     *
     * @param list<int> $chains
     *
     * @return array{title: string, text: string, again: array{title: string, text: string}|null}
     */
    public function step(JobStep $step, array $chains, bool $dripOnly = false): array
    {
        if ($step->code === 'open') {
            return $this->open($step);
        }
        $kind = (string) ($step->about['kind'] ?? '');
        $code = $step->code === 'brush' && $kind === StepKind::Scrub->value ? 'scrub' : $step->code;
        $variant = match (true) {
            $dripOnly && in_array($step->code, self::ON_THE_BIKE, true) => 'on_bike',
            $step->code === 'take_off' => ($step->about['joint'] ?? '') === Joint::Pin->value ? 'pin' : 'quick_link',
            $step->code === 'prepare' && ($step->about['joint'] ?? '') === Joint::Pin->value => 'pin',
            default => 'text',
        };
        $text = $this->translator->say("strip.step.{$code}.{$variant}", [
            'chains' => $this->translator->names->chains($chains),
            'directional' => ($step->about['directional'] ?? false) === true ? $this->translator->say('strip.directional') : '',
        ]);
        $more = match (true) {
            $step->code === 'rest' && $step->leavable() => $this->translator->say('strip.step.rest.leave'),
            $dripOnly => '',
            $step->code === 'look' => $this->translator->say('strip.step.look.after'),
            $step->code === 'lift' && ($step->about['jar'] ?? null) === null && Solvent::from((string) $step->about['solvent'])->isStocked()
                => $this->translator->say('strip.step.lift.fresh', ['into' => $this->into($step)]),
            default => '',
        };

        $title = $variant === 'on_bike' && $step->code === 'lift' ? 'on_bike_title' : 'title';

        return ['title' => $this->translator->say("strip.step.{$code}.{$title}"), 'text' => trim("{$text} {$more}"), 'again' => null];
    }

    /** @return array{title: string, text: string, again: array{title: string, text: string}} */
    private function open(JobStep $step): array
    {
        $q = $this->translator->quantities;
        $solvent = Solvent::from((string) $step->about['solvent']);
        $kind = StepKind::from((string) $step->about['kind']);
        assert($kind->isBath());
        $parameters = [
            'bath' => (string) $step->about['bath'],
            'baths' => (string) $step->about['baths'],
            'ml' => $q->volume((float) $step->about['volume_ml']),
            'fresh' => $q->volume((float) $step->about['fresh_ml']),
            'solvent' => $this->solvent($solvent),
            'jar' => $this->translator->names->jar(is_int($step->about['jar'] ?? null) ? $step->about['jar'] : null),
            'into' => $solvent->isStocked() ? $this->into($step) : '',
            'mixed' => is_numeric($step->about['concentrate_ml'] ?? null)
                ? $this->translator->say('strip.step.open.mixed', [
                    'concentrate' => $q->volume((float) $step->about['concentrate_ml']),
                    'water' => $q->volume((float) $step->about['fresh_ml'] - (float) $step->about['concentrate_ml']),
                ])
                : '',
            'link' => ($step->about['joint'] ?? '') === Joint::Pin->value ? '' : $this->translator->say('strip.step.open.link'),
            'from' => is_int($step->about['jar'] ?? null)
                ? $this->translator->say('strip.step.open.from', ['jar' => $this->translator->names->jar($step->about['jar'])])
                : '',
        ];
        $how = match (true) {
            $kind !== StepKind::Bath => $kind->value,
            !$solvent->isStocked() => 'water',
            default => ($step->about['jar'] ?? null) === null ? 'fresh' : 'jar',
        };

        return [
            'title' => $this->translator->say('strip.step.open.title', $parameters),
            'text' => $this->translator->say("strip.step.open.{$how}", $parameters),
            'again' => [
                'title' => $this->translator->say('strip.step.open.again_title'),
                'text' => $this->translator->say('strip.step.open.again', $parameters),
            ],
        ];
    }

    private function into(JobStep $step): string
    {
        $into = $step->about['into'] ?? null;

        return is_int($into)
            ? $this->translator->say('strip.step.open.into', ['jar' => $this->translator->names->jar($into)])
            : $this->translator->say('strip.step.open.into_nothing');
    }

    /** What a job's step is called where there is no room for more. */
    public function title(string $code): string
    {
        return $code === 'open' ? $this->translator->say('strip.step.open.short') : $this->translator->say("strip.step.{$code}.title");
    }

    /** @return list<string> what is to be minded at a step, the most dangerous first */
    public function cautions(JobStep $step): array
    {
        $solvent = Solvent::tryFrom((string) ($step->about['solvent'] ?? ''));
        $codes = match (true) {
            $step->code === 'check' => ['no_heat', 'bare', 'waste'],
            in_array($step->code, ['dry', 'blow_dry', 'hang'], true) => ['no_heat', 'air', 'bare'],
            $step->code === StepKind::HotWater->value => ['boiling', 'drain'],
            $step->code === 'take_off' => ['gloves'],
            $step->code === 'brake' => ['brake'],
            $solvent === null => ['sheet', 'gloves'],
            $solvent === Solvent::Petrol => ['petrol', 'air', 'gloves', 'waste'],
            $step->code === 'ultrasonic', ($step->about['kind'] ?? '') === StepKind::Ultrasonic->value => ['ultrasonic', 'gloves', 'waste'],
            ($step->about['kind'] ?? '') === StepKind::Scrub->value => ['disc', 'air', 'waste'],
            !$solvent->isStocked() => ['gloves', 'waste'],
            !$solvent->flammable() => ['gloves', 'waste'],
            $step->code === 'shake' => ['vent', 'air', 'gloves'],
            default => ['air', 'gloves', 'waste'],
        };

        return array_map(fn(string $code) => $this->translator->say("strip.caution.{$code}"), $codes);
    }

    /** @param list<Supply> $supplies of which no price is known; empty: nothing to say */
    public function unpriced(array $supplies): string
    {
        return $supplies === []
            ? ''
            : $this->translator->say('strip.unpriced', [
                'supplies' => $this->translator->names->list(
                    array_map(fn(Supply $supply) => $this->translator->say("strip.supply.{$supply->value}"), $supplies),
                ),
            ]);
    }
}
