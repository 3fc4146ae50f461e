<?php

declare(strict_types=1);

namespace App\Command;

/** What somebody typed, in lower case, from which words are taken one after the other until nothing is left. */
final class Phrase
{
    private string $rest;

    public function __construct(string $text)
    {
        // Commas between digits are decimal commas; all others are air.
        $text = preg_replace(['/(?<=\d),(?=\d)/u', '/[;!?]|,(?!\d)/u', '/\s+/u'], ['.', ' ', ' '], mb_strtolower(trim($text))) ?? '';
        $this->rest = " {$text} ";
    }

    /**
     * @param string $pattern that begins with a space and leaves the next one
     *
     * @return array<int|string, string>|null the groups of the first match, which is taken away
     */
    public function take(string $pattern): ?array
    {
        if (preg_match($pattern, $this->rest, $found, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $this->rest = substr_replace($this->rest, '', $found[0][1], strlen($found[0][0]));

        return array_map(fn(array $group) => (string) $group[0], $found);
    }

    /**
     * @param array<int|string, string|list<string>> $words lists of words by what they mean, or words that mean themselves; the longest
     * first
     */
    public function takeOneOf(array $words): int|string|null
    {
        $meanings = [];
        foreach ($words as $meaning => $all) {
            foreach ((array) $all as $word) {
                $meanings[mb_strtolower($word)] = $meaning;
            }
        }
        uksort($meanings, fn(int|string $a, int|string $b) => mb_strlen((string) $b) <=> mb_strlen((string) $a));
        foreach ($meanings as $word => $meaning) {
            if ($this->take('/ ' . preg_quote((string) $word, '/') . '(?= )/u') !== null) {
                return $meaning;
            }
        }

        return null;
    }

    /** Whether all of it is one of the sentences that a key of the language file lists. */
    public function isOneOf(string $key): bool
    {
        return in_array(implode(' ', $this->left()), (array) __($key), true);
    }

    /** @return list<string> what nobody took */
    public function left(): array
    {
        return array_values(array_filter(explode(' ', $this->rest), fn(string $word) => $word !== ''));
    }
}
