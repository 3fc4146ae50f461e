<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Strip\Protocols;
use App\Text\StripWords;
use App\Text\Translator;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Strip\BathSource;
use Dripel\Core\Strip\StripPlan;
use Dripel\Core\Strip\StripRinseInput;
use Illuminate\Console\Command;

/** The stripping schools side by side, as docs/stripping.md has them: solvent, time, and what should be left. */
final class Schools extends Command
{
    protected $signature = 'dripel:schools';

    protected $description = 'Prints the stripping schools as a table';

    public function handle(Protocols $protocols): int
    {
        $translator = new Translator(new Settings([]), 0);
        $words = new StripWords($translator);
        $q = $translator->quantities;
        $this->line('| school | fresh solvent | timers | bare after about | left of 8 g | |');
        $this->line('|---|---|---|---|---|---|');
        foreach ($protocols->schools() as $code => $protocol) {
            $plan = StripPlan::of($protocol, array_map(fn() => BathSource::fresh(), $protocol->baths()), 1, StripRinseInput::START_G);
            $row = [
                $words->school($code),
                $words->volumes($plan->freshMl),
                $q->seconds($protocol->timedS()),
                $q->hours(JobRun::of($plan->steps, 0, [])->aboutS(0, $plan->bareStep + 1) / 3600),
                $q->mass($plan->residuesG[count($plan->residuesG) - 1]),
                $protocol->advised() ? ($protocol->dripOnly ? 'only for drip wax' : '') : 'not advised',
            ];
            $this->line('| ' . str_replace("\u{a0}", ' ', implode(' | ', $row)) . ' |');
        }

        return self::SUCCESS;
    }
}
