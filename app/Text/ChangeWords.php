<?php

declare(strict_types=1);

namespace App\Text;

use Dripel\Core\Explain\Change;
use Dripel\Core\Logbook\Distance;

/**
 * What would change, in words: by chain, each figure before and after.
 *
 * @phpstan-type ChangedChain array{chain: string, lines: list<array{name: string, before: string, after: string}>}
 */
final readonly class ChangeWords
{
    public function __construct(private Translators $translators) {}

    /**
     * @param array<int, non-empty-list<Change>> $changes by chain
     *
     * @return list<ChangedChain>
     */
    public function of(array $changes): array
    {
        $translator = $this->translators->current();
        $chains = [];
        foreach ($changes as $chainId => $ofChain) {
            $chains[] = [
                'chain' => $translator->names->fullChain($chainId),
                'lines' => array_map(
                    fn(Change $change) => [
                        'name' => $translator->say("changes.{$change->figure}"),
                        'before' => $this->value($translator, $change->figure, $change->before),
                        'after' => $this->value($translator, $change->figure, $change->after),
                    ],
                    $ofChain,
                ),
            ];
        }

        return $chains;
    }

    private function value(Translator $translator, string $figure, Distance|float|string|null $value): string
    {
        $q = $translator->quantities;

        return match (true) {
            $value instanceof Distance => $q->ridden($value, 1),
            $figure === 'place' => $value === null ? $translator->say('changes.on_hook') : $translator->names->bike((int) $value),
            $value === null => '—',
            $figure === 'status' => $translator->say("changes.statuses.{$value}"),
            $figure === 'left' => $q->left((float) $value),
            in_array($figure, ['wear', 'limit'], true) => $q->percent((float) $value),
            default => $q->distance((float) $value, 1),
        };
    }
}
