<?php

declare(strict_types=1);

namespace Dripel\Core\Input;

use Generator;

/**
 * A table as text, as spreadsheets and recorders write it: comma, semicolon or tab; UTF-8, UTF-16 with its mark, or else Windows-1252;
 * cells in quotes may hold separators and line ends. Source: RFC 4180 (memory) and what is met in practice.
 */
final readonly class CsvText
{
    /** No honest row is longer, in bytes: a file without line ends is no table. */
    private const LONGEST_ROW = 65536;

    /** A lifetime of riding has fewer lines by far; to look at so many takes longer than anybody waits. */
    private const MOST_LINES = 200_000;

    private function __construct(private string $text, private string $separator) {}

    /** @throws InvalidInput at `file` where nothing is in it, it is no text or has more than 200,000 lines */
    public static function of(string $bytes): self
    {
        $text = match (true) {
            str_starts_with($bytes, "\xFF\xFE") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            str_starts_with($bytes, "\xEF\xBB\xBF") => substr($bytes, 3),
            mb_check_encoding($bytes, 'UTF-8') => $bytes,
            default => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'),
        };
        if (str_contains($text, "\0")) {
            throw new InvalidInput('file', 'is no text: save the table as CSV');
        }
        $text = ltrim($text, "\r\n \t,;");
        if ($text === '') {
            throw new InvalidInput('file', 'is empty: a table has a row of names and a row for each ride');
        }
        if (substr_count($text, "\n") + substr_count($text, "\r") > 2 * self::MOST_LINES) {
            throw new InvalidInput('file', 'has more than ' . self::MOST_LINES . ' lines: take the table in parts');
        }
        $line = substr($text, 0, strcspn($text, "\r\n"));
        $counts = array_map(fn(string $separator) => substr_count($line, $separator), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);

        return new self($text, (string) array_key_first($counts));
    }

    /** @return list<string> the first row, in small letters */
    public function header(): array
    {
        foreach ($this->all() as [, $cells]) {
            return array_map(mb_strtolower(...), $cells);
        }

        return [];
    }

    /**
     * @return Generator<int, array{int, list<string>}> line number and cells of each row after the first that is not empty
     *
     * @throws InvalidInput at `file`, naming the line that is too long
     */
    public function rows(): Generator
    {
        foreach ($this->all() as $n => $row) {
            if ($n > 0) {
                yield $row;
            }
        }
    }

    /** @return Generator<int, array{int, list<string>}> */
    private function all(): Generator
    {
        [$at, $line, $length, $n] = [0, 1, strlen($this->text), 0];
        while ($at < $length) {
            $end = $this->rowEnd($at, $line);
            $row = substr($this->text, $at, $end - $at);
            if (trim($row, " \t,;\r\n") !== '') {
                yield $n++ => [$line, array_map(fn(?string $cell) => trim((string) $cell), str_getcsv($row, $this->separator, '"', ''))];
            }
            $line += substr_count($row, "\n") + 1;
            $at = $end + (substr($this->text, $end, 2) === "\r\n" ? 2 : 1);
        }
    }

    /** Where a row ends: the first line end outside quotes. */
    private function rowEnd(int $at, int $line): int
    {
        $quoted = false;
        for ($end = $at; ; ) {
            $end += strcspn($this->text, $quoted ? '"' : "\"\r\n", $end);
            if ($end - $at > self::LONGEST_ROW) {
                throw new InvalidInput('file', "line {$line}: is longer than 64 KB, so this is no table of rides; export it again as CSV");
            }
            if (($this->text[$end] ?? "\n") !== '"') {
                return $end;
            }
            $quoted = !$quoted;
            $end++;
        }
    }
}
