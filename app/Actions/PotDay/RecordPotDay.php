<?php

declare(strict_types=1);

namespace App\Actions\PotDay;

use App\Devices\ReadTemperatures;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bath;
use App\Models\BathEntry;
use App\Models\Chain;
use App\Models\Dip;
use App\Models\GuidedJob;
use App\Models\GuidedTap;
use App\Models\Temperature;
use Dripel\Core\Bath\BathEventKind;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\PotDay\DippedThen;
use Dripel\Core\PotDay\JarRinse;
use Dripel\Core\PotDay\PotDayPlan;
use Dripel\Core\PotDay\PotDayRecord;

/** Writes a pot day into the logbook, all of it as one action: dips, the hottest the bath was, oil that was added. */
final readonly class RecordPotDay
{
    /** A reading so near to when a chain went in says how warm the bath was, in seconds. */
    private const NEAR_S = 180;

    public function __construct(private Ledger $ledger, private ReadTemperatures $readTemperatures) {}

    public function __invoke(ActionContext $by, GuidedJob $job, JobRun $run): Action
    {
        return $this->ledger->record($by, ActionKind::PotDay, function (Draft $draft) use ($job, $run): About {
            $potId = PotDayJob::choices($job)->potId;
            $dipped = PotDayRecord::of($run);
            $linkIn = PotDayJob::choices($job)->linkIn;
            $there = Chain::query()->live()->whereKey($job->chains)->pluck('id')->all();
            foreach ($dipped as $dip) {
                // One whose coming was taken back meanwhile is no chain any more.
                in_array($dip->chainId, $there, true) &&
                    $draft->enter(Dip::class, new Moment($dip->atS), [
                        'component_id' => $dip->chainId,
                        'pot_id' => $potId,
                        'pickup_g' => self::pickupG($job, $dip->chainId),
                        'rinsed' => $dip->rinsed,
                        'temp_c' => $this->bathC($potId, $dip),
                        'soak_s' => $dip->soakS,
                        'powder' => $dip->powder,
                        'partly' => $dip->partly,
                        'link_in' => $linkIn,
                    ]);
            }
            foreach ($run->turns as $turn) {
                $step = $run->steps[$turn->step];
                in_array($step->code, [PotDayPlan::JAR_FIRST, PotDayPlan::JAR_SECOND], true) &&
                    $turn->answer === JobEventKind::Done &&
                    $draft->enter(Bath::class, new Moment((int) $turn->endS), [
                        'component_id' => $step->about['jar'] ?? null,
                        'into_id' => $step->about['into'] ?? null,
                        'solvent' => JarRinse::SOLVENT,
                        'volume_ml' => (float) ($step->about['volume_ml'] ?? 0.0),
                        'chains' => count($step->chains),
                        'start_g' => JarRinse::LEAVES_G,
                        'look' => null,
                    ]);
            }
            $lastS = max([$job->started_at, ...array_map(fn(DippedThen $dip) => $dip->atS, $dipped)]);
            $hottest = $this->readTemperatures->hottest($potId, $job->started_at, max($lastS, $run->turns[count($run->turns) - 1]->startS));
            $hottest === null ||
                $draft->enter(BathEntry::class, new Moment($hottest->at), [
                    'component_id' => $potId,
                    'kind' => BathEventKind::Reading,
                    'temp_c' => $hottest->temp_c,
                ]);
            foreach (PotDayRecord::oil($run) as [$atS, $grams]) {
                $draft->enter(BathEntry::class, new Moment($atS), [
                    'component_id' => $potId,
                    'kind' => BathEventKind::TopUp,
                    'oil_g' => $grams,
                ]);
            }

            return new About(pot: $potId, chains: array_map(fn(DippedThen $dip) => $dip->chainId, $dipped), at: $lastS);
        });
    }

    /** What it weighed more after the dip than before, where somebody weighed both. */
    private static function pickupG(GuidedJob $job, int $chainId): ?float
    {
        $last = fn(string $key): ?float => $job->taps
            ->filter(fn(GuidedTap $tap) => ($tap->about['chain'] ?? null) === $chainId && isset($tap->about[$key]))
            ->map(fn(GuidedTap $tap) => (float) ($tap->about[$key] ?? 0.0))
            ->last();

        return PotDayRecord::pickupG($last('before_g'), $last('after_g'));
    }

    private function bathC(int $potId, DippedThen $dip): ?float
    {
        return Temperature::query()
            ->where('pot_id', $potId)
            ->whereBetween('at', [$dip->inS - self::NEAR_S, $dip->inS])
            ->orderByDesc('at')
            ->value('temp_c');
    }
}
