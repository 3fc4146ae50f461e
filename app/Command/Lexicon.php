<?php

declare(strict_types=1);

namespace App\Command;

use App\Text\Translator;
use Dripel\Core\Logbook\Book;

/** Every word the command line knows: those of the language, and the names of this workshop. */
final readonly class Lexicon
{
    /** A word with more wrong letters than this is another word. */
    private const MOST_WRONG = 2;

    /** @var array<string, list<string>> by verb */
    public array $verbs;

    /** @var array<string, list<string>> by what is planned: the pot, or everything */
    public array $ahead;

    /** @var array<string, list<string>> by condition */
    public array $conditions;

    /** @var array<string, list<string>> by unit of distance */
    public array $units;

    /** @var list<string> */
    public array $fillers;

    /** @var list<string> */
    public array $today;

    /** @var list<string> */
    public array $yesterday;

    /** @var list<string> */
    public array $tomorrow;

    public string $since;

    /** @var array<int, string> by bike */
    public array $bikes;

    public function __construct(private Book $book, private Translator $translator)
    {
        /** @var array{verbs: array<string, list<string>>, ahead: array<string, list<string>>, tomorrow: list<string>, conditions: array<string, list<string>>, units: array<string, list<string>>, fillers: list<string>, today: list<string>, yesterday: list<string>, since: string} $words */
        $words = __('command');
        [$this->verbs, $this->conditions, $this->units, $this->fillers] = [
            $words['verbs'],
            $words['conditions'],
            $words['units'],
            $words['fillers'],
        ];
        [$this->ahead, $this->tomorrow] = [$words['ahead'], $words['tomorrow']];
        [$this->today, $this->yesterday, $this->since] = [$words['today'], $words['yesterday'], $words['since']];
        $this->bikes = array_combine(
            $book->bikeIds,
            array_map(fn(int $id) => mb_strtolower($translator->names->bike($id)), $book->bikeIds),
        );
    }

    /** @return array<int, string> the letters of a bike's chains in use, by chain */
    public function lettersOf(int $bikeId): array
    {
        $ids = array_values(
            array_filter(
                $this->book->chainIds,
                fn(int $id) => $this->book->settings->home($id, $this->translator->nowS) === $bikeId && !$this->book->isRetired($id),
            ),
        );

        return array_combine($ids, array_map($this->translator->names->chain(...), $ids));
    }

    /** @return array<int, list<string>> long and short, by weekday */
    public function weekdays(): array
    {
        return array_combine(
            range(1, 7),
            array_map(
                fn(int $day) => [mb_strtolower($this->translator->weekday($day, 'EEEE')), mb_strtolower($this->translator->weekday($day))],
                range(1, 7),
            ),
        );
    }

    /** @return array<int, list<string>> long and short, by month */
    public function months(): array
    {
        $names = fn(string $symbol): array => array_map(
            fn(string $name) => rtrim(mb_strtolower($name), '.'),
            $this->translator->quantities->dates->names($symbol),
        );

        return array_combine(range(1, 12), array_map(fn(string $long, string $short) => [$long, $short], $names('MMMM'), $names('MMM')));
    }

    /** The known word that is nearest to an unknown one, null if none is near. */
    public function near(string $word): ?string
    {
        $known = [$this->since, ...$this->fillers, ...array_values($this->bikes), ...$this->today, ...$this->tomorrow, ...$this->yesterday];
        foreach ([$this->verbs, $this->ahead, $this->conditions, $this->units, $this->weekdays()] as $lists) {
            array_push($known, ...array_merge(...array_values($lists)));
        }
        $best = null;
        $wrong = min(self::MOST_WRONG, intdiv(mb_strlen($word), 2)) + 1;
        foreach ($known as $candidate) {
            $distance = levenshtein($word, $candidate);
            if ($distance < $wrong) {
                [$best, $wrong] = [$candidate, $distance];
            }
        }

        return $best;
    }
}
