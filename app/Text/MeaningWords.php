<?php

declare(strict_types=1);

namespace App\Text;

use App\Actions\Chain\CheckReading;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Wear\SpotsAgree;
use Dripel\Core\Wear\WearReading;
use Dripel\Core\Wear\WearVerdict;
use Dripel\Core\Wear\WorkshopWear;

/**
 * What a reading would mean at its moment, before it is kept.
 *
 * @phpstan-import-type WearView from WearWords
 *
 * @phpstan-type Meaning array{
 *     reads: string,
 *     agree: string|null,
 *     uneven: bool,
 *     verdict: value-of<WearVerdict>,
 *     sentences: list<string>,
 *     why: string|null,
 *     unlikely: string|null,
 *     wear: WearView,
 * }
 */
final readonly class MeaningWords
{
    public function __construct(private Book $book, private Translator $translator, private WorkshopWear $wear, private int $atS) {}

    /**
     * @param array<string, mixed> $input of wear.reading
     *
     * @return Meaning
     *
     * @throws InvalidInput at `spots.N…`
     */
    public function of(int $chainId, array $input): array
    {
        $reading = CheckReading::reading($input);
        $result = (new WearReading())($reading);
        $chain = $this->book->chain($chainId, $this->atS);
        $before = $this->wear->of($chain);
        $words = new WearWords($this->translator);
        $agree = SpotsAgree::of($reading);
        $after = $before?->with($reading);
        $range = $before?->contradicts($result);
        $alone = $result->reaches($chain->terms->limitPct);

        return [
            'reads' => $words->reads($result),
            'agree' => $words->agree($agree, $result->spreadPct),
            'uneven' => $agree === SpotsAgree::Uneven,
            'verdict' => $after->result->verdict->value ?? ($alone ? 'retire' : 'keep'),
            'sentences' => $after === null ? [$words->verdictAlone($result, $chain)] : $words->sentences($after),
            'why' => $after === null ? null : $words->why($after, $chain, $this->wear->tellingOf($chainId)),
            'unlikely' => $range === null ? null : (string) __('errors.reading_unlikely', CheckReading::expected($range)),
            'wear' => [
                'limit' => $chain->terms->limitPct,
                'mean' => $after?->result->nowMean,
                'p10' => $after?->result->nowP10,
                'p90' => $after?->result->nowP90,
                'value' => $result->valuePct,
                'lower' => $result->lowerPct,
                'upper' => $result->upperPct,
                'of' => $words->reads($result),
            ],
        ];
    }
}
