<?php

declare(strict_types=1);

namespace App\Text;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use Closure;
use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Plan\LocalDay;

/** How Dripel speaks in one workshop: its language, units, zone and names. */
final readonly class Translator
{
    /** So far ahead no day is known for sure. */
    private const FAR_DAYS = 180;

    public Names $names;

    public Quantities $quantities;

    public WaxWords $wax;

    public function __construct(public Settings $settings, public int $nowS)
    {
        $this->names = new Names($settings);
        $this->quantities = new Quantities(
            Units::of($settings),
            new DateTimeZone($settings->text(SettingKey::TimeZone, 0, 'UTC')),
            $settings->text(SettingKey::Language, 0, 'en'),
        );
        $this->wax = new WaxWords($this->quantities);
    }

    public static function of(Workshop $workshop, ReadBook $readBook, int $nowS): self
    {
        return new self($readBook->settings($workshop), $nowS);
    }

    /** @return list<string> the folders of lang/ */
    public static function languages(): array
    {
        return array_map(basename(...), glob(lang_path('*'), GLOB_ONLYDIR) ?: []);
    }

    public function zone(): DateTimeZone
    {
        return $this->quantities->zone;
    }

    /** @param array<string, string|int|float|null|Closure(): string> $parameters */
    public function say(string $code, array $parameters = []): string
    {
        return (string) __($code, $parameters);
    }

    /** @return list<array{value: int, title: string}> 1 Monday to 7 Sunday, from the day that the workshop's week begins with */
    public function weekdays(): array
    {
        $first = $this->quantities->units->firstDay;

        return array_map(fn(int $day) => ['value' => $day, 'title' => $this->weekday($day)], [
            ...range($first, 7),
            ...$first === 1 ? [] : range(1, $first - 1),
        ]);
    }

    /**
     * @param iterable<int> $newestFirst unix seconds
     *
     * @return list<array{value: string, title: string}> the months that they are in by their last day, the newest first
     */
    public function months(iterable $newestFirst): array
    {
        $months = [];
        $beganS = PHP_INT_MAX;
        foreach ($newestFirst as $atS) {
            if ($atS < $beganS) {
                $first = new DateTimeImmutable($this->quantities->date($atS, 'yyyy-MM') . '-01', $this->zone());
                $beganS = $first->getTimestamp();
                $months[] = ['value' => $first->format('Y-m-t'), 'title' => $this->quantities->date($atS, 'MMMM y')];
            }
        }

        return $months;
    }

    /** @param int $weekday 1 Monday to 7 Sunday */
    public function weekday(int $weekday, string $pattern = 'EEE'): string
    {
        return $this->quantities->dates->names($pattern)[$weekday - 1];
    }

    /** The hour, with its day where that is another one: "16:40", "tomorrow, 07:40". */
    public function soon(int $unixS): string
    {
        $date = $this->quantities->date($unixS, 'yyyy-MM-dd');
        $time = $this->quantities->time($unixS);

        return $date === $this->quantities->date($this->nowS, 'yyyy-MM-dd') ? $time : "{$this->dayWord($date)}, {$time}";
    }

    /** "today", "yesterday", "Sunday" within a week ahead, else "9 Dec". */
    public function dayWord(string $date): string
    {
        $day = LocalDay::named($date, $this->zone());
        $ahead = (int) round(($day->startS() - LocalDay::of($this->nowS, $this->zone())->startS()) / 86400);

        return match (true) {
            $ahead === 0 => $this->say('words.today'),
            $ahead === 1 => $this->say('words.tomorrow'),
            $ahead === -1 => $this->say('words.yesterday'),
            $ahead > 1 && $ahead < 7 => $this->quantities->date($day->startS(), 'EEEE'),
            default => $this->quantities->date($day->startS(), 'd MMM'),
        };
    }

    /** The day of something that is only expected: beyond half a year its month says as much as is known. */
    public function farDay(string $date): string
    {
        $day = LocalDay::named($date, $this->zone());

        return $day->date < LocalDay::of($this->nowS, $this->zone())->plus(self::FAR_DAYS)->date
            ? $this->dayWord($date)
            : $this->quantities->date($day->startS(), 'MMMM y');
    }
}
