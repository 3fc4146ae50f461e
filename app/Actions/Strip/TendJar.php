<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Exceptions\NotPossible;
use App\Guided\OpenJobs;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Jar;
use App\Models\JarEntry;
use App\Strip\ReadJars;
use App\Text\Names;
use Dripel\Core\Input\Check;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarEntry as CoreEntry;
use Dripel\Core\Strip\JarTurns;

/**
 * Something is done with a jar: filled, topped up, left to settle, decanted, filtered, handed in as hazardous waste, whereupon the clean
 * one takes the place of the dirty.
 */
final readonly class TendJar
{
    public function __construct(
        private Ledger $ledger,
        private ReadBook $readBook,
        private ReadJars $readJars,
        private OpenJobs $openJobs,
    ) {}

    /** Refused with NotPossible at `jar` while a job has it open or it is empty, at `volume_ml` if more than is in it. */
    public function __invoke(ActionContext $by, Jar $jar, CoreEntry $entry, Moment $at, ?string $note): Action
    {
        return $this->ledger->record($by, ActionKind::TendJar, function (Draft $draft) use ($by, $jar, $entry, $at, $note): About {
            in_array($jar->id, $this->openJobs->busyJars($by->workshop), true) && throw new NotPossible('jar', 'jar_in_job');
            $has = ($this->readJars)($by->workshop)[$jar->id] ?? null;
            if ($entry->act !== JarAct::Fill) {
                ($has !== null && $has->volumeMl > 0.0) || throw new NotPossible('jar', 'jar_empty');
                in_array($entry->act, [JarAct::Decant, JarAct::Filter, JarAct::HandIn], true) &&
                    (float) $entry->volumeMl > $has->volumeMl + Check::EPSILON &&
                    throw new NotPossible('volume_ml', 'more_than_in_jar', ['has' => (string) round($has->volumeMl)]);
            }
            $draft->enter(JarEntry::class, $at, [
                'component_id' => $jar->id,
                'act' => $entry->act,
                'volume_ml' => $entry->volumeMl,
                'solvent' => $entry->solvent,
                'flash_c' => $entry->flashC,
                'boiling_c' => $entry->boilingC,
                'note' => $note,
            ]);

            $turn =
                $entry->act === JarAct::HandIn ? JarTurns::after(($this->readJars)($by->workshop), $jar->id, (float) $entry->volumeMl) : [];
            foreach ($turn as $id => $role) {
                $draft->describe($this->readBook->settings($by->workshop), $id, [SettingKey::JarRole->value => $role->value]);
            }

            return new About(
                jar: $jar->id,
                act: $entry->act->value,
                ml: $entry->volumeMl,
                solvent: ($entry->solvent ?? $has?->solvent)?->value,
                note: $note,
                name: $turn === [] ? null : (new Names($this->readBook->settings($by->workshop)))->jar(array_key_first($turn)),
                at: $at->unixS,
            );
        });
    }
}
