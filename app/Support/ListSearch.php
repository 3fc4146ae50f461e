<?php

declare(strict_types=1);

namespace App\Support;

use Dripel\Core\Interval\Condition;
use Illuminate\Http\Request;

/**
 * What somebody looks for in a long list, as its address says it; what cannot be is taken for not said.
 *
 * @phpstan-type SearchView array{
 *     text: string,
 *     bike: int|null,
 *     chain: int|null,
 *     condition: string,
 *     from: string,
 *     to: string,
 *     sort: string,
 * }
 */
final readonly class ListSearch
{
    public function __construct(
        public string $text = '',
        public ?int $bikeId = null,
        public ?int $chainId = null,
        public ?Condition $condition = null,
        /** Local days, YYYY-MM-DD, both included. */
        public ?string $from = null,
        public ?string $to = null,
        /** A column; with a minus before it the largest first. */
        public string $sort = '',
        public int $page = 1,
    ) {}

    /** Another workshop's bike or chain is not found (404). */
    public static function of(Request $request, Find $find): self
    {
        $text = fn(string $name): string => is_string($value = $request->query($name)) ? trim($value) : '';
        $day = fn(string $name): ?string => preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $text($name), $on) === 1 &&
        checkdate((int) $on[2], (int) $on[3], (int) $on[1])
            ? $text($name)
            : null;

        return new self(
            mb_substr($text('text'), 0, 80),
            $find->bikeIfNamed($request->query('bike'))?->id,
            $find->chainIfNamed($request->query('chain'))?->id,
            Condition::tryFrom($text('condition')),
            $day('from'),
            $day('to'),
            $text('sort'),
            max(1, $request->integer('page', 1)),
        );
    }

    /** Whether every word that is looked for stands in a text. */
    public function found(string $in): bool
    {
        foreach (preg_split('/\s+/u', mb_strtolower($this->text), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (!str_contains(mb_strtolower($in), $word)) {
                return false;
            }
        }

        return true;
    }

    public function looking(): bool
    {
        return array_filter([...$this->view(), 'sort' => '']) !== [];
    }

    public function onDay(string $date): bool
    {
        return ($this->from === null || $date >= $this->from) && ($this->to === null || $date <= $this->to);
    }

    /** @return SearchView */
    public function view(): array
    {
        return [
            'text' => $this->text,
            'bike' => $this->bikeId,
            'chain' => $this->chainId,
            'condition' => $this->condition->value ?? '',
            'from' => $this->from ?? '',
            'to' => $this->to ?? '',
            'sort' => $this->sort,
        ];
    }
}
