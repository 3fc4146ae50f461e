<?php

declare(strict_types=1);

namespace App\Strip;

use App\Logbook\CoreRows;
use App\Logbook\ReadBook;
use App\Models\Jar;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarBath;
use Dripel\Core\Strip\JarEntry;
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
        foreach ($this->readBook->components($workshop, Jar::KIND) as $jarId) {
            $roles[$jarId] = JarRole::tryFrom($settings->text(SettingKey::JarRole, $jarId)) ?? JarRole::Dirty;
            $entries[$jarId] = [];
        }
        foreach (self::entries($workshop) as [$jarId, $entry]) {
            $entries[$jarId][] = $entry;
        }

        return new JarShelf($roles, $entries, self::baths($workshop));
    }

    /** @return list<array{int, JarEntry}> the jar and what was done with it, in order */
    private static function entries(Workshop $workshop): array
    {
        $rows = ReadBook::rows($workshop, 'jar_entries', ...CoreRows::JAR_ENTRY);
        usort($rows, fn(array $a, array $b) => [$a[1], $a[3], $a[0]] <=> [$b[1], $b[3], $b[0]]);

        return array_map(fn(array $row) => [(int) $row[4], CoreRows::jarEntry($row)], $rows);
    }

    /** @return list<JarBath> in order */
    private static function baths(Workshop $workshop): array
    {
        return array_map(CoreRows::bath(...), ReadBook::rows($workshop, 'baths', ...CoreRows::BATH));
    }

    /** @return list<SolventBought> what left its can: into jars, or fresh into a bath */
    public function bought(Workshop $workshop): array
    {
        $found = $holds = [];
        foreach (self::entries($workshop) as [$jarId, $entry]) {
            $solvent = $holds[$jarId] = $entry->solvent ?? ($holds[$jarId] ?? null);
            if ($solvent !== null && $entry->volumeMl !== null && in_array($entry->act, [JarAct::Fill, JarAct::TopUp], true)) {
                $found[] = new SolventBought($entry->atS, $solvent, $entry->volumeMl);
            }
        }
        foreach (self::baths($workshop) as $bath) {
            $bath->jarId === null && ($found[] = new SolventBought($bath->atS, $bath->solvent, $bath->volumeMl));
        }

        return $found;
    }
}
