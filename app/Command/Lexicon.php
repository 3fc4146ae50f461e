<?php

declare(strict_types=1);

namespace App\Command;

use App\Text\Voice;
use Dripel\Core\Logbook\Book;

/** Every word the command line knows: those of the language, and the names of this workshop. */
final readonly class Lexicon
{
    /** A word with more wrong letters than this is another word. */
    private const MOST_WRONG = 2;

    /** @var array<string, list<string>> by verb */
    public array $verbs;

    /** @var array<string, list<string>> by condition */
    public array $conditions;

    /** @var array<string, list<string>> by unit */
    public array $units;

    /** @var list<string> */
    public array $fillers;

    /** @var list<string> */
    public array $today;

    /** @var list<string> */
    public array $yesterday;

    /** @var array<int, string> by bike */
    public array $bikes;

    /** @var array<int, string> by weekday, long and short */
    public array $weekdays;

    public function __construct(Book $book, private Voice $voice)
    {
        /** @var array{verbs: array<string, list<string>>, conditions: array<string, list<string>>, units: array<string, list<string>>, fillers: list<string>, today: list<string>, yesterday: list<string>} $words */
        $words = __('command');
        [$this->verbs, $this->conditions, $this->units, $this->fillers] = [$words['verbs'], $words['conditions'], $words['units'], $words['fillers']];
        [$this->today, $this->yesterday] = [$words['today'], $words['yesterday']];
        $bikes = [];
        foreach ($book->bikeIds as $id) {
            $bikes[$id] = mb_strtolower($voice->names->bike($id));
        }
        $this->bikes = $bikes;
        $this->weekdays = array_combine(range(1, 7), array_map(fn(int $day) => mb_strtolower($voice->weekday($day, 'EEEE')), range(1, 7)));
    }

    /** @return array<int, list<string>> by weekday */
    public function weekdayWords(): array
    {
        return array_combine(range(1, 7), array_map(fn(int $day) => [$this->weekdays[$day], mb_strtolower($this->voice->weekday($day))], range(1, 7)));
    }

    /** @return array<int, list<string>> by month */
    public function monthWords(): array
    {
        $name = fn(int $month, string $pattern) => rtrim(mb_strtolower($this->voice->quantities->date((int) gmmktime(12, 0, 0, $month, 15, 2026), $pattern)), '.');

        return array_combine(range(1, 12), array_map(fn(int $month) => [$name($month, 'LLLL'), $name($month, 'LLL')], range(1, 12)));
    }

    /** The known word that is nearest to an unknown one, null if none is near. */
    public function near(string $word): ?string
    {
        $known = array_merge($this->fillers, array_values($this->bikes), array_values($this->weekdays), [__('command.since'), ...$this->today, ...$this->yesterday], ...array_values($this->verbs), ...array_values($this->conditions), ...array_values($this->units));
        $best = null;
        $wrong = min(self::MOST_WRONG, intdiv(mb_strlen($word), 2)) + 1;
        foreach ($known as $candidate) {
            $distance = levenshtein($word, (string) $candidate);
            if ($distance < $wrong) {
                [$best, $wrong] = [(string) $candidate, $distance];
            }
        }

        return $best;
    }
}
