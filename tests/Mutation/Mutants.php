<?php

declare(strict_types=1);

namespace Tests\Mutation;

use PhpToken;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Small faults put into a file, one at a time: another comparison, another sign, another bound. A test suite that is worth its time
 * notices each of them.
 */
final readonly class Mutants
{
    /** What becomes of an operator or word. */
    private const FAULTS = [
        '<' => '<=',
        '<=' => '<',
        '>' => '>=',
        '>=' => '>',
        '===' => '!==',
        '!==' => '===',
        '&&' => '||',
        '||' => '&&',
        '+' => '-',
        '-' => '+',
        '*' => '/',
        '/' => '*',
        '+=' => '-=',
        '-=' => '+=',
        '++' => '--',
        'true' => 'false',
        'false' => 'true',
        'min' => 'max',
        'max' => 'min',
        '??' => '?:',
        '!' => '',
    ];

    /**
     * All that a file can be made to do wrong: where, and what stands there instead.
     *
     * @return list<Mutant>
     */
    public static function of(string $path): array
    {
        $found = [];
        $tokens = PhpToken::tokenize((string) file_get_contents($path));
        $constant = false;
        foreach ($tokens as $n => $token) {
            // What a constant is worth is said by its reason beside it; tests that repeat it would prove nothing.
            $constant = $token->is(T_CONST) || ($constant && $token->text !== ';');
            $fault = self::FAULTS[strtolower($token->text)] ?? null;
            if ($token->is(T_LNUMBER) || $token->is(T_DNUMBER)) {
                $fault = (string) ($token->is(T_LNUMBER) ? (int) $token->text + 1 : (float) $token->text * 1.5 + 1.0);
            }
            if ($fault === null || $constant || self::declares($tokens, $n)) {
                continue;
            }
            $found[] = new Mutant($path, $token->line, $token->pos, $token->text, $fault);
        }

        return $found;
    }

    /**
     * So many of them by the dice, the same for the same seed, but for those that make no difference.
     *
     * @param list<string> $paths
     *
     * @return list<Mutant>
     */
    public static function some(array $paths, int $count, int $seed): array
    {
        $all = array_merge(...array_map(self::of(...), $paths));
        $alike = self::alike();
        $picked = array_filter(
            array_slice((new Randomizer(new Xoshiro256StarStar($seed)))->shuffleArray($all), 0, $count),
            fn(Mutant $one) => !isset($alike[$one->place()]),
        );
        usort($picked, fn(Mutant $a, Mutant $b) => [$a->path, $a->at] <=> [$b->path, $b->at]);

        return $picked;
    }

    /** @return array<string, string> why a fault makes no difference, by its place */
    public static function alike(): array
    {
        $reasons = [];
        foreach (array_slice((array) file(__DIR__ . '/alike.tsv', FILE_IGNORE_NEW_LINES), 1) as $row) {
            [$path, $line, $fault, $why] = explode("\t", (string) $row);
            $reasons["{$path}\t{$line}\t{$fault}"] = $why;
        }

        return $reasons;
    }

    /**
     * Whether it is no computation: a default, a sign before a number, a type, a declare.
     *
     * @param list<PhpToken> $tokens
     */
    private static function declares(array $tokens, int $n): bool
    {
        $before = null;
        for ($i = $n - 1; $i >= 0 && $before === null; $i--) {
            $before = $tokens[$i]->is(T_WHITESPACE) ? null : $tokens[$i];
        }
        $after = null;
        for ($i = $n + 1; $i < count($tokens) && $after === null; $i++) {
            $after = $tokens[$i]->is(T_WHITESPACE) ? null : $tokens[$i];
        }
        if (in_array($tokens[$n]->text, ['min', 'max'], true)) {
            return $after?->text !== '(' || in_array($before?->text, ['->', '::', 'function'], true);
        }

        // A sign that belongs to what follows it; “/” and “?” of a type; strict_types.
        return (in_array($tokens[$n]->text, ['+', '-'], true) &&
            in_array($before?->text, ['(', '[', ',', '=', 'return', '=>', '?', ':', '==', '===', '<', '>', '*', '/', '+', '-'], true)) ||
            $before?->text === 'strict_types' ||
            ($before?->text === '=' && ($tokens[$n - 2]->text ?? '') === 'strict_types');
    }
}
