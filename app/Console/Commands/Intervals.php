<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Plan\ReadYears;
use App\Support\AppClock;
use App\Text\Translator;
use Dripel\Core\Interval\IntervalEconomy;
use Dripel\Core\Interval\IntervalSchool;
use Dripel\Core\Plan\SimulatedBike;
use Dripel\Core\Plan\SimulatedPolicy;
use Dripel\Core\Plan\SimulatedWeek;
use Illuminate\Console\Command;

/** The three schools of intervals on one bike of the demo, as docs/ahead.md has them: kilometres, money, hours. */
final class Intervals extends Command
{
    private const YEARS = 5;

    protected $signature = 'dripel:intervals {bike=Heron} {--hour=0 : what an hour of work is worth}';

    protected $description = 'Prints the schools of intervals on a bike of the demo as a table';

    public function handle(AppClock $clock, ReadBook $readBook, ReadYears $readYears): int
    {
        $workshop = Workshop::query()->where('demo', true)->first();
        if ($workshop === null) {
            $this->error('The demo is not there. Write it with php artisan dripel:demo.');

            return self::FAILURE;
        }
        $book = $readBook($workshop);
        $translator = new Translator($book->settings, $clock->unixS());
        $q = $translator->quantities;
        $hour = is_numeric($this->option('hour')) ? (float) $q->toMinor((float) $this->option('hour')) : 0.0;
        $years = $readYears($workshop, $hour);
        $bike =
            array_values(
                array_filter($years->bikes, fn(SimulatedBike $one) => $translator->names->bike((int) $one->id) === $this->argument('bike')),
            )[0] ?? null;
        if ($bike === null) {
            $this->error('No such bike, or it is not ridden. Name it like “Heron”.');

            return self::FAILURE;
        }
        $this->line(
            '| school | re-wax at | ridden | chain life | chains | cassettes | pot days | top-ups | hours | wax | money | per 1,000 km |',
        );
        $this->line('|---|---|---|---|---|---|---|---|---|---|---|---|');
        foreach (IntervalSchool::cases() as $school) {
            $found = $years->only((int) $bike->id)->ridden(new SimulatedPolicy($school->km()), self::YEARS);
            $count = fn(callable $what): string => $q->number($found->sum($what));
            $this->row([
                $school->value,
                $q->distance($school->km()),
                $q->distance($found->km()),
                $found->chainLifeKm() === null ? '–' : $q->distance($found->chainLifeKm()),
                $count(fn(SimulatedWeek $week) => $week->bought),
                $count(fn(SimulatedWeek $week) => $week->cassettes),
                $count(fn(SimulatedWeek $week) => $week->potDays),
                $count(fn(SimulatedWeek $week) => $week->topUps),
                $q->number($found->minutes() / 60.0),
                $q->mass($found->sum(fn(SimulatedWeek $week) => $week->waxBoughtG)),
                $q->money($found->cost()),
                $q->money((float) $found->usedUpPer1000Km()),
            ]);
        }
        $cheapest = (new IntervalEconomy())(
            $years->economy($bike, $book->terms()->ofBike((int) $bike->id, $translator->nowS)->intervalKm, self::YEARS),
        );
        $this->line('');
        $this->line(
            str_replace(
                "\u{a0}",
                ' ',
                sprintf(
                    'The cheapest interval of %s: %s, %s per 1,000 km.',
                    $this->argument('bike'),
                    $q->distance($cheapest->best->intervalKm),
                    $q->money($cheapest->best->costPer1000Km),
                ),
            ),
        );

        return self::SUCCESS;
    }

    /** @param list<string> $cells */
    private function row(array $cells): void
    {
        $this->line('| ' . str_replace("\u{a0}", ' ', implode(' | ', $cells)) . ' |');
    }
}
