<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\ChainWords;
use App\Text\JobWords;
use App\Text\Translator;
use App\Text\WearWords;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Next\OpenJob;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\PotDay\RinseSchool;
use Dripel\Core\Strip\BareState;
use Dripel\Core\Wear\ReadingDue;
use Dripel\Core\Wear\WearForecastResult;

/**
 * A chain as it is drawn: its coat, its state in words, its wear.
 *
 * @phpstan-import-type WearView from WearWords
 *
 * @phpstan-type PotChain array{id: int, name: string, word: string, detail: string, rinse: bool, rust: bool, proposed: bool}
 * @phpstan-type ChainView array{
 *     id: int,
 *     label: string,
 *     name: string,
 *     coat: float,
 *     status: value-of<ChainStatus>,
 *     directional: bool,
 *     word: string,
 *     detail: string,
 *     job: string|null,
 *     late: bool,
 *     ready: bool,
 *     wantsDip: bool,
 *     dripOnly: bool,
 *     topUpCounts: bool,
 *     worn: bool,
 *     waxed: bool,
 *     unsure: bool,
 *     greasy: bool,
 *     leftKm: float,
 *     left: string,
 *     alsoLeft: string,
 *     wear: WearView,
 *     wearLine: string,
 *     fit: list<array{note: string, forbids: bool, text: string}>,
 *     links: list<int>,
 * }
 */
final readonly class ChainProps
{
    private ChainWords $words;

    /** @param list<OpenJob> $jobs those that chains may be in */
    public function __construct(private Translator $translator, private array $jobs = [])
    {
        $this->words = new ChainWords($translator);
    }

    /**
     * @param list<array{note: string, forbids: bool, text: string}> $fit what speaks for and against hanging it on a bike
     * @param list<int> $links the spare quick links that suit it
     *
     * @return ChainView
     */
    public function of(ChainState $chain, ?WearForecastResult $forecast = null, array $fit = [], array $links = []): array
    {
        $job =
            array_values(
                array_filter($this->jobs, fn(OpenJob $open) => !$open->planned && in_array($chain->chainId, $open->chainIds, true)),
            )[0] ?? null;

        $forecast = $chain->wears() ? $forecast : null;

        return [
            'id' => $chain->chainId,
            'label' => $this->translator->names->chain($chain->chainId),
            'name' => $this->translator->names->fullChain($chain->chainId),
            'coat' => $chain->coat(),
            'status' => $chain->status->value,
            'directional' => $this->translator->settings->whole(SettingKey::ChainDirectional, $chain->chainId) === 1,
            'word' => $this->words->status($chain),
            'detail' =>
                $job === null
                    ? $this->words->detail($chain)
                    : $this->translator->say("chain.detail.in_{$job->kind}", [
                        'step' => lcfirst((new JobWords($this->translator))->title($job)),
                    ]),
            'job' => $job?->id,
            'late' => $this->late($chain),
            'ready' => $chain->rideable() && $chain->readyAtS === null,
            'wantsDip' => $chain->wantsPot(),
            'dripOnly' => $chain->terms->dripOnly,
            'topUpCounts' => $chain->terms->topUpCounts(),
            'worn' => $chain->wear->pastLimit,
            'waxed' => $chain->wax->life !== null,
            'unsure' => !$chain->wax->known,
            'greasy' => PotRefusal::greasy($chain, $this->translator->settings) !== null,
            'leftKm' => $chain->leftKm(),
            'left' => $this->translator->wax->left($chain->left()),
            'alsoLeft' => $this->words->alsoLeft($chain),
            'wear' => [
                'limit' => $chain->terms->limitPct,
                'value' => $chain->wear->result?->valuePct,
                'lower' => $chain->wear->result?->lowerPct,
                'upper' => $chain->wear->result?->upperPct,
                'mean' => $forecast === null ? null : max(0.0, $forecast->nowMean),
                'p10' => $forecast === null ? null : max(0.0, $forecast->nowP10),
                'p90' => $forecast === null ? null : max(0.0, $forecast->nowP90),
                'due' => ReadingDue::of($chain, $forecast),
                'text' => $this->words->elongation($chain->wear->result),
                'of' =>
                    $forecast === null
                        ? $this->words->wearAndLimit($chain)
                        : (new WearWords($this->translator))->now($forecast, $chain->terms->limitPct),
            ],
            'wearLine' => $this->words->wear($chain),
            'fit' => $fit,
            'links' => $links,
        ];
    }

    /** @return PotChain as the pot would take it */
    public function forPot(ChainState $chain, bool $proposed): array
    {
        return [
            'id' => $chain->chainId,
            'name' => $this->translator->names->fullChain($chain->chainId),
            'word' => $this->words->status($chain),
            'detail' => $this->words->detail($chain),
            'rinse' => RinseSchool::usual($chain) !== RinseSchool::Straight,
            'rust' => $chain->dryness->bare?->state === BareState::Late,
            'proposed' => $proposed,
        ];
    }

    /** What wears the ember red: only what is late or past a limit. */
    private function late(ChainState $chain): bool
    {
        return $chain->wear->pastLimit ||
            match ($chain->status) {
                ChainStatus::Bare => $chain->dryness->bare !== null && $chain->dryness->bare->state !== BareState::Ok,
                default => false,
            };
    }
}
