<?php

declare(strict_types=1);

namespace Tests\Feature\Text;

/** Names that only a reader of the code knows, in what a person is to read. */
final class CodeNames
{
    private const PATTERN = '/
        \b[a-z]+(?:\.[a-z]+)*\.[a-z]+(?:_[a-z]+)+\b   # plan.pot_days
        |(?<![\w\/@.-])[a-z]{3,}\.[a-z]{3,}(?:\.[a-z]+)*\b(?!\/)  # wax.life, keep.table.cares
        |(?<![\w\/.-])[a-z]+(?:_[a-z]+)+\b            # pot_days
        |\b[A-Z][a-z]+(?:[A-Z][a-z]+)+\b              # ChainState
        |\([^)]*\bmemory\)                            # (memory)
        |\b\w+::\w+|\bnull\b|\bundefined\b|\bNaN\b|∞
    /xu';

    /** Of the world, not of the code: what files are called. */
    private const FILES = '/\.(?:gpx|tcx|csv|json|ics|zip|test|example)$/';

    /** @return list<string> */
    public static function in(string $words): array
    {
        preg_match_all(self::PATTERN, $words, $found);

        return array_values(array_filter($found[0], fn(string $name) => preg_match(self::FILES, $name) !== 1));
    }
}
