<?php

declare(strict_types=1);

namespace App\Strip;

use App\Logbook\ReadBook;
use App\Models\Bath;
use App\Models\Jar;
use App\Models\JarEntry;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarBath;
use Dripel\Core\Strip\JarEntry as CoreEntry;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarShelf;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\SolventBought;

/** Loads what was done with the jars of a workshop into the core. */
final readonly class ReadJars
{
    public function __construct(private ReadBook $readBook, private AppClock $clock) {}

    /** @return array<int, JarState> by jar, as they are now; without those that are out of use */
    public function __invoke(Workshop $workshop): array
    {
        $settings = $this->readBook->settings($workshop);
        $shelf = ($this->readBook)($workshop)->kept('jars', fn() => $this->shelf($workshop, $settings));

        return array_filter(
            $shelf->at($this->clock->unixS()),
            fn(JarState $jar) => $settings->whole(SettingKey::JarGone, $jar->jarId) !== 1,
        );
    }

    private function shelf(Workshop $workshop, Settings $settings): JarShelf
    {
        $roles = $entries = [];
        foreach (Jar::query()->in($workshop)->live()->orderBy('id')->get() as $jar) {
            $roles[$jar->id] = JarRole::tryFrom($settings->text(SettingKey::JarRole, $jar->id)) ?? JarRole::Dirty;
            $entries[$jar->id] = [];
        }
        foreach (JarEntry::query()->in($workshop)->live()->orderBy('at')->orderBy('sequence')->orderBy('id')->get() as $row) {
            $entries[$row->component_id][] = new CoreEntry(
                $row->at,
                $row->act,
                $row->volume_ml,
                $row->solvent,
                $row->flash_c,
                $row->boiling_c,
            );
        }
        $baths = Bath::query()
            ->in($workshop)
            ->live()
            ->orderBy('at')
            ->orderBy('id')
            ->get()
            ->map(
                fn(Bath $row) => new JarBath(
                    $row->at,
                    $row->action_id,
                    $row->component_id,
                    $row->into_id,
                    $row->solvent,
                    $row->volume_ml,
                    $row->chains,
                    $row->start_g,
                ),
            );

        return new JarShelf($roles, $entries, array_values($baths->all()));
    }

    /** @return list<SolventBought> what left its can: into jars, or fresh into a bath */
    public function bought(Workshop $workshop): array
    {
        $found = $holds = [];
        foreach (JarEntry::query()->in($workshop)->live()->orderBy('at')->orderBy('sequence')->orderBy('id')->get() as $row) {
            $holds[$row->component_id] = $row->solvent ?? ($holds[$row->component_id] ?? null);
            $solvent = $holds[$row->component_id];
            if ($solvent !== null && $row->volume_ml !== null && in_array($row->act, [JarAct::Fill, JarAct::TopUp], true)) {
                $found[] = new SolventBought($row->at, $solvent, $row->volume_ml);
            }
        }
        foreach (Bath::query()->in($workshop)->live()->whereNull('component_id')->orderBy('at')->orderBy('id')->get() as $row) {
            $found[] = new SolventBought($row->at, $row->solvent, $row->volume_ml);
        }

        return $found;
    }
}
