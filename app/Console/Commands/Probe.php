<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\PotDay\PotDayJob;
use App\Devices\Connect;
use App\Devices\SimulatedProbe;
use App\Guided\GuidedKind;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Models\Workshop;
use Illuminate\Console\Command;

/** The simulated probe, from the command line: it watches the pot day that is under way. */
final class Probe extends Command
{
    protected $signature = 'dripel:probe
        {job? : the pot day it watches; the one under way if left out}
        {--speed=1 : how many times faster the wax warms up than in truth}
        {--extra-watts=0 : W more than the pot is told to take, to see it overheat}
        {--every=2 : seconds between two readings}
        {--readings= : stop after so many}';

    protected $description = 'Send simulated temperatures of a pot day';

    public function handle(Connect $connect, SimulatedProbe $probe): int
    {
        $job = GuidedJob::query()
            ->where('kind', GuidedKind::PotDay)
            ->open()
            ->whereNotNull('begun_at')
            ->when($this->argument('job'), fn($query, $id) => $query->whereKey($id))
            ->with('taps')
            ->first();
        if ($job === null) {
            $this->error('No pot day is under way.');

            return self::FAILURE;
        }
        $simulates = ['job' => $job->id, 'speed' => (float) $this->option('speed'), 'extra_w' => (float) $this->option('extra-watts')];
        [$device, $token] = $connect->probe(
            Workshop::query()->findOrFail($job->workshop_id),
            Pot::query()->findOrFail(PotDayJob::choices($job)->potId),
            'Simulated probe',
            $simulates,
        );
        $left = is_numeric($this->option('readings')) ? (int) $this->option('readings') : PHP_INT_MAX;
        while (
            $left-- > 0 &&
            $device->refresh()->gone_at === null &&
            $job->refresh()->load('taps')->ended_at === null &&
            $probe->send($device, $token, $job)
        ) {
            $left > 0 && usleep((int) (1e6 * (float) $this->option('every')));
        }
        $connect->disconnect($device);

        return self::SUCCESS;
    }
}
