<?php

declare(strict_types=1);

namespace App\Demo;

use App\Actions\Cost\SetPrice;
use App\Actions\Guided\Tap;
use App\Actions\Guided\TapJob;
use App\Actions\Part\AddLink;
use App\Actions\Pot\KeepPot;
use App\Actions\Pot\TendBath;
use App\Actions\Strip\AddJar;
use App\Actions\Strip\StartStrip;
use App\Actions\Strip\StripChoices;
use App\Actions\Strip\TendJar;
use App\Logbook\ActionContext;
use App\Models\Chain;
use App\Models\GuidedJob;
use App\Models\Jar;
use App\Models\Pot;
use App\Strip\Protocols;
use Dripel\Core\Bath\BathEvent;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobStep;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Pot\PotKind;
use Dripel\Core\Pot\WaxKind;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarEntry;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\Solvent;
use Illuminate\Support\Str;

/** The demo's jars, prices and guided strips. */
final readonly class DemoSolvents
{
    /** From the start of a strip by the default school to the end of its last bath, as the demo takes its time. */
    public const BATHS_S = 2040;

    public function __construct(
        private AddJar $addJar,
        private TendJar $tendJar,
        private SetPrice $setPrice,
        private AddLink $addLink,
        private KeepPot $keepPot,
        private TendBath $tendBath,
        private StartStrip $startStrip,
        private TapJob $tapJob,
    ) {}

    public function shelf(DemoTimeline $timeline, int $atS): void
    {
        $jars = [
            ['Dirty spirit', JarRole::Dirty, Solvent::WhiteSpirit, 750.0],
            ['Clean spirit', JarRole::Clean, Solvent::WhiteSpirit, 700.0],
            ['First alcohol', JarRole::Dirty, Solvent::MethylatedSpirit, 600.0],
            ['Last alcohol', JarRole::Clean, Solvent::MethylatedSpirit, 600.0],
            ['Spirit waste', JarRole::Waste, null, null],
            ['Alcohol waste', JarRole::Waste, null, null],
        ];
        foreach ($jars as [$name, $role, $solvent, $ml]) {
            $timeline->at(
                $atS,
                fn(ActionContext $by) => ($this->addJar)(
                    $by,
                    $name,
                    $role,
                    new Moment($atS),
                    $solvent === null ? null : new JarEntry($atS, JarAct::Fill, $ml, $solvent),
                ),
            );
        }
        $prices = [
            [Supply::Chain, 2690, 1],
            [Supply::QuickLink, 480, 1],
            [Supply::WhiteSpirit, 790, 1000],
            [Supply::MethylatedSpirit, 620, 1000],
            [Supply::Wax, 1400, 1000],
            [Supply::DripWax, 1490, 120],
        ];
        foreach ($prices as [$supply, $minor, $quantity]) {
            $timeline->at($atS, fn(ActionContext $by) => ($this->setPrice)($by, $supply, $minor, $quantity, new Moment($atS)));
        }
        $timeline->at($atS, fn(ActionContext $by) => ($this->addLink)($by, 'Silver link', 2, 12, 1, 480));
        $timeline->at($atS, fn(ActionContext $by) => ($this->addLink)($by, 'Black link', 1, 11, 5, 690));
    }

    /** What is spent is handed in, and the jars are filled anew. */
    public function refill(DemoTimeline $timeline, int $atS): void
    {
        foreach ([1 => [Solvent::WhiteSpirit, 700.0], 3 => [Solvent::MethylatedSpirit, 600.0]] as $nth => [$solvent, $ml]) {
            foreach ([new JarEntry($atS, JarAct::HandIn, $ml), new JarEntry($atS, JarAct::Fill, $ml, $solvent)] as $entry) {
                $timeline->at(
                    $atS,
                    fn(ActionContext $by) => ($this->tendJar)(
                        $by,
                        self::jar($by, $nth),
                        $entry,
                        new Moment($atS),
                        $entry->act === JarAct::HandIn ? 'collecting point' : null,
                    ),
                );
            }
        }
    }

    private static function jar(ActionContext $by, int $nth): Jar
    {
        return Jar::query()->in($by->workshop)->orderBy('id')->skip($nth)->firstOrFail();
    }

    /** Two pots: one for every day, filled a month ago, and a small one for races that has run low. */
    public function pots(DemoTimeline $timeline, int $addedS, int $filledS, int $toppedS): void
    {
        foreach (
            [['Shed pot', 130.0, 105.0, WaxKind::Plain], ['Race pot', 110.0, 80.0, WaxKind::Blend]]
            as [$name, $diameter, $height, $wax]
        ) {
            $timeline->at(
                $addedS,
                fn(ActionContext $by) => ($this->keepPot)($by, null, [
                    SettingKey::PotName->value => $name,
                    SettingKey::PotKind->value => PotKind::SlowCooker->value,
                    SettingKey::PotDiameterMm->value => $diameter,
                    SettingKey::PotHeightMm->value => $height,
                    SettingKey::PotLowW->value => 90.0,
                    SettingKey::PotHighW->value => 140.0,
                    SettingKey::PotWax->value => $wax->value,
                ]),
            );
        }
        $tend = fn(int $nth, BathEvent $event) => $timeline->at(
            (int) $event->atS,
            fn(ActionContext $by) => ($this->tendBath)($by, self::pot($by, $nth), $event, new Moment((int) $event->atS)),
        );
        $tend(0, BathEvent::fill($filledS, 560.0));
        $tend(0, BathEvent::reading($filledS + 5400, 84.0));
        $tend(0, BathEvent::topUp($toppedS, 60.0));
        $tend(1, BathEvent::fill($filledS, 130.0));
    }

    public static function pot(ActionContext $by, int $nth): Pot
    {
        return Pot::query()->in($by->workshop)->orderBy('id')->skip($nth)->firstOrFail();
    }

    public function settle(DemoTimeline $timeline, int $atS): void
    {
        $timeline->at(
            $atS,
            fn(ActionContext $by) => ($this->tendJar)($by, self::jar($by, 2), new JarEntry($atS, JarAct::Settle), new Moment($atS), null),
        );
    }

    /**
     * Chains are led through the default school from a moment on; what is later than `untilS` is still to come.
     *
     * @param list<Chain> $chains
     */
    public function strip(DemoTimeline $timeline, array $chains, int $startS, int $untilS = PHP_INT_MAX): void
    {
        $timeline->at(
            $startS,
            fn(ActionContext $by) => ($this->startStrip)($by, new StripChoices($chains, Protocols::DEFAULT), ['unmeasured']),
        );
        // The baths as they end, so that the jars are free for the next; then the drying. Each tap has its own time.
        foreach ([$startS + self::BATHS_S, min($untilS, $startS + 6 * 3600)] as $atS) {
            $timeline->at($atS, function (ActionContext $by) use ($chains, $startS, $atS): void {
                $job = GuidedJob::query()
                    ->in($by->workshop)
                    ->where('started_at', $startS)
                    ->whereJsonContains('chains', $chains[0]->id)
                    ->firstOrFail();
                ($this->tapJob)($job, $by->user, self::taps($job, $atS));
            });
        }
    }

    /** @return list<Tap> */
    private static function taps(GuidedJob $job, int $untilS): array
    {
        [$run, $taps, $atS] = [$job->run(), [], $job->taps->last()->at ?? $job->started_at];
        while (($turn = $run->current()) !== null) {
            $atS += $run->seconds() ?? JobStep::HANDLING_S;
            if ($atS > $untilS) {
                break;
            }
            $taps[] = new Tap((string) Str::uuid(), JobEventKind::Done, $turn->position, $atS, $run->step()->ticks ?? []);
            $run = $run->after(new JobEvent(JobEventKind::Done, $turn->position, $atS));
        }

        return $taps;
    }
}
