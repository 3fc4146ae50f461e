<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Http\Requests\Books\PotRequest;
use App\Models\BathEntry;
use App\Models\Workshop;
use App\Text\Voice;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Bath\BathLedgerInput;
use Dripel\Core\Bath\BathNext;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\WaxKind;

/** Pots as they stand in Books and on the Shed: how full, how dirty, how hot they were, and what they want. */
final readonly class PotProps
{
    private const ENTRIES = 8;

    public function __construct(private Voice $voice) {}

    /** @return array<string, mixed> */
    public function of(BathState $bath): array
    {
        $q = $this->voice->quantities;
        $settings = $this->voice->settings;
        $ledger = $bath->ledger;
        $wax = WaxKind::tryFrom($settings->text(SettingKey::PotWax, $bath->potId)) ?? WaxKind::Plain;
        $kind = PotKind::tryFrom($settings->text(SettingKey::PotKind, $bath->potId)) ?? PotKind::SlowCooker;

        return [
            'id' => $bath->potId,
            'name' => $this->voice->names->pot($bath->potId),
            'about' => $this->voice->say("pot.kind.{$kind->value}").', '.$this->voice->say("pot.wax.{$wax->value}"),
            'caution' => trim($this->voice->say("pot.caution.{$kind->value}").' '.$this->voice->say("pot.wax_note.{$wax->value}")),
            'empty' => $ledger === null,
            'level' => $ledger === null || ($bath->heightMm ?? 0.0) <= 0.0 ? 0.0 : min(1.0, $ledger->depthMm / $bath->heightMm),
            'coil' => ($bath->heightMm ?? 0.0) <= 0.0 ? 0.0 : min(1.0, BathLedgerInput::COIL_MM / $bath->heightMm),
            'holds' => match (true) {
                $bath->problem !== null => $this->voice->say('pot.problem'),
                $ledger === null => $this->voice->say('pot.empty'),
                default => $this->voice->say('pot.holds', ['grams' => $q->mass($ledger->waxG), 'depth' => $q->number($ledger->depthMm)]),
            },
            'problem' => $bath->problem !== null,
            'since' => $ledger === null || $bath->filledS === null ? '' : $this->voice->say('pot.since', ['day' => $q->date($bath->filledS, 'd MMM y'), 'dips' => trans_choice('pot.dips', $ledger->dips)]),
            'left' => match (true) {
                $ledger === null => '',
                ! $ledger->coversChain => $this->voice->say('pot.uncovered'),
                $ledger->overflow => $this->voice->say('pot.overflow'),
                default => trans_choice('pot.left', $ledger->dipsLeft),
            },
            'oil' => $ledger === null || $ledger->oilFraction <= 0.0 ? '' : $this->voice->say('pot.oil', ['percent' => $q->number(100 * $ledger->oilFraction, 1)."\u{a0}%"]),
            'grit' => $ledger === null ? '' : $this->voice->say('pot.grit', ['grit' => $q->number($ledger->grit, 1), 'limit' => $q->number(BathLedgerInput::GRIT_LIMIT)]),
            'gritShare' => $ledger === null ? 0.0 : min(1.0, $ledger->grit / BathLedgerInput::GRIT_LIMIT),
            'max' => $this->voice->say($ledger?->maxC === null ? 'pot.never_read' : 'pot.max', ['max' => $q->temperature($ledger->maxC ?? 0.0), 'limit' => $q->temperature($bath->limitC)]),
            'next' => $ledger === null ? '' : $this->voice->say("pot.next.{$ledger->next->value}"),
            'late' => $ledger !== null && $ledger->next === BathNext::Replace,
        ];
    }

    /** @return array<string, mixed> with what was done lately and what can be done */
    public function inBooks(Workshop $workshop, BathState $bath): array
    {
        $q = $this->voice->quantities;
        $rows = BathEntry::query()->in($workshop)->live()->where('component_id', $bath->potId)->orderByDesc('at')->orderByDesc('id')->limit(self::ENTRIES)->get();
        $acts = array_filter(BathEventKind::cases(), fn(BathEventKind $kind) => $kind !== BathEventKind::Dip && ($bath->filledS !== null || $kind === BathEventKind::Fill));

        return $this->of($bath) + [
            'entries' => array_values($rows->map(fn(BathEntry $row) => [
                'id' => $row->id,
                'day' => $q->day($row->at),
                'text' => $this->voice->say("pot.done.{$row->kind->value}", ['pot' => $this->voice->names->pot($bath->potId), 'grams' => $q->mass((float) $row->wax_g + (float) $row->oil_g), 'celsius' => $q->temperature((float) $row->temp_c)]),
            ])->all()),
            'acts' => array_values(array_map(fn(BathEventKind $kind) => ['value' => $kind->value, 'title' => $this->voice->say("pot.kind_act.{$kind->value}")], $acts)),
        ];
    }

    /** @return array<string, mixed> what a form of a new pot offers */
    public function choices(): array
    {
        $choice = fn(string $group, string $value) => ['value' => $value, 'title' => ucfirst($this->voice->say("pot.{$group}.{$value}"))];

        return [
            'kinds' => [...array_map(fn(PotKind $kind) => $choice('kind', $kind->value), PotKind::cases()), $choice('kind', PotRequest::STOVE)],
            'waxes' => array_map(fn(WaxKind $wax) => $choice('wax', $wax->value), WaxKind::cases()),
        ];
    }
}
