<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Cost\ReadPrices;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\Translator;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Wear\WorkshopWear;
use Illuminate\Console\Command;

/** The schools of wear limits on one chain of the demo, as docs/wear.md has them: when each retires it, and what that costs. */
final class Limits extends Command
{
    private const KM = 30_000;

    protected $signature = 'dripel:limits {chain=Heron B : with its bike} {--cassette= : what a new cassette costs; by the price list, if left out}';

    protected $description = 'Prints the schools of wear limits on a chain of the demo as a table';

    public function handle(AppClock $clock, ReadBook $readBook, ReadPrices $readPrices): int
    {
        $workshop = Workshop::query()->where('demo', true)->first();
        if ($workshop === null) {
            $this->error('The demo is not there. Write it with php artisan dripel:demo.');

            return self::FAILURE;
        }
        $book = $readBook($workshop);
        $translator = new Translator($book->settings, $clock->unixS());
        $q = $translator->quantities;
        $named = array_values(
            array_filter($book->chainIds, fn(int $id) => $translator->names->fullChain($id) === $this->argument('chain')),
        );
        $forecast = $named === [] ? null : (new WorkshopWear($book, $translator->nowS))->of($named[0]);
        if ($forecast === null) {
            $this->error('No such chain, or nobody knows how far it went. Name it with its bike, like “Heron B”.');

            return self::FAILURE;
        }
        $prices = $readPrices($workshop);
        $schools = $forecast->schools(
            $book->settings->whole(SettingKey::ChainSpeeds, $named[0]),
            $prices->costMinor(Supply::Chain, 1, $translator->nowS) ?? 0.0,
            is_numeric($this->option('cassette'))
                ? $q->toMinor((float) $this->option('cassette'))
                : $prices->costMinor(Supply::Cassette, 1, $translator->nowS) ?? 0.0,
        );
        $range = fn(string $least, string $most): string => $least === $most ? $least : "{$least} to {$most}";
        $this->line(
            sprintf(
                '| school | limit | retired at | chains in %1$s | cassettes in %1$s | both, per %2$s |',
                $q->distance(self::KM),
                $q->distance(1000),
            ),
        );
        $this->line('|---|---|---|---|---|---|');
        foreach ($schools as $school) {
            $chains = $school->retireKm === null ? null : self::KM / $school->retireKm;
            $row = [
                $translator->say("schools.{$school->school->value}.name"),
                $q->mark($school->limitPct),
                ...$chains === null
                    ? ['not foreseen', '–', '–', '–']
                    : [
                        $q->distance((float) $school->retireKm),
                        $q->number($chains, 1),
                        $range(
                            $q->number($chains / $school->chainsPerCassetteAtBest, 1),
                            $q->number($chains / $school->chainsPerCassetteAtWorst, 1),
                        ),
                        $range($q->money((float) $school->leastPer1000Km), $q->money((float) $school->mostPer1000Km)),
                    ],
            ];
            $this->line('| ' . str_replace("\u{a0}", ' ', implode(' | ', $row)) . ' |');
        }

        return self::SUCCESS;
    }
}
