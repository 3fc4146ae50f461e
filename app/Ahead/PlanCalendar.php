<?php

declare(strict_types=1);

namespace App\Ahead;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\AheadWords;
use App\Text\Voice;
use App\Wear\ReadWear;
use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\MeasuringDays;
use Dripel\Core\Plan\PlannedPotDay;
use Dripel\Core\Plan\Rail;
use Dripel\Core\Wear\ReadingDue;
use Sabre\VObject\Component\VCalendar;

/**
 * The plan as a calendar: pot days, swaps, top-ups, measurements that are due and bare chains. Each event keeps its UID as long as it
 * is the same thing on the same day, so that a calendar that asks again changes what it has. Times are UTC, made from the clock on
 * the wall, so that summer time is the calendar's own.
 */
final readonly class PlanCalendar
{
    public const WEEKS = 8;

    private const POT_EVENING = '19:00';

    private const POT_MORNING = '07:00';

    private const SWAP = '08:00';

    private const DRIP = '20:00';

    private const MEASURE = '18:00';

    public function __construct(private ReadPlan $readPlan, private ReadBook $readBook, private ReadWear $readWear, private AppClock $clock) {}

    public function of(Workshop $workshop): string
    {
        $book = ($this->readBook)($workshop);
        $voice = Voice::of($workshop, $this->readBook, $this->clock->unixS());
        $plan = ($this->readPlan)($workshop, self::WEEKS);
        $held = $plan->held();
        $words = new AheadWords($voice, $plan);
        $calendar = $this->empty($voice, $workshop);
        $add = fn(string $uid, string $date, string $time, int $minutes, string $summary, string $text, int $alarmMinutes = 0) => $this->event($calendar, "{$uid}-{$workshop->id}@dripel", $date, $time, $minutes, $summary, $text, $alarmMinutes, $voice->zone());
        foreach ($held->potDays as $pot) {
            $date = $plan->potOn($pot->day);
            $minutes = (int) ceil($words->potMinutes($pot));
            $pot->dips === [] || $add("pot-{$date}", $date, $plan->terms->evening ? self::POT_EVENING : self::POT_MORNING, $minutes, $voice->say('ahead.calendar.pot', ['chains' => $words->chains($pot)]), $voice->say('ahead.calendar.pot_text', ['time' => $words->minutes($minutes)]), 60);
        }
        foreach ($held->swaps as $swap) {
            $add("swap-{$swap->bike}-{$plan->date($swap->day)}", $plan->date($swap->day), self::SWAP, (int) ceil($plan->terms->swapMinutes), $voice->say('ahead.calendar.swap', ['bike' => $voice->names->bike((int) $swap->bike), 'chain' => $voice->names->chain((int) $swap->to)]), $voice->say('ahead.calendar.swap_text'), 30);
        }
        foreach ($held->topUps as $drip) {
            $date = LocalDay::named($plan->date($drip->day), $voice->zone())->plus(-1)->date;
            $add("drip-{$drip->chain}-{$date}", $date, self::DRIP, (int) ceil($plan->terms->topUpMinutes), $voice->say('ahead.calendar.drip', ['chain' => $voice->names->fullChain((int) $drip->chain)]), $voice->say('ahead.calendar.drip_text'), 60);
        }
        $rails = Rail::all($book, $voice->nowS, $voice->zone());
        $chains = array_merge(...array_map(fn(Rail $rail) => $rail->chains(), $rails));
        $wear = ($this->readWear)($workshop);
        $byHand = $plan->byHand();
        $lanes = $plan->lanes($byHand === [] ? array_map(fn(PlannedPotDay $pot) => $pot->day, $held->potDays) : $byHand, $byHand === [] || $plan->terms->bottle);
        $measuring = MeasuringDays::of($lanes, $plan->chainIds(), $book, $wear, $voice->nowS);
        foreach ($chains as $chain) {
            $day = $measuring[$chain->chainId] ?? (ReadingDue::of($chain, $wear->of($chain)?->result) ? 0 : null);
            $this->ofChain($add, $voice, $chain, $day === null ? null : $plan->date($day));
        }

        return $calendar->serialize();
    }

    /** @param callable(string, string, string, int, string, string, int=): void $add */
    private function ofChain(callable $add, Voice $voice, ChainState $chain, ?string $measureOn): void
    {
        $name = ['chain' => $voice->names->fullChain($chain->chainId)];
        $measureOn === null || $add("measure-{$chain->chainId}", $measureOn, self::MEASURE, 10, $voice->say('ahead.calendar.measure', $name), '');
        if ($chain->bare !== null && $chain->bareSinceS !== null) {
            $byS = max($voice->nowS, $chain->nowS + (int) round(3600 * $chain->bare->hoursLeft));
            $add("bare-{$chain->chainId}-{$chain->bareSinceS}", LocalDay::of($byS, $voice->zone())->date, $voice->quantities->date($byS, 'HH:mm'), 30, $voice->say('ahead.calendar.bare', $name), '', 120);
        }
    }

    private function empty(Voice $voice, Workshop $workshop): VCalendar
    {
        return new VCalendar([
            'PRODID' => '-//Dripel//Plan//EN',
            'CALSCALE' => 'GREGORIAN',
            'METHOD' => 'PUBLISH',
            'X-WR-CALNAME' => $voice->say('ahead.calendar.name', ['workshop' => $voice->settings->text(SettingKey::WorkshopName, 0)]),
            'X-WR-TIMEZONE' => $voice->zone()->getName(),
            'REFRESH-INTERVAL' => 'PT6H',
        ]);
    }

    private function event(VCalendar $calendar, string $uid, string $date, string $time, int $minutes, string $summary, string $text, int $alarmMinutes, DateTimeZone $zone): void
    {
        $start = (new DateTimeImmutable("{$date} {$time}", $zone))->setTimezone(new DateTimeZone('UTC'));
        $event = $calendar->createComponent('VEVENT', array_filter([
            'UID' => $uid,
            'DTSTAMP' => $this->clock->now(),
            'DTSTART' => $start,
            'DTEND' => $start->modify('+'.max(5, $minutes).' minutes'),
            'SUMMARY' => $summary,
            'DESCRIPTION' => $text,
        ], fn(mixed $value) => $value !== ''));
        if ($alarmMinutes > 0) {
            $event->add($calendar->createComponent('VALARM', ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $summary, 'TRIGGER' => "-PT{$alarmMinutes}M"]));
        }
        $calendar->add($event);
    }
}
