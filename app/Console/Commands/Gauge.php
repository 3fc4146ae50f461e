<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Devices\Connect;
use App\Devices\SimulatedGauge;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Text\Translator;
use Illuminate\Console\Command;

/** The simulated digital gauge, from the command line: it measures a chain of the demo. */
final class Gauge extends Command
{
    protected $signature = 'dripel:gauge
        {chain : with its bike, like "Heron B"}
        {--value= : % that the chain really has; what is most likely, if left out}
        {--spots=3 : at so many spots}
        {--every=1.2 : seconds between two spots}';

    protected $description = 'Send simulated readings of a digital gauge';

    public function handle(Connect $connect, SimulatedGauge $gauge, ReadBook $readBook, AppClock $clock): int
    {
        $workshop = Workshop::query()->where('demo', true)->first();
        $book = $workshop === null ? null : $readBook($workshop);
        $names = $book === null ? null : (new Translator($book->settings, $clock->unixS()))->names;
        $chainId =
            array_values(array_filter($book->chainIds ?? [], fn(int $id) => $names?->fullChain($id) === $this->argument('chain')))[0] ??
            null;
        if ($workshop === null || $chainId === null) {
            $this->error('No such chain in the demo. Name it with its bike, like “Heron B”.');

            return self::FAILURE;
        }
        [$device, $token] = $connect->gauge($workshop, 'Simulated gauge', ['chain' => $chainId]);
        $truth = is_numeric($this->option('value')) ? (float) $this->option('value') : $gauge->truth($workshop, $chainId);
        for ($left = (int) $this->option('spots'); $left > 0 && $gauge->send($device, $token, $truth); $left--) {
            $left > 1 && usleep((int) (1e6 * (float) $this->option('every')));
        }
        $connect->disconnect($device);

        return self::SUCCESS;
    }
}
