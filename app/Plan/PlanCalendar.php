<?php

declare(strict_types=1);

namespace App\Plan;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\PlanWords;
use App\Text\Translator;
use App\Wear\ReadWear;
use DateTimeImmutable;
use DateTimeZone;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\DeadlineKind;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Plan\MeasuringDays;
use Dripel\Core\Plan\PlanHours;
use Dripel\Core\Plan\PlanTerms;
use Dripel\Core\Riders\Whose;
use Dripel\Core\Wear\ReadingDue;
use Sabre\VObject\Component\VCalendar;

/**
 * The plan as a calendar: pot days, swaps, top-ups, measurements that are due and bare chains. Each event keeps its UID as long as it
 * is the same thing on the same day, so that a calendar that asks again changes what it has. Times are UTC, made from the clock on
 * the wall, so that summer time is the calendar's own.
 */
final readonly class PlanCalendar
{
    private const DIP_MINUTES = 30;

    public function __construct(
        private ReadPlan $readPlan,
        private ReadBook $readBook,
        private ReadWear $readWear,
        private AppClock $clock,
    ) {}

    public function of(Workshop $workshop, Whose $whose): string
    {
        $book = ($this->readBook)($workshop);
        $translator = Translator::of($workshop, $this->readBook, $this->clock->unixS());
        $plan = ($this->readPlan)($workshop);
        $words = new PlanWords($translator, $plan);
        $calendar = $this->empty($translator, $workshop);
        $add = fn(string $uid, int $atS, float $minutes, string $summary, string $text, int $alarmMinutes = 0) => $this->event(
            $calendar,
            "{$uid}-{$workshop->id}@dripel",
            $atS,
            (int) ceil($minutes),
            $summary,
            $text,
            $alarmMinutes,
        );
        $at = fn(string $date, int $hour): int => LocalDay::named($date, $translator->zone())->atHour($hour);
        foreach ($plan->result()->potDays as $pot) {
            $date = $plan->days->potOn($pot->day);
            $minutes = $words->potMinutes($pot);
            array_filter($pot->dips, fn(string|int $id) => $whose->chain((int) $id, $translator->nowS)) === [] ||
                $add(
                    "pot-{$date}",
                    $plan->days->potS($pot->day),
                    $minutes,
                    $translator->say('ahead.calendar.pot', ['chains' => $words->chains($pot)]),
                    $translator->say('ahead.calendar.pot_text', ['time' => $words->minutes($minutes)]),
                    60,
                );
        }
        $lanes = array_filter($plan->walk()->lanes, $whose->bike(...), ARRAY_FILTER_USE_KEY);
        foreach ($lanes as $bikeId => $days) {
            foreach ($days as $day) {
                $date = $plan->days->date($day->day);
                $evening = $plan->days->date($day->day - 1);
                $day->offId === null ||
                    $add(
                        "swap-{$bikeId}-{$date}",
                        $at($date, PlanHours::SWAP),
                        $plan->terms->swapMinutes,
                        $translator->say('ahead.calendar.swap', [
                            'bike' => $translator->names->bike($bikeId),
                            'chain' => $translator->names->chain($day->chainId),
                        ]),
                        $translator->say('ahead.calendar.swap_text'),
                        30,
                    );
                foreach (array_unique($day->dripped) as $chainId) {
                    $add(
                        "drip-{$chainId}-{$evening}",
                        $at($evening, PlanHours::DRIP),
                        PlanTerms::TOPUP_WORK_MINUTES,
                        $translator->say('ahead.calendar.drip', ['chain' => $translator->names->fullChain($chainId)]),
                        $translator->say('ahead.calendar.drip_text'),
                        60,
                    );
                }
            }
        }
        $wear = ($this->readWear)($workshop);
        $measuring = MeasuringDays::of($lanes, $plan->chainIds(), $book, $wear, $translator->nowS);
        foreach ($whose->rails($plan->rails) as $rail) {
            foreach ($rail->chains() as $chain) {
                $name = ['chain' => $translator->names->fullChain($chain->chainId)];
                $day = $measuring[$chain->chainId] ?? (ReadingDue::of($chain, $wear->of($chain)?->result) ? 0 : null);
                $day === null ||
                    $add(
                        "measure-{$chain->chainId}",
                        $at($plan->days->date($day), PlanHours::MEASURE),
                        PlanTerms::MEASURE_MINUTES,
                        $translator->say('ahead.calendar.measure', $name),
                        '',
                    );
            }
        }
        // A bare chain that the plan's pot is in time for stands there.
        foreach ($plan->missed() as $deadline) {
            $deadline->kind !== DeadlineKind::Rust ||
                !$whose->chain($deadline->chainId, $translator->nowS) ||
                $add(
                    "bare-{$deadline->chainId}-" . (int) $book->chain($deadline->chainId, $translator->nowS)->dryness->bareSinceS,
                    max($translator->nowS, (int) $deadline->byS),
                    self::DIP_MINUTES,
                    $translator->say('ahead.calendar.bare', ['chain' => $translator->names->fullChain($deadline->chainId)]),
                    '',
                    120,
                );
        }

        return $calendar->serialize();
    }

    private function empty(Translator $translator, Workshop $workshop): VCalendar
    {
        return new VCalendar([
            'PRODID' => '-//Dripel//Plan//EN',
            'CALSCALE' => 'GREGORIAN',
            'METHOD' => 'PUBLISH',
            'X-WR-CALNAME' => $translator->say('ahead.calendar.name', [
                'workshop' => $translator->settings->text(SettingKey::WorkshopName, 0),
            ]),
            'X-WR-TIMEZONE' => $translator->zone()->getName(),
            'REFRESH-INTERVAL' => 'PT6H',
        ]);
    }

    private function event(VCalendar $calendar, string $uid, int $atS, int $minutes, string $summary, string $text, int $alarmMinutes): void
    {
        $start = new DateTimeImmutable("@{$atS}", new DateTimeZone('UTC'));
        $event = $calendar->createComponent(
            'VEVENT',
            array_filter(
                [
                    'UID' => $uid,
                    'DTSTAMP' => $this->clock->now(),
                    'DTSTART' => $start,
                    'DTEND' => $start->modify('+' . max(5, $minutes) . ' minutes'),
                    'SUMMARY' => $summary,
                    'DESCRIPTION' => $text,
                ],
                fn(mixed $value) => $value !== '',
            ),
        );
        if ($alarmMinutes > 0) {
            $event->add(
                $calendar->createComponent('VALARM', [
                    'ACTION' => 'DISPLAY',
                    'DESCRIPTION' => $summary,
                    'TRIGGER' => "-PT{$alarmMinutes}M",
                ]),
            );
        }
        $calendar->add($event);
    }
}
