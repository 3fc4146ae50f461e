<?php

declare(strict_types=1);

namespace App\Text;

use DateTimeImmutable;
use DateTimeZone;
use InvalidArgumentException;

/**
 * Days and times as a pattern of Unicode's symbols says: "EEE d MMM" is "Sun 29 Nov". Names are those of lang/: a page writes a hundred
 * days, and a formatter of a language takes longer to make, one for each pattern, than all of them.
 */
final class Dates
{
    /** What PHP calls each symbol. */
    private const FIGURES = ['yyyy' => 'Y', 'y' => 'Y', 'MM' => 'm', 'dd' => 'd', 'd' => 'j', 'HH' => 'H', 'h' => 'g', 'mm' => 'i'];

    /** What PHP calls the number of each name. */
    private const NAMES = ['EEE' => 'N', 'EEEE' => 'N', 'EEEEE' => 'N', 'MMM' => 'n', 'MMMM' => 'n', 'a' => 'G'];

    /** @var array<string, array{string, array<int, string>}> by pattern: what PHP is asked for, piece by piece, and which pieces are names */
    private static array $patterns = [];

    /** @var array<string, array<string, list<string>>> by language and symbol */
    private static array $names = [];

    public function __construct(public readonly DateTimeZone $zone, private readonly string $language) {}

    public function write(int $unixS, string $pattern): string
    {
        [$asked, $symbols] = self::$patterns[$pattern] ??= self::read($pattern);
        $pieces = explode("\t", (new DateTimeImmutable("@{$unixS}"))->setTimezone($this->zone)->format($asked));
        foreach ($symbols as $i => $symbol) {
            $pieces[$i] = $this->name($symbol, (int) $pieces[$i]);
        }

        return implode($pieces);
    }

    private function name(string $symbol, int $number): string
    {
        return $this->names($symbol)[$symbol === 'a' ? intdiv($number, 12) : $number - 1];
    }

    /** @return list<string> days from Monday, months from January */
    public function names(string $symbol): array
    {
        /** @var array<string, list<string>> $names */
        $names = self::$names[$this->language] ?? (array) __('calendar', [], $this->language);

        return (self::$names[$this->language] = $names)[$symbol];
    }

    /**
     * @return array{string, array<int, string>}
     *
     * @throws InvalidArgumentException for a symbol that is not among ours
     */
    private static function read(string $pattern): array
    {
        preg_match_all('/([A-Za-z])\1*|[^A-Za-z]+/', $pattern, $found);
        $names = array_filter($found[0], fn(string $symbol) => isset(self::NAMES[$symbol]));
        $asked = array_map(
            fn(string $symbol) => match (true) {
                isset(self::NAMES[$symbol]) => self::NAMES[$symbol],
                isset(self::FIGURES[$symbol]) => self::FIGURES[$symbol],
                ctype_alpha($symbol) => throw new InvalidArgumentException("“{$symbol}” of “{$pattern}” is no symbol of a date"),
                default => $symbol,
            },
            $found[0],
        );

        return [implode("\t", $asked), $names];
    }
}
